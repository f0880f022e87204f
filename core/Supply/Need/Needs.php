<?php

declare(strict_types=1);

namespace Core\Supply\Need;

use Brick\Math\BigRational;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Supply\ContainerPlan;
use Core\Supply\ContainerSize;
use Core\Supply\PartNumber;
use Core\Supply\SoldIn;

/** What coming jobs need in all, what of it is on the shelf, and what is to be bought, once, for all of them. */
final readonly class Needs
{
    /**
     * @param  list<NeededFluid>  $fluids
     * @param  list<NeededPart>  $parts
     * @param  list<Purchase>  $toBuy
     * @param  BigRational  $cost  of what has a price
     * @param  int  $unpriced  how many of what is to be bought have none
     */
    private function __construct(
        public array $fluids,
        public array $parts,
        public array $toBuy,
        public BigRational $cost,
        public int $unpriced,
        public string $why,
    ) {}

    /**
     * @param  list<FluidNeed>  $fluids
     * @param  list<PartNeed>  $parts
     * @param  list<FluidStock>  $fluidStock  each fluid once
     * @param  list<PartStock>  $partStock  each number once
     *
     * @throws \OverflowException where the amounts are written too finely to be reckoned together
     */
    public static function of(
        array $fluids,
        array $parts,
        array $fluidStock,
        array $partStock,
        Preference $preference = Preference::Makers,
    ): self {
        $needed = self::fluids($fluids, $fluidStock);
        $neededParts = self::parts($parts, $partStock, $preference);
        $toBuy = [
            ...array_merge(...array_map(self::containers(...), $needed)),
            ...self::pieces($neededParts, $partStock),
        ];
        $costs = array_filter(array_map(fn (Purchase $one): ?BigRational => $one->cost, $toBuy));
        $cost = array_reduce(
            $costs,
            fn (BigRational $sum, BigRational $one): BigRational => $sum->plus($one),
            BigRational::zero(),
        );

        return new self(
            $needed,
            $neededParts,
            $toBuy,
            $cost,
            count($toBuy) - count($costs),
            self::why($needed, $neededParts, $toBuy, $cost, count($toBuy) - count($costs)),
        );
    }

    /**
     * @param  list<FluidNeed>  $needs
     * @param  list<FluidStock>  $stock
     * @return list<NeededFluid>
     */
    private static function fluids(array $needs, array $stock): array
    {
        $known = [];
        foreach ($stock as $one) {
            $known[mb_strtolower($one->fluid)] = $one;
        }
        $together = [];
        foreach ($needs as $need) {
            $together[mb_strtolower($need->fluid)][] = $need;
        }
        $needed = [];
        foreach ($together as $fluid => $all) {
            $amount = array_reduce(
                array_slice($all, 1),
                fn (Quantity $sum, FluidNeed $need): Quantity => $sum->plus($need->amount),
                $all[0]->amount,
            );
            $own = $known[$fluid] ?? new FluidStock($all[0]->fluid);
            $plan = ContainerPlan::of(
                $amount,
                $own->sizes,
                $own->unopened,
                $own->open ?? Quantity::of(0, $amount->unit),
                BigRational::of(ContainerPlan::TOLERANCE),
            );
            $have = $own->amountLike($amount);
            $needed[] = new NeededFluid(
                $all[0]->fluid,
                $amount,
                $have,
                self::short($amount, $have, $plan),
                array_map(fn (FluidNeed $need): string => $need->for, $all),
                $plan,
                self::lackingOn($all, $have),
            );
        }

        return $needed;
    }

    /** @param  list<FluidNeed>  $needs */
    private static function lackingOn(array $needs, Quantity $have): ?int
    {
        usort($needs, fn (FluidNeed $one, FluidNeed $other): int => ($one->day ?? 0) <=> ($other->day ?? 0));
        $sum = Quantity::of(0, $have->unit);
        foreach ($needs as $need) {
            $sum = $sum->plus($need->amount);
            if ($sum->compareTo($have) > 0) {
                return $need->day;
            }
        }

        return null;
    }

    private static function short(Quantity $amount, Quantity $have, ContainerPlan $plan): Quantity
    {
        $spared = $amount->si()->multipliedBy(BigRational::of(ContainerPlan::TOLERANCE));
        $short = $have->compareTo($amount) < 0 ? $amount->minus($have) : Quantity::of(0, $amount->unit);

        return $plan->buy === [] && $short->si()->isLessThanOrEqualTo($spared)
            ? Quantity::of(0, $amount->unit)
            : $short;
    }

    /**
     * What is on the shelf is taken before anything is bought, what is preferred first.
     *
     * @param  list<PartNeed>  $needs
     * @param  list<PartStock>  $stock
     * @return list<NeededPart>
     */
    private static function parts(array $needs, array $stock, Preference $preference): array
    {
        $left = $prices = [];
        foreach ($stock as $one) {
            $left[PartNumber::bare($one->number)] = max(0, $one->count);
            $prices[PartNumber::bare($one->number)] = $one->price;
        }
        $needed = [];
        usort($needs, fn (PartNeed $one, PartNeed $other): int => ($one->day ?? 0) <=> ($other->day ?? 0));
        foreach ($needs as $need) {
            $numbers = self::inOrder($need, $prices, $preference);
            $taken = [];
            $short = $need->count;
            foreach ($numbers as $number) {
                $from = min($short, $left[PartNumber::bare($number)] ?? 0);
                if ($from > 0) {
                    $taken[$number] = $from;
                    $left[PartNumber::bare($number)] -= $from;
                    $short -= $from;
                }
            }
            $key = PartNumber::bare($numbers[0]);
            $before = $needed[$key] ?? new NeededPart($numbers[0], 0, 0, 0, [], '', [], null);
            foreach ($before->taken as $number => $count) {
                $taken[$number] = ($taken[$number] ?? 0) + $count;
            }
            $needed[$key] = new NeededPart(
                $before->number,
                $before->count + $need->count,
                $before->have + $need->count - $short,
                $before->short + $short,
                [...$before->for, ...$need->for],
                $before->again === '' ? $need->again : $before->again,
                $taken,
                $before->lackingOn ?? ($short > 0 ? $need->day : null),
            );
        }

        return array_values($needed);
    }

    /**
     * @param  array<string, BigRational|null>  $prices  by bare number
     * @return non-empty-list<string> what is preferred first; of equivalents those with a price, the cheapest first
     */
    private static function inOrder(PartNeed $need, array $prices, Preference $preference): array
    {
        $equivalents = $need->equivalents;
        $price = fn (string $number): float => ($prices[PartNumber::bare($number)] ?? null)?->toFloat() ?? INF;
        usort($equivalents, fn (string $one, string $other): int => $price($one) <=> $price($other));

        return $preference === Preference::Makers
            ? [...$need->makers, ...$equivalents]
            : [...$equivalents, ...$need->makers];
    }

    /** @return list<Purchase> */
    private static function containers(NeededFluid $needed): array
    {
        $plan = $needed->plan;
        if ($plan->buy === [] && ! $needed->short->value->isZero()) {
            return [new Purchase($needed->fluid, null, null, $needed->short, lackingOn: $needed->lackingOn)];
        }

        return array_map(fn (array $chosen): Purchase => new Purchase(
            $needed->fluid,
            $chosen[0]->size,
            $chosen[1],
            cost: self::cost($chosen[0], $chosen[1]),
            lackingOn: $needed->lackingOn,
        ), $plan->buy);
    }

    private static function cost(ContainerSize $size, int $count): ?BigRational
    {
        return $size->price?->multipliedBy($count);
    }

    /**
     * @param  list<NeededPart>  $needed
     * @param  list<PartStock>  $stock
     * @return list<Purchase>
     */
    private static function pieces(array $needed, array $stock): array
    {
        $prices = [];
        foreach ($stock as $one) {
            $prices[PartNumber::bare($one->number)] = $one->price;
        }
        $short = array_values(array_filter($needed, fn (NeededPart $part): bool => $part->short > 0));

        return array_map(fn (NeededPart $part): Purchase => new Purchase(
            $part->number,
            null,
            $part->short,
            cost: ($prices[PartNumber::bare($part->number)] ?? null)?->multipliedBy($part->short),
            lackingOn: $part->lackingOn,
        ), $short);
    }

    /**
     * @param  list<NeededFluid>  $fluids
     * @param  list<NeededPart>  $parts
     * @param  list<Purchase>  $toBuy
     */
    private static function why(array $fluids, array $parts, array $toBuy, BigRational $cost, int $unpriced): string
    {
        $needed = Plain::count(count($fluids), 'fluid').' and '.Plain::count(count($parts), 'part');
        $bought = array_map(fn (Purchase $one): string => match (true) {
            $one->size !== null => "{$one->count} × {$one->size->inWords()} {$one->supply}",
            $one->count !== null => "{$one->count} × {$one->supply}",
            default => "{$one->amount?->inWords()} {$one->supply}",
        }, $toBuy);

        return $toBuy === []
            ? "{$needed} are needed, and the shelf has it all."
            : "{$needed} are needed. To buy: ".implode(', ', $bought).'.'
                .($unpriced === count($toBuy) ? '' : ' '.SoldIn::price($cost).' in all'.($unpriced === 0
                    ? '.'
                    : ', and '.Plain::count($unpriced, 'line').' without a price.'));
    }
}
