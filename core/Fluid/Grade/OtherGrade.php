<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Core\Measure\Quantity;

/** A grade of no classification that is known here: its words, in small letters and single-spaced. */
final readonly class OtherGrade implements Grade
{
    public function __construct(private string $words) {}

    public function written(): string
    {
        $grade = SaeGrade::read($this->words);

        return $grade === null
            ? mb_strtolower(preg_replace('/\s+/u', ' ', trim($this->words)) ?? '')
            : SaeGrade::write(...$grade);
    }

    public function lowest(): ?Quantity
    {
        return null;
    }

    public function table(): string
    {
        return '';
    }
}
