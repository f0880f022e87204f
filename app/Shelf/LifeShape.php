<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Logbook\Acts\Act;
use App\Logbook\Acts\ActWords;
use App\Machines\Sheets;
use App\Machines\Spot;
use Brick\Math\BigDecimal;
use Core\Fluid\FluidLife;
use Core\Fluid\FluidMove;
use Core\Fluid\Level\LevelMark;
use Core\Form\Written;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** A compartment's life: what is in it since when, what was added, what is missing, and what went in and out. */
final readonly class LifeShape
{
    /** Of what went in and out, so much is told in words; all of it is drawn. */
    private const LATELY = 30;

    /** Decimals of what is drawn. */
    private const PLACES = 3;

    private const FLUID_ACTS = [
        ActKind::ToppedUp,
        ActKind::Filled,
        ActKind::Drained,
        ActKind::Changed,
        ActKind::Sampled,
    ];

    /**
     * @param  list<FluidMove>  $moves  oldest first
     * @param  list<int>  $places  the compartment and its openings
     */
    private function __construct(
        private array $moves,
        private array $places,
        private ?Quantity $most,
        private Unit $unit,
        private ?BigDecimal $now,
    ) {
    }

    /**
     * @param  Collection<int, Spot>  $spots  at least the compartment's openings
     * @param  BigDecimal|null  $now  hours run by now
     */
    public static function of(Spot $compartment, Collection $spots, ?BigDecimal $now): self
    {
        $most = Sheets::compartment($compartment)->most()?->most;
        $places = [$compartment->id, ...$spots->where('parent_id', $compartment->id)->modelKeys()];
        $rows = self::rows($compartment, $places);

        return new self(
            array_map(self::move(...), $rows),
            $places,
            $most,
            $most->unit ?? self::lastUnit($rows) ?? Unit::Litre,
            $now,
        );
    }

    /** @return array<string, mixed> as the contract's `FluidLife` */
    public function told(): array
    {
        $life = FluidLife::of($this->moves, $this->now, $this->most, $this->unit);
        $drained = $life->lastDrained;

        return [
            'fluid' => $life->fluid,
            'since' => $life->since?->at->format(DATE_ATOM),
            'since_hours' => Written::number($life->since?->hours),
            'hours' => Written::number($life->hours),
            'added' => Written::quantity($life->added),
            'missing' => $life->missing === null ? null : Written::quantity($life->missing),
            'why' => $life->why,
            'last_drained' => $drained === null ? null : ['why' => $drained->why, 'asks' => $drained->asks],
        ];
    }

    /**
     * Everything that went in or out, and the levels that were read at full, oldest first.
     *
     * @param  list<int>  $places
     * @return list<object>
     */
    private static function rows(Spot $compartment, array $places): array
    {
        return DB::table('acts')
            ->leftJoin('moves', 'moves.act_id', '=', 'acts.id')
            ->join('entries', 'entries.id', '=', 'acts.entry_id')
            ->whereIn('acts.spot_id', $places)->whereNull('acts.struck_at')
            ->where(fn (Builder $acts) => $acts->whereIn('acts.kind', self::FLUID_ACTS)->orWhere(
                fn (Builder $acts) => $acts
                    ->where(['acts.kind' => ActKind::Measured, 'acts.outcome' => Outcome::Done])
                    ->whereRaw("json_value(acts.typed, '$.observed') = ?", [LevelMark::Full->value]),
            ))
            ->orderBy('acts.happened_at')->orderBy('acts.id')
            ->get([
                'acts.kind',
                'acts.meets',
                'acts.happened_at',
                'acts.hours',
                'acts.entry_id',
                'entries.job_id',
                'moves.litres',
                'moves.typed',
                'moves.fluid',
            ])->all();
    }

    private static function move(object $row): FluidMove
    {
        $kind = ActKind::from($row->kind);

        return new FluidMove(
            $kind,
            $row->job_id ?? (string) $row->entry_id,
            new \DateTimeImmutable($row->happened_at),
            $row->hours === null ? null : BigDecimal::of($row->hours),
            $row->litres === null ? null : Quantity::of($row->litres, Unit::Litre),
            $row->fluid,
            isNew: (bool) $row->meets && in_array($kind, [ActKind::Changed, ActKind::Filled], true),
            readsFull: $kind === ActKind::Measured,
        );
    }

    /** @param  list<object>  $rows */
    private static function lastUnit(array $rows): ?Unit
    {
        foreach (array_reverse($rows) as $row) {
            if ($row->typed !== null) {
                return Quantity::parse($row->typed, Unit::Litre)->unit;
            }
        }

        return null;
    }

    /**
     * What had been added since the fluid was new, over the hours; where it was new.
     *
     * @return array<string, mixed> as the contract's `FluidDrawn`
     */
    public function drawn(): array
    {
        $added = BigDecimal::zero();
        $points = $changes = [];
        foreach ($this->moves as $move) {
            $hours = Written::number($move->hours);
            if ($hours === null || $move->readsFull) {
                continue;
            }
            if ($move->isNew) {
                $added = BigDecimal::zero();
                $changes[] = ['hours' => $hours, 'at' => $move->at->format(DATE_ATOM)];
            } elseif ($move->kind === ActKind::ToppedUp && $move->amount !== null) {
                $added = $added->plus($move->amount->to($this->unit)->rounded(self::PLACES));
            }
            $points[] = ['hours' => $hours, 'added' => $added->toFloat()];
        }

        return [
            'unit' => $this->unit->symbol(),
            'points' => $points,
            'changes' => $changes,
            'now' => Written::number($this->now),
        ];
    }

    /** @return list<array<string, mixed>> what went in and out lately, in words, newest first */
    public function lately(): array
    {
        return array_values(Act::query()->standing()
            ->whereIn('spot_id', $this->places)->whereIn('kind', self::FLUID_ACTS)
            ->with('spot', 'person:id,name', 'photos', 'move', 'fitting')
            ->latest('happened_at')->latest('id')->limit(self::LATELY)->get()
            ->map(fn (Act $act): array => [...$act->toRecord(), 'in_words' => ActWords::of($act)])->all());
    }
}
