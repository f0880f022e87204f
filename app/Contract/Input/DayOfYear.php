<?php

declare(strict_types=1);

namespace App\Contract\Input;

use Core\Schedule\YearWindow;
use Illuminate\Contracts\Validation\ValidationRule;

/** A day of every year, like `03-01`. */
final class DayOfYear implements ValidationRule
{
    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        try {
            is_string($value) || throw new \InvalidArgumentException;
            YearWindow::between($value, $value);
        } catch (\InvalidArgumentException) {
            $fail('This is a month and a day, like 03-01 for the first of March.');
        }
    }
}
