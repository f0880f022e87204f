<?php

declare(strict_types=1);

namespace App\Contract\Input;

use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;
use Illuminate\Contracts\Validation\ValidationRule;

/** A volume as a person types it: `1.75 gal`, `0,3 L`. */
final readonly class TypedVolume implements ValidationRule
{
    public function __construct(private bool $orNothing = false) {}

    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        try {
            $volume = Quantity::parse(is_string($value) ? $value : '');
        } catch (Unreadable $unreadable) {
            $fail($unreadable->getMessage());

            return;
        }
        if ($volume->unit->dimension() !== Dimension::Volume || $volume->value->isNegative() || ($volume->value->isZero() && ! $this->orNothing)) {
            $fail('How much it is is a volume, like 1.75 gal or 0.3 L.');
        }
    }
}
