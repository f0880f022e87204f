<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Inspect\WearTrend;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\WrittenNumber;

/** When a part that wears reaches its limit. */
final class WearCalculator implements Calculator
{
    private const SOURCES = [
        'Least squares and prediction interval: NIST/SEMATECH e-Handbook of Statistical Methods, 4.1.4.1 and 4.5.2',
        'common practice',
    ];

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $unit = null;
        $limit = $this->read($given, 'limit', 'the limit', $unit);
        $points = [];
        $resolution = BigRational::zero();
        foreach ($given->rows('points', 'the measurements') as $row) {
            $hours = $row->number('hours', 'the hours');
            $value = $this->read($row, 'value', 'what was measured', $unit);
            if ($hours !== null && $value !== null) {
                $points[] = [$hours, $value];
                $resolution = BigRational::max($resolution, $this->resolution($row, $unit));
            }
        }
        if (! $given->has('points') || $points === []) {
            $given->fault('points', 'The measurements are missing.');
        }
        $falls = ! $given->has('falls') || $given->flag('falls', 'whether it falls');
        $given->complete();
        assert($limit !== null && $points !== []);
        $trend = WearTrend::of($points, $limit, $falls, resolution: $resolution);

        return new Answer([
            'slope_per_100h' => $trend->line === null
                ? null
                : $this->slope($trend->line->slope->multipliedBy(100), $unit),
            'limit_at' => [
                'p10' => self::hours($trend->p10),
                'p50' => self::hours($trend->p50?->toFloat()),
                'p90' => self::hours($trend->p90),
            ],
            'verdict' => $trend->verdict->value,
        ], $trend->why, self::SOURCES);
    }

    /** One step of the last digit that was written, in the unit of the first value. */
    private function resolution(Fields $row, ?Unit $unit): BigRational
    {
        $written = $row->written('value');
        $own = $unit === null ? null : $row->quantity('value', 'what was measured', $unit)?->unit;

        return $own === null
            || $unit === null
            ? WrittenNumber::resolution($written)
            : WrittenNumber::resolution($written)->multipliedBy($own->factor())->dividedBy($unit->factor());
    }

    /** A quantity in the unit of the first one read, or a bare number where that was bare. */
    private function read(Fields $fields, string $name, string $what, ?Unit &$unit): ?BigDecimal
    {
        $bare = $fields->has($name) ? $fields->bareNumber($name) : null;
        if ($bare !== null && $name === 'limit') {
            return $bare;
        }
        if ($bare !== null && $unit === null) {
            return $bare;
        }
        $quantity = $fields->quantity($name, $what, $unit);
        if ($quantity === null) {
            return null;
        }
        $unit ??= $quantity->unit;
        if ($quantity->unit->dimension() !== $unit->dimension()) {
            $fields->fault(
                $name,
                ucfirst($what)." is a {$unit->dimension()->value}, and {$quantity->inWords()} is a {$quantity->unit->dimension()->value}.",
            );

            return null;
        }

        return $quantity->to($unit)->rounded(9);
    }

    /** @return array{value: string, unit: string, display: string}|int|float|null */
    private function slope(BigRational $per100Hours, ?Unit $unit): array|int|float|null
    {
        $value = $per100Hours->toScale(6, RoundingMode::HALF_UP)->stripTrailingZeros();

        return $unit === null
            ? Notation::number($value)
            : [
                'value' => (string) $value,
                'unit' => $unit->value,
                'display' => "{$value->toScale(2, RoundingMode::HALF_UP)->stripTrailingZeros()} {$unit->symbol()} in 100 h",
            ];
    }

    private static function hours(?float $hours): int|float|null
    {
        return $hours === null ? null : Notation::number(BigDecimal::of(sprintf('%.1F', $hours)));
    }
}
