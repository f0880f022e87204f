<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Sheet\DrainWay;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;

/** What the works of one service come to: which compartments are emptied, which openings and parts are worked at. */
final readonly class Scope
{
    /** @var array<string, Compartment> all that are known, by key */
    public array $compartments;

    /** @var array<string, Compartment> those whose fluid is changed, by key */
    public array $changed;

    /** @var array<string, Part> those that come off, by key */
    public array $parts;

    /** @var array<string, Opening> those that are worked at themselves, by key */
    public array $openings;

    /** @var array<string, Compartment> those whose level is read and nothing more, by key */
    public array $levels;

    /**
     * @param  list<Work>  $works
     * @param  list<Compartment>  $compartments  of the machine
     * @param  list<Part>  $parts  of the machine
     *
     * @throws Unready if a fluid is to be changed and nothing tells how it comes out or goes in
     */
    public function __construct(public array $works, array $compartments, array $parts)
    {
        $known = array_column($compartments, null, 'key');
        $changed = $off = $openings = $levels = [];
        foreach ($works as $work) {
            $at = $work->at;
            if ($at instanceof Compartment) {
                $holder = $known[$at->sheet->sharesWith ?? ''] ?? $at;
                match ($work->kind) {
                    TaskKind::Replace => $changed[$holder->key] = $holder,
                    TaskKind::CheckLevel => $levels[$holder->key] = $holder,
                    default => null,
                };
            } elseif ($at instanceof Part && in_array($work->kind, [TaskKind::Replace, TaskKind::Clean], true)) {
                $off[$at->key] = $at;
            } elseif ($at instanceof Opening && in_array($work->kind, [TaskKind::Replace, TaskKind::Clean], true)) {
                $openings[$at->key] = $at;
            }
        }
        $this->compartments = $known;
        foreach ($changed as $compartment) {
            if ($compartment->kind === CompartmentKind::Brake) {
                throw Unready::brakes($compartment);
            }
            if (! $this->canComeOut($compartment, $parts)) {
                throw Unready::noWayOut($compartment);
            }
            if ($this->fillsOf($compartment) === []) {
                throw Unready::noWayIn($compartment);
            }
        }
        // What is drained by taking its filter off has the filter taken off, whether a new one is due or not.
        foreach ($changed as $compartment) {
            if ($this->drainWay($compartment, $parts) === DrainWay::Filter) {
                $off += array_column(self::filtersIn($compartment, $parts), null, 'key');
            }
        }
        $this->changed = $changed;
        $this->parts = $off;
        $this->openings = $openings;
        $this->levels = array_diff_key($levels, $changed);
        foreach ($this->openedOnly() as $compartment) {
            if ($compartment->kind === CompartmentKind::Brake) {
                throw Unready::brakes($compartment);
            }
        }
    }

    /**
     * Whether the place is known at which it comes out: nothing is poured on what is still in there.
     *
     * @param  list<Part>  $parts
     */
    private function canComeOut(Compartment $compartment, array $parts): bool
    {
        return match ($this->drainWay($compartment, $parts)) {
            DrainWay::Plug, DrainWay::Hub => $this->openingsOf($compartment, OpeningRole::Drain) !== [],
            DrainWay::Suction => $this->openingsOf($compartment, OpeningRole::Draw) !== [],
            DrainWay::Filter => self::filtersIn($compartment, $parts) !== [],
            DrainWay::Hose => true,
            null => false,
        };
    }

    /** @return list<Opening> of a compartment and of those that share its fluid */
    public function openingsOf(Compartment $compartment, OpeningRole ...$roles): array
    {
        $openings = [];
        foreach ($this->housings($compartment) as $housing) {
            $openings = [...$openings, ...$housing->openings(...$roles)];
        }

        return $openings;
    }

    /** @return list<Opening> */
    public function fillsOf(Compartment $compartment): array
    {
        $fills = [];
        foreach ($this->housings($compartment) as $housing) {
            $fills = [...$fills, ...$housing->fills()];
        }

        return $fills;
    }

    /** @return list<Opening> that are open while it is filled, since they tell when it is full */
    public function levelPlugsOf(Compartment $compartment): array
    {
        return $compartment->method === LevelMethod::LevelPlug
            ? $this->openingsOf($compartment, OpeningRole::Level)
            : [];
    }

    /** @return list<Part> those that come off in a compartment, or in one that shares its fluid */
    public function partsIn(Compartment $compartment): array
    {
        $keys = array_column($this->housings($compartment), 'key');

        return array_values(array_filter($this->parts, fn (Part $part): bool => in_array($part->in, $keys, true)));
    }

    /** @return list<Opening> those worked at themselves in a compartment, or in one that shares its fluid */
    public function workedIn(Compartment $compartment): array
    {
        $keys = array_column($this->openingsOf($compartment, ...OpeningRole::cases()), 'key');

        return array_values(array_filter(
            $this->openings,
            fn (Opening $opening): bool => in_array($opening->key, $keys, true),
        ));
    }

    /** The compartment that holds the fluid of a part or an opening; null where it sits in none. */
    public function holderOf(Part|Opening $at): ?Compartment
    {
        foreach ($this->compartments as $compartment) {
            $isIn = $at instanceof Part
                ? $at->in === $compartment->key
                : in_array($at, $compartment->openings, true);
            if ($isIn) {
                return $this->compartments[$compartment->sheet->sharesWith ?? ''] ?? $compartment;
            }
        }

        return null;
    }

    /** @return array<string, Compartment> not changed, but opened at a filter or a strainer, by key */
    public function openedOnly(): array
    {
        $opened = [];
        foreach ([...$this->parts, ...$this->openings] as $at) {
            $holder = $this->holderOf($at);
            if ($holder !== null && ! isset($this->changed[$holder->key])) {
                $opened[$holder->key] = $holder;
            }
        }

        return $opened;
    }

    public function drainsBy(Compartment $compartment): ?DrainWay
    {
        return $this->drainWay($compartment, array_values($this->parts));
    }

    /** @param  list<Part>  $parts */
    private function drainWay(Compartment $compartment, array $parts): ?DrainWay
    {
        foreach ($this->housings($compartment) as $housing) {
            if ($housing->drainWay() !== null) {
                return $housing->drainWay();
            }
        }

        return self::filtersIn($compartment, $parts) === [] ? null : DrainWay::Filter;
    }

    /** @return non-empty-list<Compartment> it and those that share its fluid */
    private function housings(Compartment $compartment): array
    {
        return [$compartment, ...array_values(array_filter(
            $this->compartments,
            fn (Compartment $other): bool => $other->sheet->sharesWith === $compartment->key,
        ))];
    }

    /**
     * @param  list<Part>  $parts
     * @return list<Part>
     */
    private static function filtersIn(Compartment $compartment, array $parts): array
    {
        return array_values(array_filter(
            $parts,
            fn (Part $part): bool => $part->in === $compartment->key && $part->isFilter(),
        ));
    }
}
