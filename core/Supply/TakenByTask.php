<?php

declare(strict_types=1);

namespace Core\Supply;

use Core\Fluid\Sheet\Capacity;
use Core\Fluid\Sheet\DrainWay;
use Core\Fluid\Sheet\OpeningSheet;
use Core\Machine\OpeningRole;
use Core\Machine\Spot;
use Core\Machine\TaskKind;

/**
 * What a task takes, by construction: the fluid of each compartment it changes, the seal of each opening it opens, the
 * parts it fits with their seals, tools, and what the work uses up.
 */
final readonly class TakenByTask
{
    /**
     * @param  list<array{spot: string, amount: Capacity|null, why: string}>  $fluids
     * @param  list<array{name: string, count: int, for: string, again: string}>  $parts  `again` where the old one was
     *     used the last time
     * @param  list<array{tool: string, for: string}>  $tools  each once
     * @param  list<string>  $uses
     */
    private function __construct(
        public array $fluids,
        public array $parts,
        public array $tools,
        public array $uses,
    ) {
    }

    /**
     * @param  list<TaskPlace>  $places
     * @param  string|null  $topUp  what runs out with the filters and is poured back, where only they are changed
     */
    public static function of(TaskKind $kind, array $places, ?string $topUp = null): self
    {
        $fluids = $parts = $tools = $uses = [];
        $withFilter = self::changesFilter($places);
        foreach ($kind === TaskKind::Replace || $kind === TaskKind::Clean ? $places : [] as $place) {
            if ($place->compartment !== null && $kind === TaskKind::Replace) {
                // What shares the fluid of another holds none of its own; the other is a place of the task too.
                if ($place->compartment->sharesWith === null) {
                    $fluids[] = [
                        'spot' => $place->spot->key,
                        'amount' => $place->compartment->atAChange($withFilter),
                        'why' => $withFilter ? 'changed with its filter' : 'changed',
                    ];
                }
                foreach (self::opened($place) as [$opening, $sheet, $reused]) {
                    $parts = [...$parts, ...self::sealOf($sheet->seal, $opening->name, $reused)];
                    $tools[$sheet->tool] ??= $opening->name;
                    $uses[] = $sheet->sealant;
                }
            }
            if ($place->part !== null) {
                $parts = [...$parts, ...self::part($kind, $place)];
                $uses = [...$uses, ...$place->part->uses];
            }
        }
        if ($topUp !== null && $fluids === []) {
            $uses[] = "{$topUp} to pour back what runs out with the filters";
        }
        unset($tools['']);

        return new self(
            $fluids,
            self::together($parts),
            array_map(
                fn (string $tool, string $for): array => ['tool' => $tool, 'for' => $for],
                array_map(strval(...), array_keys($tools)),
                array_values($tools),
            ),
            array_values(array_unique(array_filter($uses))),
        );
    }

    /** @param  list<TaskPlace>  $places */
    private static function changesFilter(array $places): bool
    {
        return array_filter($places, fn (TaskPlace $place): bool => $place->part?->kind === PartKind::Filter) !== [];
    }

    /**
     * The openings that are undone for a change: drains only where it is drained by its plug.
     *
     * @return list<array{Spot, OpeningSheet, int}>
     */
    private static function opened(TaskPlace $place): array
    {
        $byPlug = in_array($place->compartment?->drainWay, [null, DrainWay::Plug], true);

        return array_values(array_filter($place->openings, fn (array $opening): bool => match ($opening[0]->role) {
            OpeningRole::Drain => $byPlug,
            OpeningRole::Fill, OpeningRole::Vent => true,
            OpeningRole::Level => $opening[1]->seal !== '',
            default => false,
        }));
    }

    /** @return list<array{name: string, count: int, for: string, again: string}> */
    private static function part(TaskKind $kind, TaskPlace $place): array
    {
        $sheet = $place->part;
        if ($sheet === null) {
            return [];
        }
        $itself = $kind === TaskKind::Replace
            ? [
                [
                    'name' => $sheet->toBuy() === '' ? $place->spot->name : $sheet->toBuy(),
                    'count' => 1,
                    'for' => $place->spot->name,
                    'again' => '',
                ],
            ]
            : [];
        $inKit = array_column(array_map(fn (KitPiece $piece): array => [$piece->name], $sheet->kitHolds), 0);

        return [
            ...$itself,
            ...in_array($sheet->seal, $inKit, true)
                ? []
                : self::sealOf($sheet->seal, $place->spot->name, $place->timesReused),
        ];
    }

    /** @return list<array{name: string, count: int, for: string, again: string}> */
    private static function sealOf(string $seal, string $for, int $reused): array
    {
        return $seal === '' ? [] : [[
            'name' => $seal,
            'count' => 1,
            'for' => $for,
            'again' => match ($reused) {
                0 => '',
                1 => 'the old one was used again the last time',
                default => "the old one was used again {$reused} times",
            },
        ]];
    }

    /**
     * The same washer for several plugs is one line.
     *
     * @param  list<array{name: string, count: int, for: string, again: string}>  $parts
     * @return list<array{name: string, count: int, for: string, again: string}>
     */
    private static function together(array $parts): array
    {
        $together = [];
        foreach ($parts as $part) {
            $known = $together[$part['name']] ?? null;
            $together[$part['name']] = $known === null ? $part : [
                'name' => $part['name'],
                'count' => $known['count'] + $part['count'],
                'for' => "{$known['for']}, {$part['for']}",
                'again' => $known['again'] === '' ? $part['again'] : $known['again'],
            ];
        }

        return array_values($together);
    }
}
