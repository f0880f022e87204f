<?php

declare(strict_types=1);

namespace App\Contract\Input;

use Illuminate\Contracts\Validation\ValidationRule;

/** A name or the like: no line ends in it, and nothing that is there but not seen (Unicode category C, "other"). */
final class OneLine implements ValidationRule
{
    /** What may be longer may have lines. */
    public const LONGEST = 120;

    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        if (is_string($value) && preg_match('/\p{C}/u', $value) === 1) {
            $fail('There is something in this that nobody can see. Write it by hand, on one line.');
        }
    }
}
