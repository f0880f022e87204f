<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigRational;
use Core\Fill\Drain;
use Core\Fill\PanPlan;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Supply\ContainerSize;
use Core\Supply\Materials\Materials;
use Core\Supply\Materials\PartTaken;
use Core\Supply\Need\FluidNeed;
use Core\Supply\Need\FluidStock;
use Core\Supply\Need\NeededFluid;
use Core\Supply\Need\NeededPart;
use Core\Supply\Need\Needs;
use Core\Supply\Need\PartNeed;
use Core\Supply\Need\PartStock;
use Core\Supply\Need\Purchase;
use Core\Supply\PartNumber;
use Core\Supply\SoldIn;

/** What some tasks need, what of it is on the shelf, and what is to be bought. */
final class NeedsCalculator implements Calculator
{
    private const MOST_ROWS = 200;

    private const MOST_PIECES = 10_000;

    private const MOST_PANS = 20;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $tasks = TaskFields::read($given);
        [$amounts, $counts] = $this->shelf($given);
        $sizes = $this->sizes($given);
        $pans = $this->pans($given);
        $given->complete();
        $taken = Materials::by(...$tasks->works());
        $fluids = $this->fluids($given, $taken, $tasks);
        $given->complete();
        try {
            $needs = Needs::of(
                $fluids,
                array_map(fn (PartTaken $part): PartNeed => new PartNeed([$part->number], $part->count, $part->spots), $taken->parts),
                $this->fluidStock($fluids, $amounts, $sizes),
                array_values($counts),
            );
        } catch (\OverflowException $overflow) {
            $given->fault('compartments', $overflow->getMessage());
            $given->complete();
            throw $overflow;
        }

        return new Answer([
            'fluids' => array_map(fn (NeededFluid $fluid): array => [
                'fluid' => $fluid->fluid,
                'amount' => Notation::quantity($fluid->amount),
                'have' => Notation::quantity($fluid->have),
                'short' => Notation::quantity($fluid->short),
                'for' => $fluid->for,
            ], $needs->fluids),
            'parts' => array_map(fn (NeededPart $part): array => [
                'number' => $part->number,
                'count' => $part->count,
                'have' => $part->have,
                'short' => $part->short,
                'for' => $part->for,
            ], $needs->parts),
            'tools' => array_map(fn (array $tool): array => [
                'tool' => $tool['tool'],
                'for' => $tool['for'],
            ], $taken->tools),
            'pans' => $pans === [] ? null : $this->panPlan($taken, $tasks, $pans),
            'to_buy' => array_map($this->purchase(...), $needs->toBuy),
        ], $needs->why, ['common practice']);
    }

    /** @return list<FluidNeed> */
    private function fluids(Fields $given, Materials $taken, TaskFields $tasks): array
    {
        $fluids = [];
        foreach ($taken->fluids as $fluid) {
            if ($fluid->amount === null) {
                $given->fault('compartments', "Say how much \"{$fluid->spot}\" holds, or how much is poured.");
            } else {
                $fluids[] = new FluidNeed($tasks->fluid($fluid->spot), $fluid->amount->most, $fluid->spot);
            }
        }

        return $fluids;
    }

    /** @return array{array<string, Quantity>, array<string, PartStock>} amounts by supply, and counts by number */
    private function shelf(Fields $given): array
    {
        $amounts = $counts = [];
        foreach ($this->rows($given, 'shelf', 'the shelf') as $row) {
            $supply = trim((string) $row->text('supply', 'the supply'));
            $amount = $row->optionalMeasure('amount', 'what is there', Dimension::Volume);
            $count = $row->optionalWholeNumber('count', 'how many are there', self::MOST_PIECES);
            if (($amount === null) === ($count === null)) {
                $row->fault('amount', 'Say how much is there, or how many: one of the two.');
            }
            if ($amount !== null) {
                $before = $amounts[mb_strtolower($supply)] ?? null;
                $amounts[mb_strtolower($supply)] = $before === null ? $amount : $before->plus($amount);
            }
            if ($count !== null) {
                $key = PartNumber::bare($supply);
                $counts[$key] = new PartStock($supply, ($counts[$key] ?? null)?->count + $count);
            }
        }

        return [$amounts, $counts];
    }

    /** @return array<string, list<ContainerSize>> by fluid */
    private function sizes(Fields $given): array
    {
        $sizes = [];
        $priced = [];
        foreach ($this->rows($given, 'sizes', 'the sizes') as $row) {
            $fluid = mb_strtolower(trim((string) $row->text('fluid', 'the fluid')));
            $size = $row->measure('size', 'the size', Dimension::Volume);
            $price = $row->optionalNumber('price', 'the price');
            if ($size?->value->isZero()) {
                $row->fault('size', 'A container holds more than nothing.');
            } elseif ($size !== null) {
                $sizes[$fluid][] = new ContainerSize($size, $price?->toBigRational());
            }
            $priced[$fluid][] = $price !== null;
        }
        foreach ($priced as $ofFluid) {
            if (count(array_unique($ofFluid)) > 1) {
                $given->fault('sizes', 'Give the prices of all sizes of a fluid or of none: half of them cannot be compared.');
            }
        }

        return $sizes;
    }

    /** @return list<Quantity> */
    private function pans(Fields $given): array
    {
        $pans = [];
        foreach ($given->rows('pans', 'the pans', short: 'size') as $row) {
            $pan = $row->measure('size', 'the pan', Dimension::Volume);
            if ($pan !== null) {
                $pans[] = $pan;
            }
        }
        if (count($pans) > self::MOST_PANS) {
            $given->fault('pans', 'At most '.self::MOST_PANS.' at once.');
        }

        return $pans;
    }

    /**
     * @param  list<FluidNeed>  $fluids
     * @param  array<string, Quantity>  $amounts
     * @param  array<string, list<ContainerSize>>  $sizes
     * @return list<FluidStock>
     */
    private function fluidStock(array $fluids, array $amounts, array $sizes): array
    {
        $stock = [];
        foreach ($fluids as $need) {
            $key = mb_strtolower($need->fluid);
            $stock[$key] = new FluidStock($need->fluid, $amounts[$key] ?? null, sizes: $sizes[$key] ?? []);
        }

        return array_values($stock);
    }

    /**
     * @param  list<Quantity>  $pans
     * @return array{enough: bool, empty_after: list<string|int>, short_by: array<string, string>|null}
     */
    private function panPlan(Materials $taken, TaskFields $tasks, array $pans): array
    {
        $drains = [];
        foreach ($taken->fluids as $fluid) {
            if ($fluid->isDrained && $fluid->amount !== null) {
                $drains[] = new Drain($fluid->spot, $fluid->amount->most, $tasks->fluid($fluid->spot));
            }
        }
        if ($drains === [] || $pans === []) {
            return ['enough' => true, 'empty_after' => [], 'short_by' => null];
        }
        $plan = PanPlan::of($drains, $pans, BigRational::of(PanPlan::MARGIN));

        return [
            'enough' => $plan->shortBy === null,
            'empty_after' => $plan->emptyAfter,
            'short_by' => $plan->shortBy === null ? null : Notation::quantity($plan->shortBy),
        ];
    }

    /** @return array<string, mixed> */
    private function purchase(Purchase $one): array
    {
        return [
            'supply' => $one->supply,
            ...$one->size === null ? [] : ['size' => Notation::quantity($one->size)],
            ...$one->count === null ? [] : ['count' => $one->count],
            ...$one->amount === null ? [] : ['amount' => Notation::quantity($one->amount)],
            ...$one->cost === null ? [] : ['cost' => SoldIn::price($one->cost)],
        ];
    }

    /** @return list<Fields> */
    private function rows(Fields $given, string $name, string $what): array
    {
        $rows = $given->rows($name, $what);
        if (count($rows) > self::MOST_ROWS) {
            $given->fault($name, 'At most '.self::MOST_ROWS.' at once.');
        }

        return array_slice($rows, 0, self::MOST_ROWS);
    }
}
