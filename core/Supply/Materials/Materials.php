<?php

declare(strict_types=1);

namespace Core\Supply\Materials;

use Core\Fluid\Sheet\Book;
use Core\Fluid\Sheet\Capacity;
use Core\Fluid\Sheet\CapacityKind;
use Core\Fluid\Sheet\DrainWay;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;
use Core\Machine\TaskKind;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;
use Core\Supply\KitPiece;
use Core\Supply\PartSheet;

/**
 * What one or more tasks of a machine take, by construction: the fluid of each compartment they change, the seal of each
 * opening they open, the parts they fit with their seals, tools, and what the work uses up. What several of them do is
 * done once.
 */
final readonly class Materials
{
    /**
     * @param  list<FluidTaken>  $fluids
     * @param  list<PartTaken>  $parts  the same number is one line
     * @param  list<array{tool: string, for: list<string>}>  $tools  each once
     * @param  list<string>  $uses
     */
    private function __construct(public array $fluids, public array $parts, public array $tools, public array $uses) {}

    public static function by(TaskWork ...$works): self
    {
        $works = array_filter(
            $works,
            fn (TaskWork $work): bool => in_array($work->kind, [TaskKind::Replace, TaskKind::Clean], true),
        );
        $fluids = self::fluids($works);
        $parts = $tools = $uses = [];
        foreach ($works as $work) {
            foreach ($work->places as $place) {
                foreach (self::opened($place, $work->kind) as $opening) {
                    $parts += self::seals($opening->seals, $opening->spot->key, $opening->spot->name, $opening->timesReused);
                    $tools[$opening->tool][$opening->spot->key] = $opening->spot->name;
                    $uses[] = $opening->sealant;
                }
                if ($place->spot->kind === SpotKind::Opening && $work->kind === TaskKind::Replace) {
                    $parts += self::itself($place);
                }
                if ($place->part !== null) {
                    $parts = [...$parts, ...self::part($work->kind, $place, $place->part)];
                    $uses = [...$uses, ...$place->part->fitting->uses, ...$place->part->kind->takes()];
                }
            }
            if ($work->topUp !== null && self::changedBy($work) === [] && ! self::isPouredBack($work, $fluids)) {
                $uses[] = "{$work->topUp} to pour back what runs out with the filters";
            }
        }
        unset($tools['']);

        return new self(
            array_values($fluids),
            self::together(self::withoutWhatKitsHold($parts)),
            array_map(
                fn (string|int $tool, array $for): array => ['tool' => (string) $tool, 'for' => array_values($for)],
                array_keys($tools),
                $tools,
            ),
            array_values(array_unique(array_filter($uses))),
        );
    }

    /**
     * @param  array<TaskWork>  $works
     * @return array<string, FluidTaken> by compartment
     */
    private static function fluids(array $works): array
    {
        $fluids = $drunk = [];
        $filters = self::filters($works);
        foreach ($works as $work) {
            // What shares the fluid of another holds none of its own; the other is a place of the task too.
            foreach (self::changedBy($work) as $place) {
                $withFilter = isset($filters[$place->spot->key]) || isset($filters['']);
                $fluids[$place->spot->key] = new FluidTaken(
                    $place->spot->key,
                    $place->compartment?->atAChange($withFilter, $place->drains()),
                    $withFilter ? 'changed with its filter' : 'changed',
                );
            }
        }
        foreach ($works as $work) {
            foreach ($work->kind === TaskKind::Replace ? $work->places : [] as $place) {
                $in = $place->spot->parent;
                if ($place->part?->kind->isFilter() !== true || $in === null || isset($fluids[$in])) {
                    continue;
                }
                $amount = self::topUp($work->topUp) ?? $place->compartment?->capacity(CapacityKind::FiltersOnly);
                if ($amount !== null) {
                    $fluids[$in] = new FluidTaken($in, $amount, 'runs out with the filters', isDrained: false);
                } elseif ($place->part->fitting->drinks !== '') {
                    $drunk[$in][] = $place->part->fitting->drinks;
                }
            }
        }

        foreach (array_diff_key($drunk, $fluids) as $in => $amounts) {
            $sum = self::sum($amounts);
            $fluids[$in] = new FluidTaken(
                (string) $in,
                new Capacity(CapacityKind::FiltersOnly, $sum, $sum, $sum->inWords(), Book::Machine),
                'the new filters drink it',
                isDrained: false,
            );
        }

        return $fluids;
    }

    /** @param  non-empty-list<string>  $amounts */
    private static function sum(array $amounts): Quantity
    {
        $sum = Quantity::parse($amounts[0]);
        foreach (array_slice($amounts, 1) as $amount) {
            $sum = $sum->plus(Quantity::parse($amount)->to($sum->unit));
        }

        return $sum;
    }

    /** @return list<TaskPlace> the compartments whose fluid it changes */
    private static function changedBy(TaskWork $work): array
    {
        return array_values(array_filter(
            $work->kind === TaskKind::Replace ? $work->places : [],
            fn (TaskPlace $place): bool => $place->part === null
                && $place->compartment !== null
                && $place->compartment->sharesWith === null,
        ));
    }

    /**
     * @param  array<TaskWork>  $works
     * @return array<string, true> the compartments whose filters are changed; the empty key where nobody knows which
     */
    private static function filters(array $works): array
    {
        $filters = [];
        foreach ($works as $work) {
            foreach ($work->kind === TaskKind::Replace ? $work->places : [] as $place) {
                if ($place->part?->kind->isFilter() === true) {
                    $filters[$place->spot->parent ?? ''] = true;
                }
            }
        }

        return $filters;
    }

    private static function topUp(?string $typed): ?Capacity
    {
        try {
            $amount = $typed === null ? null : Quantity::parse($typed);
        } catch (Unreadable) {
            return null;
        }

        return $amount === null
            ? null
            : new Capacity(CapacityKind::FiltersOnly, $amount, $amount, (string) $typed, Book::Machine);
    }

    /** @param  array<string, FluidTaken>  $fluids */
    private static function isPouredBack(TaskWork $work, array $fluids): bool
    {
        return array_filter(
            $work->places,
            fn (TaskPlace $place): bool => isset($fluids[$place->spot->parent ?? '']),
        ) !== [];
    }

    /**
     * The openings that are undone: one that is itself the place, and those of a compartment that is changed; drains only
     * where it is drained by its plug.
     *
     * @return list<TaskOpening>
     */
    private static function opened(TaskPlace $place, TaskKind $kind): array
    {
        if ($place->spot->kind === SpotKind::Opening || $kind !== TaskKind::Replace) {
            return $place->spot->kind === SpotKind::Opening ? $place->openings : [];
        }
        $byPlug = in_array($place->compartment?->out->by, [null, DrainWay::Plug, DrainWay::Hub], true);

        return array_values(array_filter(
            $place->openings,
            fn (TaskOpening $opening): bool => match ($opening->spot->role) {
                OpeningRole::Drain => $byPlug,
                OpeningRole::Fill, OpeningRole::Vent => true,
                OpeningRole::Level => $opening->seals !== [],
                default => false,
            },
        ));
    }

    /** @return array<string, PartTaken> by place and number */
    private static function part(TaskKind $kind, TaskPlace $place, PartSheet $sheet): array
    {
        return [
            ...$kind === TaskKind::Replace ? self::itself($place, $sheet) : [],
            ...self::seals($place->seals, $place->spot->key, $place->spot->name, $place->timesReused),
        ];
    }

    /** @return array<string, PartTaken> what sits at a place, by its name where nobody has written down a number */
    private static function itself(TaskPlace $place, PartSheet $sheet = new PartSheet): array
    {
        $number = $sheet->numbers->kit === '' ? $sheet->numbers->toBuy() : $sheet->numbers->kit;

        return ["{$place->spot->key} itself" => new PartTaken(
            $number === '' ? $place->spot->name : $number,
            1,
            [$place->spot->name],
            [$place->spot->key],
            sheet: $sheet,
            isKnown: $number !== '',
        )];
    }

    /**
     * @param  list<Seal>  $seals
     * @return array<string, PartTaken> by place and number
     */
    private static function seals(array $seals, string $key, string $name, int $reused): array
    {
        $taken = [];
        foreach ($seals as $seal) {
            $taken["{$key} {$seal->number}"] = new PartTaken($seal->number, $seal->count, [$name], [$key], match ($reused) {
                0 => '',
                1 => 'the old one was used again the last time',
                default => "the old one was used again {$reused} times",
            });
        }

        return $taken;
    }

    /**
     * @param  array<string, PartTaken>  $parts
     * @return list<PartTaken>
     */
    private static function withoutWhatKitsHold(array $parts): array
    {
        $held = [];
        foreach ($parts as $part) {
            foreach ($part->sheet->numbers->kitHolds ?? [] as $piece) {
                $held[self::bare($piece)] = ($held[self::bare($piece)] ?? 0) + $piece->count * $part->count;
            }
        }
        $left = [];
        foreach ($parts as $part) {
            $name = mb_strtolower($part->number);
            $fromKit = $part->sheet === null ? min($part->count, $held[$name] ?? 0) : 0;
            $held[$name] = ($held[$name] ?? 0) - $fromKit;
            if ($part->count > $fromKit) {
                $left[] = $part->withCount($part->count - $fromKit);
            }
        }

        return $left;
    }

    private static function bare(KitPiece $piece): string
    {
        return mb_strtolower($piece->name);
    }

    /**
     * @param  list<PartTaken>  $parts
     * @return list<PartTaken>
     */
    private static function together(array $parts): array
    {
        $together = [];
        foreach ($parts as $part) {
            $key = mb_strtolower($part->number);
            $together[$key] = isset($together[$key]) ? $together[$key]->with($part) : $part;
        }

        return array_values($together);
    }
}
