<?php

declare(strict_types=1);

namespace Core\Procedure\Table;

use Brick\Math\RoundingMode;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** Whole millilitres: what a device without signal adds, subtracts and compares. */
final class Millilitres
{
    public static function of(Quantity $amount): int
    {
        return $amount->to(Unit::Millilitre)->value->toScale(0, RoundingMode::HALF_UP)->toInt();
    }
}
