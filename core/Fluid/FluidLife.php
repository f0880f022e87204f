<?php

declare(strict_types=1);

namespace Core\Fluid;

use Brick\Math\BigDecimal;
use Core\Machine\ActKind;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** What is in a compartment, since when, what was added, what is probably missing, and what came out the last time. */
final readonly class FluidLife
{
    /**
     * @param  string|null  $fluid  what it is, as it was called; null where nobody said
     * @param  BigDecimal|null  $hours  that it has run
     * @param  Quantity  $added  since
     * @param  Quantity|null  $missing  reckoned from what it uses; null where nothing tells
     */
    private function __construct(
        public ?FluidMove $since,
        public ?string $fluid,
        public ?BigDecimal $hours,
        public Quantity $added,
        public ?Quantity $missing,
        public string $why,
        public ?DrainedAgainstPoured $lastDrained,
    ) {}

    /**
     * @param  list<FluidMove>  $moves  oldest first
     * @param  BigDecimal|null  $now  hours run by now
     * @param  Quantity|null  $most  that it can hold
     * @param  Unit  $unit  in which amounts are told
     */
    public static function of(array $moves, ?BigDecimal $now, ?Quantity $most = null, Unit $unit = Unit::Litre): self
    {
        $since = null;
        foreach ($moves as $at => $move) {
            if ($move->isNew) {
                $since = $at;
            }
        }
        $after = $since === null ? $moves : array_slice($moves, $since + 1);
        $new = $since === null ? null : $moves[$since];
        $topUps = array_values(array_filter($after, fn (FluidMove $move): bool => $move->kind === ActKind::ToppedUp));
        [$missing, $why] = self::missing($moves, $now, $most, $unit);

        return new self(
            $new,
            self::named($new, $moves),
            $new?->hours === null || $now === null || $now->isLessThan($new->hours) ? null : $now->minus($new->hours),
            self::sum($topUps)->to($unit),
            $missing,
            $why,
            DrainedAgainstPoured::last($moves, $unit),
        );
    }

    /**
     * What it uses by what was ever topped up, times what it ran since it was last full.
     *
     * @param  list<FluidMove>  $moves
     * @return array{Quantity|null, string}
     */
    private static function missing(array $moves, ?BigDecimal $now, ?Quantity $most, Unit $unit): array
    {
        $known = array_values(array_filter($moves, fn (FluidMove $move): bool => $move->hours !== null));
        $full = array_values(array_filter($known, fn (FluidMove $move): bool => $move->pours() || $move->readsFull));
        $topUps = array_values(array_filter(
            $known,
            fn (FluidMove $move): bool => $move->kind === ActKind::ToppedUp && $move->litres !== null,
        ));
        $first = $known[0]->hours ?? null;
        $last = $topUps === [] ? null : $topUps[count($topUps) - 1]->hours;
        $lastFull = $full === [] ? null : $full[count($full) - 1]->hours;
        if (
            $now === null
            || $first === null
            || $last === null
            || $lastFull === null
            || ! $last->isGreaterThan($first)
        ) {
            return [null, 'Too little was topped up to tell what is missing.'];
        }
        $ran = $now->minus($lastFull);
        if ($ran->isNegative()) {
            return [null, 'The meter stands below what it showed when this was last full.'];
        }
        $used = self::sum($topUps)->to($unit);
        $rate = $used->value->dividedBy($last->minus($first));
        $missing = Quantity::of($rate->multipliedBy($ran), $used->unit);
        if ($most !== null && $missing->compareTo($most) > 0) {
            $missing = $most->to($missing->unit);
        }
        $per100 = Quantity::of($rate->multipliedBy(100), $used->unit);

        return [
            $missing,
            "It uses {$per100->display()} per 100 h, and was last full ".Plain::number($ran)." h ago: about {$missing->display()} is missing. Read the level before pouring.",
        ];
    }

    /**
     * What it was filled with, else what was poured with it.
     *
     * @param  list<FluidMove>  $moves
     */
    private static function named(?FluidMove $new, array $moves): ?string
    {
        foreach (array_reverse($moves) as $move) {
            if ($move->fluid !== null && $move->occasion === $new?->occasion) {
                return $move->fluid;
            }
        }

        return null;
    }

    /** @param  list<FluidMove>  $moves */
    private static function sum(array $moves): Quantity
    {
        return Quantity::of(array_reduce(
            $moves,
            fn (BigDecimal $sum, FluidMove $move): BigDecimal => $move->litres === null
                ? $sum
                : $sum->plus($move->litres),
            BigDecimal::zero(),
        ), Unit::Litre);
    }
}
