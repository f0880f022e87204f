<?php

declare(strict_types=1);

namespace App\Shelf\Stock;

use App\Logbook\Stock\Supply;
use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** How much of a supply there is, in words: `3.2 L (3.38 qt)`, `2 pieces`; below nothing it is told as what is lacking. */
final class LeftWords
{
    public static function of(Supply $supply, BigDecimal $left): string
    {
        return ($left->isNegative() ? 'less than nothing by ' : '').match (true) {
            $supply->isFluid() => Quantity::of($left->abs(), Unit::Litre)->display(),
            default => Plain::count($left->abs()->toInt(), 'piece'),
        };
    }
}
