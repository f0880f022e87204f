<?php

declare(strict_types=1);

namespace Core\Form;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Measure\Quantity;

/** How values are written in answers. */
final class Notation
{
    /**
     * @param  int|null  $places  decimals of the value, kept to the last; otherwise up to six
     * @return array{value: string, unit: string, display: string}
     */
    public static function quantity(Quantity $quantity, ?int $places = null): array
    {
        $rounded = $places === null ? $quantity->rounded() : $quantity->value->toScale($places, RoundingMode::HALF_UP);

        return ['value' => (string) $rounded, 'unit' => $quantity->unit->value, 'display' => $quantity->display()];
    }

    /** Bare hours and counts, rounded half up to six decimals. */
    public static function number(?BigDecimal $number): int|float|null
    {
        $rounded = $number?->toScale(6, RoundingMode::HALF_UP)->stripTrailingZeros();

        return match (true) {
            $rounded === null => null,
            $rounded->getScale() === 0 && $rounded->abs()->isLessThan(PHP_INT_MAX) => $rounded->toInt(),
            default => $rounded->toFloat(),
        };
    }

    public static function day(?\DateTimeImmutable $day): ?string
    {
        return $day?->format('Y-m-d');
    }
}
