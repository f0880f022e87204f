<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Machines\Sheets;
use App\Machines\Spot;
use Core\Machine\MachineClass;
use Core\Machine\SpotKind;
use Core\Machine\TaskKind;
use Core\Starter\Starters;
use Core\Supply\Materials\TaskOpening;
use Core\Supply\Materials\TaskPlace;
use Core\Supply\Materials\TaskWork;
use Core\Supply\PartKind;
use Core\Supply\PartSheet;

/** The places where tasks are done, with what is written down of them. */
final readonly class TaskPlaces
{
    /** @var array<int, Spot> by id */
    private array $spots;

    /** @var array<string, Spot> by machine and key */
    private array $byKey;

    /** @var array<int, list<Spot>> by compartment */
    private array $openings;

    /**
     * @param  iterable<Spot>  $spots  with their sheets: at least the tasks' own, what they sit in or share with, and their openings
     * @param  array<int, MachineClass>  $classes  by machine
     */
    public function __construct(iterable $spots, private Fitted $fitted, private array $classes)
    {
        $byId = $byKey = $openings = [];
        foreach ($spots as $spot) {
            $byId[$spot->id] = $byKey["{$spot->machine_id} {$spot->key}"] = $spot;
            if ($spot->kind === SpotKind::Opening && $spot->parent_id !== null) {
                $openings[$spot->parent_id][] = $spot;
            }
        }
        $this->spots = $byId;
        $this->byKey = $byKey;
        $this->openings = $openings;
    }

    public function spot(int $machine, string $key): ?Spot
    {
        return $this->byKey["{$machine} {$key}"] ?? null;
    }

    /**
     * @param  array<int|string>  $at  ids of spots
     * @param  string|null  $topUp  what runs out with the filters and is poured back
     */
    public function work(TaskKind $kind, array $at, ?string $topUp = null): TaskWork
    {
        $places = [];
        foreach ($at as $id) {
            $spot = $this->spots[$id] ?? null;
            foreach (array_filter([$spot, $this->spots[$spot->shares_with_id ?? 0] ?? null]) as $place) {
                $places[$place->id] ??= $this->place($place);
            }
        }

        return new TaskWork($kind, array_values($places), $topUp);
    }

    private function place(Spot $spot): TaskPlace
    {
        $in = $this->spots[$spot->parent_id ?? 0] ?? null;
        $core = $spot->toCore($in?->key);
        $reused = $this->fitted->timesReused($spot->id);

        return match ($spot->kind) {
            SpotKind::Compartment => new TaskPlace(
                $core,
                Sheets::compartment($spot),
                array_map($this->opening(...), $this->openings[$spot->id] ?? []),
            ),
            SpotKind::Part => TaskPlace::ofPart(
                $core,
                $this->part($spot),
                $reused,
                $in?->kind === SpotKind::Compartment ? Sheets::compartment($in) : null,
            ),
            SpotKind::Opening => new TaskPlace($core, openings: [$this->opening($spot)]),
            default => new TaskPlace($core),
        };
    }

    /** A filter is one by its spot, whether its number is written down or not. */
    private function part(Spot $spot): PartSheet
    {
        $sheet = Sheets::part($spot);
        $usual = Starters::for($this->classes[$spot->machine_id])->spots()[$spot->key]->part ?? PartKind::Other;

        return $sheet->kind === PartKind::Other ? new PartSheet($usual, $sheet->numbers, $sheet->fitting) : $sheet;
    }

    private function opening(Spot $spot): TaskOpening
    {
        return TaskOpening::of($spot->toCore(), Sheets::opening($spot), $this->fitted->timesReused($spot->id));
    }
}
