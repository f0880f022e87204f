<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Logbook\Acts\Act;
use App\Logbook\Acts\ActWords;
use App\Machines\Sheets;
use App\Machines\Spot;
use Brick\Math\BigDecimal;
use Core\Fluid\DrainedAgainstPoured;
use Core\Fluid\FluidLife;
use Core\Fluid\FluidMove;
use Core\Fluid\Level\LevelMark;
use Core\Form\Notation;
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
    private const LATELY = 12;

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
     * @param  Collection<int, Spot>  $places  the compartment, and the openings of all that share its fluid, by id
     * @param  list<int>  $lately  the ids of the last acts
     */
    private function __construct(
        private array $moves,
        private Collection $places,
        private array $lately,
        private ?Quantity $most,
        private Unit $unit,
        private ?BigDecimal $now,
    ) {}

    /**
     * @param  Collection<int, Spot>  $spots  at least those that share its fluid, and the openings of all of them
     * @param  BigDecimal|null  $now  hours run by now
     */
    public static function of(Spot $compartment, Collection $spots, ?BigDecimal $now): self
    {
        $most = Sheets::holds($compartment, $spots);
        $filled = [$compartment->id, ...$spots->where('shares_with_id', $compartment->id)->modelKeys()];
        $places = [$compartment->id, ...$spots->whereIn('parent_id', $filled)->modelKeys()];
        $rows = self::rows($compartment, $places);

        $jobs = DB::table('entries')->where('machine_id', $compartment->machine_id)->whereNotNull('job_id')
            ->pluck('job_id', 'id')->all();

        return new self(
            array_map(fn (\stdClass $row): FluidMove => self::move($row, $jobs), $rows),
            $spots->whereIn('id', $places)->keyBy('id'),
            array_column(array_slice($rows, -self::LATELY), 'id'),
            $most,
            $most->unit ?? self::lastUnit($rows) ?? Unit::Litre,
            $now,
        );
    }

    /** What filled it the last time, and what was added since; null where nobody knows. */
    public function wentIn(): ?Quantity
    {
        $litres = DrainedAgainstPoured::wentIn($this->moves);

        return $litres === null ? null : Quantity::of($litres, Unit::Litre)->to($this->unit);
    }

    /** @return array<string, mixed> as the contract's `FluidLife` */
    public function told(): array
    {
        $life = FluidLife::of($this->moves, $this->now, $this->most, $this->unit);
        $drained = $life->lastDrained;

        return [
            'fluid' => $life->fluid,
            'since' => $life->since?->at->format(DATE_ATOM),
            'since_hours' => Notation::number($life->since?->hours),
            'hours' => Notation::number($life->hours),
            'added' => Notation::quantity($life->added),
            'missing' => $life->missing === null ? null : Notation::quantity($life->missing),
            'why' => $life->why,
            'last_drained' => $drained === null ? null : ['why' => $drained->why, 'asks' => $drained->asks],
        ];
    }

    /**
     * Everything that went in or out, oldest first, and the last level that was read at full since.
     *
     * @param  list<int>  $places
     * @return list<\stdClass>
     */
    private static function rows(Spot $compartment, array $places): array
    {
        $acts = DB::table('acts')->whereNull('acts.struck_at')->orderBy('acts.happened_at')->orderBy('acts.id');
        $moved = $acts->clone()
            ->leftJoin('moves', 'moves.act_id', '=', 'acts.id')
            ->whereIn('acts.spot_id', $places)->whereIn('acts.kind', self::FLUID_ACTS)
            ->get(
                ['acts.id', 'acts.kind', 'meets', 'acts.happened_at', 'hours', 'acts.entry_id', 'amount as litres', 'moves.typed', 'fluid'],
            )
            ->all();
        $since = $moved === [] ? null : $moved[count($moved) - 1]->happened_at;
        $full = $acts->where(['spot_id' => $compartment->id, 'kind' => ActKind::Measured, 'outcome' => Outcome::Done])
            ->when($since, fn (Builder $acts, string $since) => $acts->where('happened_at', '>', $since))
            ->whereRaw("json_value(typed, '$.observed') = ?", [LevelMark::Full->value])
            ->get(['id', 'kind', 'meets', 'happened_at', 'hours', 'entry_id'])->all();
        $full = $full === [] ? null : $full[count($full) - 1];

        return array_values($full === null ? $moved : [...$moved, $full]);
    }

    /** @param  array<int, string>  $jobs  by entry, where it belongs to one */
    private static function move(\stdClass $row, array $jobs): FluidMove
    {
        $kind = ActKind::from($row->kind);

        return new FluidMove(
            $kind,
            $jobs[$row->entry_id] ?? (string) $row->entry_id,
            new \DateTimeImmutable($row->happened_at),
            $row->hours === null ? null : BigDecimal::of($row->hours),
            isset($row->litres) ? BigDecimal::of($row->litres) : null,
            $row->fluid ?? null,
            isNew: $row->meets && in_array($kind, [ActKind::Changed, ActKind::Filled], true),
            readsFull: $kind === ActKind::Measured,
        );
    }

    /** @param  list<\stdClass>  $rows */
    private static function lastUnit(array $rows): ?Unit
    {
        foreach (array_reverse($rows) as $row) {
            if (isset($row->typed)) {
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
        $litres = Quantity::of(1, $this->unit)->to(Unit::Litre)->value->toFloat();
        $added = 0.0;
        $points = $changes = [];
        foreach ($this->moves as $move) {
            if ($move->hours === null || $move->readsFull) {
                continue;
            }
            $hours = round($move->hours->toFloat(), self::PLACES);
            if ($move->isNew) {
                $added = 0.0;
                $changes[] = ['hours' => $hours, 'at' => $move->at->format(DATE_ATOM)];
            } elseif ($move->kind === ActKind::ToppedUp && $move->litres !== null) {
                $added += $move->litres->toFloat() / $litres;
            }
            $points[] = ['hours' => $hours, 'added' => round($added, self::PLACES)];
        }

        return [
            'unit' => $this->unit->symbol(),
            'points' => $points,
            'changes' => $changes,
            'now' => Notation::number($this->now),
        ];
    }

    /** @return list<array<string, mixed>> what went in and out lately, in words, newest first */
    public function lately(): array
    {
        $acts = Act::query()->whereKey($this->lately)->whereIn('kind', self::FLUID_ACTS)
            ->with('person:id,name', 'moved.source', 'fitting')
            ->latest('happened_at')->latest('id')->get();

        return array_values($acts->map(fn (Act $act): array => [
            'id' => $act->uuid,
            'spot' => $this->places[$act->spot_id]?->key,
            'title' => $act->title,
            'in_words' => ActWords::of($act),
            'why' => $act->words ?? '',
            'at' => $act->happened_at->toAtomString(),
            'by' => $act->person?->name,
        ])->all());
    }
}
