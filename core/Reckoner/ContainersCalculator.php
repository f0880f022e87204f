<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigRational;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Supply\ContainerPlan;
use Core\Supply\ContainerSize;

/** Which containers to open and to buy for all jobs in view. */
final class ContainersCalculator implements Calculator
{
    private const MOST_COUNT = 10_000;

    private const MOST_ROWS = 200;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $needs = $this->amounts($given, 'needs', 'what is needed');
        $open = $this->amounts($given, 'open', 'what is open');
        $sizes = $this->sizes($given);
        $have = $this->have($given);
        $tolerance = $given->optionalNumber('tolerance', 'the tolerance');
        if ($tolerance?->isGreaterThanOrEqualTo(1)) {
            $given->fault('tolerance', 'The tolerance is a share, under 1.');
        }
        $given->complete();
        if ($needs === []) {
            $given->fault('needs', 'Say what is needed.');
        }
        $given->complete();
        $plans = [];
        foreach ($needs as $fluid => ['name' => $name, 'sum' => $need]) {
            try {
                $plans[$name] = ContainerPlan::of(
                    $need,
                    $sizes[$fluid] ?? [],
                    $have[$fluid] ?? [],
                    $open[$fluid]['sum'] ?? Quantity::of(0, $need->unit),
                    BigRational::of($tolerance ?? ContainerPlan::TOLERANCE),
                );
            } catch (\OverflowException $overflow) {
                $given->fault('needs', $overflow->getMessage());
            }
        }
        $given->complete();

        return $this->answered($plans);
    }

    /** @param  array<string, ContainerPlan>  $plans  by fluid */
    private function answered(array $plans): Answer
    {
        $rows = ['buy' => [], 'use' => [], 'left_over' => [], 'short_by' => []];
        $cost = BigRational::zero();
        $why = [];
        $isPriced = true;
        foreach ($plans as $fluid => $plan) {
            foreach (['buy' => $plan->buy, 'use' => $plan->use] as $name => $chosen) {
                foreach ($chosen as [$size, $count]) {
                    $rows[$name][] = ['fluid' => $fluid, 'size' => Notation::quantity($size->size), 'count' => $count];
                }
            }
            foreach (['left_over' => $plan->leftOver, 'short_by' => $plan->shortBy] as $name => $amount) {
                if (! $amount->value->isZero()) {
                    $rows[$name][] = ['fluid' => $fluid, 'amount' => Notation::quantity($amount)];
                }
            }
            $isPriced = $isPriced && ($plan->cost !== null || $plan->buy === []);
            $cost = $cost->plus($plan->cost ?? BigRational::zero());
            $why[] = "{$fluid}: {$plan->why}";
        }

        return new Answer(
            [
                ...$rows,
                'cost' => $isPriced ? Notation::number($cost->toScale(6, \Brick\Math\RoundingMode::HALF_UP)) : null,
            ],
            implode(' ', $why),
            ['common practice'],
        );
    }

    /** @return array<string, array{name: string, sum: Quantity}> by fluid, what is given of it in all */
    private function amounts(Fields $given, string $list, string $what): array
    {
        $sums = [];
        foreach ($this->rows($given, $list, $what) as $row) {
            $name = $this->fluid($row);
            $amount = $row->measure('amount', 'the amount', Dimension::Volume);
            if ($name !== null && $amount !== null) {
                $sum = $sums[self::key($name)] ?? null;
                $sums[self::key($name)] = [
                    'name' => $sum['name'] ?? $name,
                    'sum' => $sum === null ? $amount : $sum['sum']->plus($amount),
                ];
            }
        }

        return $sums;
    }

    /** @return array<string, list<ContainerSize>> by fluid */
    private function sizes(Fields $given): array
    {
        $sizes = [];
        $priced = $unpriced = false;
        foreach ($this->rows($given, 'sizes', 'the sizes') as $row) {
            $fluid = $this->fluid($row);
            $size = $this->size($row);
            $price = $row->optionalNumber('price', 'the price');
            [$priced, $unpriced] = [$priced || $price !== null, $unpriced || $price === null];
            if ($fluid !== null && $size !== null) {
                $sizes[self::key($fluid)][] = new ContainerSize($size, $price?->toBigRational());
            }
        }
        if ($priced && $unpriced) {
            $given->fault('sizes', 'Give the prices of all sizes or of none: half of them cannot be compared.');
        }

        return $sizes;
    }

    /** @return array<string, list<ContainerSize>> by fluid */
    private function have(Fields $given): array
    {
        $have = [];
        foreach ($this->rows($given, 'have', 'what stands there unopened') as $row) {
            $fluid = $this->fluid($row);
            $size = $this->size($row);
            $count = $row->optionalWholeNumber('count', 'the count', self::MOST_COUNT);
            if ($count === null) {
                $row->fault('count', 'Say how many stand there.');
            }
            if ($fluid !== null && $size !== null && $count > 0) {
                $have[self::key($fluid)][] = new ContainerSize($size, count: $count);
            }
        }

        return $have;
    }

    /** @return list<Fields> */
    private function rows(Fields $given, string $list, string $what): array
    {
        $rows = $given->rows($list, $what);
        if (count($rows) > self::MOST_ROWS) {
            $given->fault($list, 'At most '.self::MOST_ROWS.' at once.');
        }

        return array_slice($rows, 0, self::MOST_ROWS);
    }

    private function fluid(Fields $row): ?string
    {
        $fluid = trim((string) $row->text('fluid', 'the fluid'));

        return $fluid === '' ? null : $fluid;
    }

    private function size(Fields $row): ?Quantity
    {
        $size = $row->measure('size', 'the size', Dimension::Volume);
        if ($size?->value->isZero()) {
            $row->fault('size', 'A container holds more than nothing.');

            return null;
        }

        return $size;
    }

    private static function key(string $fluid): string
    {
        return mb_strtolower($fluid);
    }
}
