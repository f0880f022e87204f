<?php

declare(strict_types=1);

namespace Core\Grease;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Schedule\Interval;

/** How much grease some strokes are. */
final readonly class GreaseNeed
{
    /** What a cartridge holds as it is sold. Common practice, no source. */
    public const CARTRIDGE = '400 g';

    /** Where nobody has weighed a gun yet. Common practice, no source: guns give 0.5 to 1.5 g. */
    public const USUAL_STROKE = '1 g';

    /** Strokes that are weighed to know a gun. */
    public const WEIGHED = 10;

    private function __construct(public int $strokes, public Quantity $grams, public int $cartridges) {}

    /**
     * @param  Quantity  $perStroke  a mass
     * @param  Quantity  $cartridge  a mass above nothing
     */
    public static function of(int $strokes, Quantity $perStroke, Quantity $cartridge): self
    {
        $grams = $perStroke->to(Unit::Gram)->value->multipliedBy($strokes);
        $cartridges = $grams->dividedBy($cartridge->to(Unit::Gram)->value)->toScale(0, RoundingMode::UP)->toInt();

        return new self($strokes, Quantity::of($grams, Unit::Gram), $cartridges);
    }

    /** What one stroke of a gun gives, from the weight of ten. */
    public static function perStroke(Quantity $tenStrokes): Quantity
    {
        return Quantity::of(
            $tenStrokes->to(Unit::Gram)->value->multipliedBy(BigRational::nd(1, self::WEIGHED)),
            Unit::Gram,
        );
    }

    /**
     * How often a point is greased in a year.
     *
     * @param  BigDecimal|null  $hours  that the machine runs in a year; null where nobody knows
     */
    public static function timesAYear(Interval $every, ?BigDecimal $hours): int
    {
        $byHours = $every->hours === null || $hours === null
            ? 0
            : $hours->dividedBy($every->hours, 0, RoundingMode::UP)->toInt();

        return max($byHours, $every->months === null ? 0 : intdiv(11 + $every->months, $every->months));
    }

    public function inWords(): string
    {
        return Plain::count($this->strokes, 'stroke').", {$this->grams->inWords()}, ".($this->cartridges === 1 ? 'one cartridge' : "{$this->cartridges} cartridges");
    }
}
