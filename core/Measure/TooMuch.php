<?php

declare(strict_types=1);

namespace Core\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * More than can well be: each answers with what there is to ask, or null where there is nothing. What is asked about is
 * written down all the same where somebody says why it is right. Common practice, no source, for every bound but a day's
 * hours.
 */
final class TooMuch
{
    /** Over what a compartment holds at most: what clings to a housing and a measure's own error stay below it. */
    private const WELL_OVER = '11/10';

    /** Of what is usual: beyond so many times, somebody slipped or something has happened. */
    private const TIMES_USUAL = 2;

    /** Pours that must be known before there is a usual one. */
    private const LEAST_KNOWN = 3;

    /** Of what a compartment holds: less than this is no matter, however seldom so much went in. */
    private const TRIFLE = '1/20';

    /**
     * @param  Quantity|null  $holds  the most that the place holds, null where nobody has written it down
     * @param  list<Quantity>  $earlier  what was poured there by the way before
     */
    public static function poured(Quantity $amount, string $place, ?Quantity $holds, array $earlier = []): ?string
    {
        $place = Plain::within($place);
        if ($holds !== null && self::isOver($amount, $holds, self::WELL_OVER)) {
            return "{$amount->display()} is well over the {$holds->display()} that the {$place} holds.";
        }
        $usual = self::usual($earlier);

        return $usual !== null
            && self::isOver($amount, $usual, (string) self::TIMES_USUAL)
            && ($holds === null || self::isOver($amount, $holds, self::TRIFLE))
            ? "{$amount->display()} is more than twice the {$usual->display()} that usually goes into the {$place}."
            : null;
    }

    /** In whole millilitres: more than so much is asked about, where a place holds so much at most. */
    public static function pouredAskedOver(Quantity $holds): int
    {
        return $holds->times(BigRational::of(self::WELL_OVER))->to(Unit::Millilitre)->value->toScale(0, RoundingMode::FLOOR)->toInt();
    }

    /** @param  Quantity|null  $holds  the most that the place holds, null where nobody has written it down */
    public static function drained(Quantity $amount, string $place, ?Quantity $holds): ?string
    {
        return $holds !== null && self::isOver($amount, $holds, self::WELL_OVER)
            ? "{$amount->display()} came out, and the ".Plain::within($place)." holds {$holds->display()}. Is there water or fuel in it?"
            : null;
    }

    /** @param  Quantity  $left  what was in the container by the book */
    public static function drawn(Quantity $amount, Quantity $left, string $container): ?string
    {
        return self::isOver($amount, $left, '1')
            ? "There was less in the {$container} by the book than the {$amount->display()} poured out of it. Count what is left."
            : null;
    }

    /** @param  int  $takes  what the point takes */
    public static function strokes(int $strokes, string $point, int $takes): ?string
    {
        return $strokes > self::strokesAskedOver($takes)
            ? Plain::count($strokes, 'stroke')." is more than twice the {$takes} that the ".Plain::within($point).' takes.'
            : null;
    }

    /** More strokes than this are asked about, where a point takes so many. */
    public static function strokesAskedOver(int $takes): int
    {
        return self::TIMES_USUAL * $takes;
    }

    /**
     * Whether a meter gained more than its machine can run in the time.
     *
     * @param  int  $mostPerDay  24 of an hour meter, and what a machine can drive in a day of an odometer
     * @param  BigDecimal  $lastDigit  one step of what the meter shows: so much it may look more than what was run
     */
    public static function ran(BigDecimal $gained, float $days, int $mostPerDay, BigDecimal $lastDigit): bool
    {
        $most = BigDecimal::of(sprintf('%.6F', $days * $mostPerDay));

        return $gained->isGreaterThanOrEqualTo($most->plus($lastDigit));
    }

    private static function isOver(Quantity $amount, Quantity $other, string $times): bool
    {
        return $amount->si()->isGreaterThan($other->si()->multipliedBy(BigRational::of($times)));
    }

    /** @param  list<Quantity>  $earlier */
    private static function usual(array $earlier): ?Quantity
    {
        usort($earlier, fn (Quantity $one, Quantity $other): int => $one->compareTo($other));

        return count($earlier) < self::LEAST_KNOWN ? null : $earlier[intdiv(count($earlier), 2)];
    }
}
