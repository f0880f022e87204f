<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Validation\Rules\Password;

/** A password that somebody chooses: long enough, and not what everybody knows of them. */
final readonly class NewPassword implements ValidationRule
{
    private function __construct(private mixed $signInName)
    {
    }

    /**
     * @param  mixed  $signInName  as it was given, or stands
     * @return list<mixed>
     */
    public static function rules(mixed $signInName): array
    {
        return ['required', 'string', 'max:200', Password::min(10), new self($signInName)];
    }

    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        if (
            is_string($value)
            && is_string($this->signInName)
            && mb_strtolower($value) === mb_strtolower($this->signInName)
        ) {
            $fail('Not the sign-in name: everybody knows it.');
        }
    }
}
