<?php

declare(strict_types=1);

namespace App\Contract;

use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;
use Illuminate\Contracts\Validation\ValidationRule;

/** A volume as a person types it: `1.75 gal`, `0,3 L`. */
final class TypedVolume implements ValidationRule
{
    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        try {
            $volume = Quantity::parse(is_string($value) ? $value : '');
        } catch (Unreadable $unreadable) {
            $fail($unreadable->getMessage());

            return;
        }
        if ($volume->unit->dimension() !== Dimension::Volume || ! $volume->value->isPositive()) {
            $fail('How much is poured back is a volume, like 1.75 gal or 0.3 L.');
        }
    }
}
