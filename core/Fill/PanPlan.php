<?php

declare(strict_types=1);

namespace Core\Fill;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/**
 * After which drain the pans are emptied, so that nothing runs over: one drain, one pan, in the order given, as seldom
 * as can be.
 */
final readonly class PanPlan
{
    /** What is left free of each pan, so that it can be carried. Common practice, no source. */
    public const MARGIN = '0.1';

    /** Ways of sharing drains out among pans that are tried; what is not found in so many is emptied for, which is safe. */
    private const TRIES = 5_000;

    /**
     * @param  list<string|int>  $emptyAfter  the drains after which what has gathered is taken away
     * @param  Quantity|null  $shortBy  by how much the worst drain is too much for the largest pan
     */
    private function __construct(public array $emptyAfter, public ?Quantity $shortBy) {}

    /**
     * @param  non-empty-list<Drain>  $drains
     * @param  non-empty-list<Quantity>  $pans
     * @param  BigRational  $margin  of each pan, left free: 0 to under 1
     */
    public static function of(array $drains, array $pans, BigRational $margin): self
    {
        $takes = array_map(
            fn (Quantity $pan): BigRational => $pan->si()->multipliedBy($margin->negated()->plus(1)),
            $pans,
        );
        $largest = array_reduce(
            $takes,
            fn (BigRational $most, BigRational $one): BigRational => $one->isGreaterThan($most) ? $one : $most,
            BigRational::zero(),
        );
        $emptyAfter = $together = [];
        $shortBy = null;
        foreach ($drains as $index => $drain) {
            $excess = $drain->amount->si()->minus($largest);
            if ($excess->isPositive() && ($shortBy === null || $excess->isGreaterThan($shortBy->si()))) {
                $unit = $drain->amount->unit;
                $shortBy = Quantity::of($excess->dividedBy($unit->factor()), $unit);
            }
            $tries = self::TRIES;
            if ($index > 0 && ! self::fit([...$together, $drain], $takes, [], $tries)) {
                $emptyAfter[] = $drains[$index - 1]->name;
                $together = [];
            }
            $together[] = $drain;
        }

        return new self($emptyAfter, $shortBy);
    }

    /**
     * Whether each drain finds a pan, the largest drains tried first.
     *
     * @param  list<Drain>  $drains
     * @param  array<int, BigRational>  $room  of each pan
     * @param  array<int, string>  $holds  by pan, the fluid in it
     */
    private static function fit(array $drains, array $room, array $holds, int &$tries): bool
    {
        usort($drains, fn (Drain $one, Drain $other): int => $other->amount->compareTo($one->amount));
        $drain = array_shift($drains);
        if ($drain === null) {
            return true;
        }
        $tries--;
        $tried = [];
        foreach ($room as $pan => $free) {
            $as = ($holds[$pan] ?? '').' '.$free->simplified();
            if (
                $tries < 0
                || isset($tried[$as])
                || ($holds[$pan] ?? $drain->fluid) !== $drain->fluid
                || $drain->amount->si()->isGreaterThan($free)
            ) {
                continue;
            }
            $tried[$as] = true;
            $left = [$pan => $free->minus($drain->amount->si())] + $room;
            if (self::fit($drains, $left, [$pan => $drain->fluid] + $holds, $tries)) {
                return true;
            }
        }

        return false;
    }
}
