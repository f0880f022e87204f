<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Validation\Rules\Password;

/** A password that somebody chooses: long enough, not what everybody tries, and not what everybody knows of them. */
final readonly class NewPassword implements ValidationRule
{
    /** Written when the web application is built, from `@zxcvbn-ts/language-common`; the commonest first. */
    private const COMMON = 'bootstrap/cache/common-passwords.txt';

    private const LEAST_SIGNS = 5;

    private function __construct(private mixed $signInName) {}

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
        if (is_string($value) && self::isCommon($value)) {
            $fail('Everybody tries that one first. Choose another, like four words that belong together only for you.');
        }
        if (
            is_string($value)
            && is_string($this->signInName)
            && mb_strtolower($value) === mb_strtolower($this->signInName)
        ) {
            $fail('Not the sign-in name: everybody knows it.');
        }
    }

    /** Among the commonest of the world, or one of those with numbers behind it, or few signs again and again. */
    private static function isCommon(string $password): bool
    {
        $signs = mb_strtolower($password);
        if (count(array_unique(mb_str_split($signs))) < self::LEAST_SIGNS) {
            return true;
        }
        $list = "\n".file_get_contents(base_path(self::COMMON));
        $isListed = fn (string $word): bool => str_contains($list, "\n{$word}\n");

        return $isListed($signs) || $isListed((string) preg_replace('/[\d\W_]+$/', '', $signs));
    }
}
