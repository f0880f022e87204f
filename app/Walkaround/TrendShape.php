<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Acts\Act;
use App\Logbook\Acts\Placing;
use App\Machines\Machine;
use App\Machines\Spot;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use Core\Fluid\Consumption;
use Core\Inspect\Check;
use Core\Inspect\CheckList;
use Core\Inspect\Measurement;
use Core\Inspect\WearTrend;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;
use Illuminate\Support\Collection;

/** How parts wear and what housings use, against what the machine has run. */
final class TrendShape
{
    /** Points at which a drawn line is told. */
    private const STEPS = 24;

    private const TENTHS = 0.9;

    private readonly MeterUnit $unit;

    private function __construct(
        private readonly Machine $machine,
        private readonly CheckList $list,
        private readonly ?Spot $at,
    ) {
        $this->unit = $machine->primaryMeters()
            ->first()?->unit
            ->isDistance() === true ? MeterUnit::Kilometres : MeterUnit::Hours;
    }

    /**
     * @param  Spot|null  $at  where only one spot is asked about
     * @return array<string, mixed> as the contract's `Trends`
     */
    public static function of(Machine $machine, CheckList $list, ?Spot $at = null): array
    {
        $trends = new self($machine, $list, $at);

        return [
            'wear' => array_values(array_filter($trends->wears())),
            'consumption' => array_values(array_filter($trends->consumptions())),
        ];
    }

    /** @return list<array<string, mixed>|null> of every check that measures something that wears */
    private function wears(): array
    {
        $measured = Act::query()->standing()
            ->where('machine_id', $this->machine->id)
            ->when($this->at, fn ($acts, Spot $at) => $acts->where('spot_id', $at->id))
            ->whereHas('measure')
            ->with('measure', 'spot')
            ->orderBy('happened_at')
            ->orderBy('id')
            ->get()
            ->toBase();
        $new = $measured->isEmpty() ? $measured : Act::query()->standing()
            ->whereIn('spot_id', $measured->pluck('spot_id')->unique())
            ->where(
                fn ($acts) => $acts->where('outcome', Outcome::PutRight)->orWhere('kind', ActKind::Replaced),
            )->get()->toBase();

        return array_values($measured->groupBy(
            fn (Act $act): string => "{$act->spot_id} {$act->check_key}",
        )->map(function (Collection $ofOne) use ($new): ?array {
            $one = $ofOne->firstOrFail();
            // A replaced part begins a new line.
            $begun = $new->where('spot_id', $one->spot_id)
                ->filter(fn (Act $act): bool => $act->kind === ActKind::Replaced || $act->check_key === $one->check_key)
                ->max('happened_at');

            return $this->wear(
                $begun === null ? $ofOne : $ofOne->filter(fn (Act $act): bool => $act->happened_at > $begun),
            );
        })->all());
    }

    /**
     * @param  Collection<int, Act>  $looks  by one check, oldest first
     * @return array<string, mixed>|null  null where nobody knows what the machine had run
     */
    private function wear(Collection $looks): ?array
    {
        $looks = $looks->filter(
            fn (Act $look): bool => $this->run($look) !== null && $look->measure !== null,
        )->values();
        $last = $looks->last();
        $measure = $last?->measure;
        if ($last === null || $measure === null) {
            return null;
        }
        $unit = Unit::from($measure->unit);
        $limit = BigDecimal::of($measure->limit);
        $points = [];
        $resolution = BigRational::zero();
        foreach ($looks as $look) {
            $own = Unit::from($look->measure->unit ?? $measure->unit);
            $points[] = [
                'hours' => $this->run($look) ?? BigDecimal::zero(),
                'value' => Quantity::of($look->measure->value ?? '0', $own)->to($unit)->rounded(),
                'look' => $look,
            ];
            $resolution = BigRational::max(
                $resolution,
                BigRational::of(
                    $look->measure->resolution ?? '0',
                )->multipliedBy($own->factor())->dividedBy($unit->factor()),
            );
        }
        assert($points !== []);
        $trend = WearTrend::of(
            array_map(fn (array $point): array => [$point['hours'], $point['value']], $points),
            $limit,
            $measure->falls,
            $this->unit,
            $resolution,
        );
        $hours = fn (?float $hours): ?int => $hours === null ? null : (int) round($hours);

        return [
            'check' => $last->check_key,
            'spot' => $last->spot->key,
            'title' => $last->title,
            'unit' => $unit->symbol(),
            'along' => $this->unit->value,
            'limit' => (string) $limit->stripTrailingZeros(),
            'falls' => $measure->falls,
            'points' => array_map(fn (array $point): array => [
                'id' => $point['look']->uuid,
                'at' => $point['look']->happened_at->toAtomString(),
                'hours' => (string) $point['hours'],
                'value' => (string) $point['value'],
            ], $points),
            'line' => self::line($trend, $points),
            'limit_at' => [
                'p10' => $hours($trend->p10),
                'p50' => $hours($trend->p50?->toFloat()),
                'p90' => $hours($trend->p90),
            ],
            'verdict' => $trend->verdict->value,
            'why' => $trend->why,
        ];
    }

    /** What the machine had run by then, by the meter it is kept by. */
    private function run(Act $act): ?BigDecimal
    {
        return $act->run($this->unit->limit());
    }

    /**
     * @param  non-empty-list<array{hours: BigDecimal, value: BigDecimal, look: Act}>  $points
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
            $line[] = [
                'hours' => round($at, 2),
                'value' => round($value, 4),
                'low' => round($value - $reach, 4),
                'high' => round($value + $reach, 4),
            ];
        }

        return $line;
    }

    /** @return list<array<string, mixed>|null> of every compartment that was topped up */
    private function consumptions(): array
    {
        $poured = $this->unit !== MeterUnit::Hours ? new Collection : Act::query()
            ->standing()
            ->where(['machine_id' => $this->machine->id, 'kind' => ActKind::ToppedUp])
            ->when($this->at, fn ($acts, Spot $at) => $acts->where('spot_id', $at->id))
            ->whereNotNull('hours')->whereHas('moved', fn ($moves) => $moves->whereNotNull('amount'))->with('moved', 'spot')->orderBy('happened_at')->orderBy('id')
            ->get()
            ->toBase();

        return array_values($poured->groupBy('spot_id')->map($this->consumption(...))->all());
    }

    /**
     * @param  Collection<int, Act>  $topUps  of one compartment
     * @return array<string, mixed>|null
     */
    private function consumption(Collection $topUps): ?array
    {
        $spot = $topUps->firstOrFail()->spot;
        $anew = Act::query()->standing()
            ->where('spot_id', $spot->id)
            ->where(fn ($acts) => $acts->where('kind', ActKind::Changed)->orWhere('outcome', Outcome::PutRight))
            ->max('happened_at');
        $since = Act::query()->standing()
            ->where('spot_id', $spot->id)
            ->whereNotNull('hours')
            ->when($anew, fn ($acts) => $acts->where('happened_at', '>=', $anew))
            ->orderBy('happened_at')
            ->first();
        $from = $since?->run(Limit::Hours);
        $to = Placing::of($this->machine)->run(CarbonImmutable::now(), Limit::Hours);
        $counted = $topUps->filter(
            fn (Act $act): bool => $anew === null || $act->happened_at->format('Y-m-d H:i:s') > $anew,
        )->map(fn (Act $act): array => [
            'at' => $act->happened_at->toAtomString(), 'hours' => $act->run(Limit::Hours)
                ?? BigDecimal::zero(), 'amount' => $act->poured() ?? Quantity::of(0, Unit::Litre), 'title' => $act->title,
        ])->values()->all();
        if ($counted === [] || $from === null || $to === null || $to->isLessThanOrEqualTo($from)) {
            return null;
        }
        $check = collect($this->list->checks)->first(
            fn (Check $check): bool => $check->manner->spot === $spot->key && $check->measuring->by === Measurement::Level,
        );
        $consumption = Consumption::of(
            array_values(array_map(fn (array $topUp): array => [$topUp['hours'], $topUp['amount']], $counted)),
            $from,
            $to,
            self::volume($check->measuring->limits['most_per_100h'] ?? null),
            Quantity::of(0, $counted[0]['amount']->unit),
        );

        return [
            'check' => $check->key ?? null,
            'spot' => $spot->key,
            'title' => $spot->name,
            'per_100h' => $consumption->per100Hours->display(),
            'trend' => $consumption->trend,
            'verdict' => $consumption->verdict->value,
            'why' => $consumption->why,
            'top_ups' => array_map(
                fn (array $topUp): array => [
                    'at' => $topUp['at'],
                    'hours' => (string) $topUp['hours']->toScale(1, RoundingMode::HALF_UP),
                    'amount' => $topUp['amount']->display(),
                ],
                $counted,
            ),
        ];
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
