<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Yard\Machine;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use Core\Inspect\CheckSheet;
use Core\Inspect\Consumption;
use Core\Inspect\Measurement;
use Core\Inspect\WearTrend;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;
use Core\Meter\MeterUnit;
use Illuminate\Database\Eloquent\Collection;

/** How parts wear and what housings use, against what the machine has run. */
final class TrendShape
{
    /** Points at which a drawn line is told. */
    private const STEPS = 24;

    private const TENTHS = 0.9;

    /** @return array<string, mixed> as the contract's `Trends` */
    public static function of(Machine $machine, CheckSheet $sheet): array
    {
        // What was poured in counts, whether or not its level was read as it should be.
        $looks = Observation::query()->whereNull('struck_at')->where('machine_id', $machine->id)->where(fn ($query) => $query->whereNotNull('worn')->orWhere('said', Said::Mended)->orWhereNotNull('values->topped_up'))
            ->orderBy('happened_at')->orderBy('id')->get()->groupBy('subject');
        $run = RunAt::of($machine);
        $wear = $used = [];
        foreach ($looks as $subject => $ofOne) {
            $worn = self::sinceNew($ofOne)->whereNotNull('worn');
            if ($worn->isNotEmpty()) {
                $wear[] = self::wear((string) $subject, $worn, $run);
            }
            if ($run->unit === MeterUnit::Hours && $sheet->find((string) $subject)?->measurement === Measurement::Level) {
                $used[] = self::consumption($machine, (string) $subject, $ofOne, $sheet->find((string) $subject)->limits['most_per_100h'] ?? null, $run);
            }
        }

        return ['wear' => array_values(array_filter($wear)), 'consumption' => array_values(array_filter($used))];
    }

    /**
     * A replaced part begins a new line.
     *
     * @param  Collection<int, Observation>  $looks
     * @return Collection<int, Observation>
     */
    private static function sinceNew(Collection $looks): Collection
    {
        $new = $looks->where('said', Said::Mended)->last();

        return $new === null ? $looks : $looks->filter(fn (Observation $look): bool => $look->happened_at > $new->happened_at);
    }

    /**
     * @param  Collection<int, Observation>  $looks
     * @return array<string, mixed>|null  null where nobody knows what the machine had run
     */
    private static function wear(string $subject, Collection $looks, RunAt $run): ?array
    {
        $last = $looks->last();
        $unit = Unit::from($last->worn['unit'] ?? 'mm');
        $limit = BigDecimal::of($last->worn['limit'] ?? 0);
        $falls = $last->worn['falls'] ?? true;
        $points = [];
        $resolution = BigRational::zero();
        foreach ($looks as $look) {
            $hours = $run->at($look->happened_at);
            if ($hours !== null && $look->worn !== null) {
                $own = Unit::from($look->worn['unit']);
                $points[] = ['hours' => $hours, 'value' => Quantity::of($look->worn['value'], $own)->to($unit)->rounded(), 'look' => $look];
                $resolution = BigRational::max($resolution, BigRational::of($look->worn['resolution'])->multipliedBy($own->factor())->dividedBy($unit->factor()));
            }
        }
        if ($points === []) {
            return null;
        }
        $trend = WearTrend::of(array_map(fn (array $point): array => [$point['hours'], $point['value']], $points), $limit, $falls, $run->unit, $resolution);
        $hours = fn (?float $hours): ?int => $hours === null ? null : (int) round($hours);

        return [
            'subject' => $subject,
            'title' => $last->title,
            'unit' => $unit->symbol(),
            'along' => $run->unit->value,
            'limit' => (string) $limit->stripTrailingZeros(),
            'falls' => $falls,
            'points' => array_map(fn (array $point): array => ['id' => $point['look']->uuid, 'at' => $point['look']->happened_at->toAtomString(), 'hours' => (string) $point['hours'], 'value' => (string) $point['value']], $points),
            'line' => self::line($trend, $points),
            'limit_at' => ['p10' => $hours($trend->p10), 'p50' => $hours($trend->p50?->toFloat()), 'p90' => $hours($trend->p90)],
            'verdict' => $trend->verdict->value,
            'why' => $trend->why,
        ];
    }

    /**
     * @param  non-empty-list<array{hours: BigDecimal, value: BigDecimal, look: Observation}>  $points
     * @return list<array{hours: float, value: float, low: float, high: float}>
     */
    private static function line(WearTrend $trend, array $points): array
    {
        if ($trend->line === null) {
            return [];
        }
        $from = $points[0]['hours']->toFloat();
        $last = $points[array_key_last($points)]['hours']->toFloat();
        $to = min($trend->p90 ?? $trend->p50?->toFloat() ?? $last, $last + 3 * max(1, $last - $from));
        $to = max($to, $last);
        $line = [];
        for ($step = 0; $step <= self::STEPS; $step++) {
            $at = $from + ($to - $from) * $step / self::STEPS;
            $value = $trend->line->intercept->toFloat() + $trend->line->slope->toFloat() * $at;
            $reach = $trend->line->predictionReach($at, self::TENTHS) ?? 0.0;
            $line[] = ['hours' => round($at, 2), 'value' => round($value, 4), 'low' => round($value - $reach, 4), 'high' => round($value + $reach, 4)];
        }

        return $line;
    }

    /**
     * @param  Collection<int, Observation>  $looks
     * @return array<string, mixed>|null
     */
    private static function consumption(Machine $machine, string $subject, Collection $looks, ?string $most, RunAt $run): ?array
    {
        $topUps = [];
        foreach (self::sinceNew($looks)->filter(fn (Observation $look): bool => isset($look->values['topped_up']) && $look->values['topped_up'] !== '') as $look) {
            $hours = $run->at($look->happened_at);
            if ($hours !== null) {
                $topUps[] = ['at' => $look->happened_at->toAtomString(), 'hours' => $hours, 'amount' => Quantity::parse($look->values['topped_up'], Unit::Litre), 'typed' => $look->values['topped_up'], 'title' => $look->title];
            }
        }
        $from = $topUps === [] ? null : $run->at(self::followedFrom($machine, $subject, $looks));
        $to = $run->now();
        if ($from === null || $to === null || $to->isLessThanOrEqualTo($from)) {
            return null;
        }
        $consumption = Consumption::of(array_map(fn (array $topUp): array => [$topUp['hours'], $topUp['amount']], $topUps), $from, $to, self::volume($most), Quantity::of(0, $topUps[0]['amount']->unit));

        return [
            'subject' => $subject,
            'title' => $topUps[0]['title'],
            'per_100h' => $consumption->per100Hours->display(),
            'trend' => $consumption->trend->value,
            'verdict' => $consumption->verdict->value,
            'why' => $consumption->why,
            'top_ups' => array_map(fn (array $topUp): array => ['at' => $topUp['at'], 'hours' => (string) $topUp['hours']->toScale(1, RoundingMode::HALF_UP), 'amount' => $topUp['amount']->display()], $topUps),
        ];
    }

    /**
     * The first look at it since it was last put right.
     *
     * @param  Collection<int, Observation>  $looks
     */
    private static function followedFrom(Machine $machine, string $subject, Collection $looks): CarbonImmutable
    {
        return $looks->where('said', Said::Mended)->last()?->happened_at
            ?? CarbonImmutable::parse((string) Observation::query()->whereNull('struck_at')->where(['machine_id' => $machine->id, 'subject' => $subject])->min('happened_at'), 'UTC');
    }

    private static function volume(?string $written): ?Quantity
    {
        try {
            $volume = $written === null ? null : Quantity::parse($written, Unit::Litre);
        } catch (Unreadable) {
            return null;
        }

        return $volume?->unit->dimension() === Dimension::Volume ? $volume : null;
    }
}
