<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Logbook\Stock\Supply;
use Core\Form\Notation;
use Core\Measure\Day;
use Core\Supply\Need\NeededFluid;
use Core\Supply\Need\NeededPart;
use Core\Supply\Need\Needs;
use Core\Supply\Need\Purchase;
use Core\Supply\PartNumber;
use Core\Supply\SoldIn;

/** What is needed as the contract's `Needs`: each line known by a key that stays while the list is gathered. */
final class NeedsShape
{
    private const LONGEST_KEY = 160;

    /** @return array<string, mixed> */
    public static function of(Needs $needs, ShelfStock $stock): array
    {
        return [
            'fluids' => array_map(fn (NeededFluid $one): array => self::fluid($one, $stock), $needs->fluids),
            'parts' => array_map(fn (NeededPart $one): array => self::part($one, $stock), $needs->parts),
            'to_buy' => array_map(fn (Purchase $one): array => self::purchase($one, $stock), $needs->toBuy),
        ];
    }

    /** @return array{cost: string, unpriced: int} */
    public static function cost(Needs $needs): array
    {
        return ['cost' => SoldIn::price($needs->cost), 'unpriced' => $needs->unpriced];
    }

    public static function key(string $kind, string $name): string
    {
        return mb_substr("{$kind} ".mb_strtolower($name), 0, self::LONGEST_KEY);
    }

    /** @return array<string, mixed> */
    private static function fluid(NeededFluid $fluid, ShelfStock $stock): array
    {
        $supply = $stock->supplies[(int) $fluid->fluid] ?? null;

        return [
            'key' => self::key('fluid', $supply === null ? $fluid->fluid : (string) $supply->id),
            'supply_id' => $supply?->id,
            'name' => $supply->name ?? $fluid->fluid,
            'in_words' => $supply?->toRecord()['in_words'] ?? '',
            'place' => $supply->place ?? '',
            'amount' => Notation::quantity($fluid->amount),
            'have' => Notation::quantity($fluid->have),
            'short' => Notation::quantity($fluid->short),
            'take' => self::taken($fluid),
            'for' => $fluid->for,
            'why' => $fluid->plan->why,
        ];
    }

    /** What is carried to the job of what is there. */
    private static function taken(NeededFluid $fluid): string
    {
        $open = $fluid->plan->open->value->isZero() ? [] : ["the open {$fluid->plan->open->inWords()}"];

        return implode(', ', [
            ...$open,
            ...array_map(
                fn (array $use): string => "{$use[1]} × {$use[0]->size->inWords()}",
                $fluid->plan->use,
            ),
        ]);
    }

    /** @return array<string, mixed> */
    private static function part(NeededPart $part, ShelfStock $stock): array
    {
        $supply = $stock->ofNumber($part->number);

        return [
            'key' => self::key('part', PartNumber::bare($part->number)),
            'supply_id' => $supply?->id,
            'number' => $part->number,
            'name' => $supply->name ?? '',
            'place' => $supply->place ?? '',
            'count' => $part->count,
            'have' => $part->have,
            'short' => $part->short,
            'take' => self::pieces($part, $stock),
            'for' => $part->for,
            'again' => $part->again,
        ];
    }

    /** `1 × Wyndle 31-H instead` */
    private static function pieces(NeededPart $part, ShelfStock $stock): string
    {
        return implode(', ', array_map(
            fn (string $number, int $count): string => "{$count} × {$number}"
                .(PartNumber::same($number, $part->number) ? '' : ' instead'),
            array_map(strval(...), array_keys($part->taken)),
            array_values($part->taken),
        ));
    }

    /** @return array<string, mixed> */
    private static function purchase(Purchase $one, ShelfStock $stock): array
    {
        $supply = ctype_digit($one->supply) ? $stock->supplies[(int) $one->supply] ?? null : null;
        $supply ??= $stock->ofNumber($one->supply);

        return [
            'key' => self::key('buy', ($supply === null ? $one->supply : (string) $supply->id).' '.$one->size?->inWords()),
            'supply_id' => $supply?->id,
            'kind' => $one->size === null && $one->amount === null ? 'part' : 'fluid',
            'name' => $supply->name ?? $one->supply,
            'number' => $supply instanceof Supply ? $supply->number : ($one->size === null ? $one->supply : null),
            'size' => $one->size?->inWords(),
            'count' => $one->count,
            'amount' => $one->amount === null ? null : Notation::quantity($one->amount),
            'cost' => $one->cost === null ? null : SoldIn::price($one->cost),
            'delivery_days' => $supply?->delivery_days,
            'lacking_on' => $one->lackingOn === null ? null : Notation::day(Day::of($one->lackingOn)),
        ];
    }
}
