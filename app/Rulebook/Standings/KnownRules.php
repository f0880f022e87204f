<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Rulebook\Written\WrittenRule;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Machine\Subject;
use Core\Machine\Task;
use Core\Machine\TaskKind;
use Core\Machine\Whereabouts;
use Core\Schedule\Anchor;
use Core\Schedule\Rule;
use Core\Schedule\RulebookLine;
use Core\Schedule\RuleSource;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The rules of some machines, read in three queries however many they are. */
final class KnownRules
{
    /** Of a spot, what the reckoning knows it by. */
    private const SPOT = [
        'spots.id',
        'spots.machine_id',
        'spots.key',
        'spots.kind',
        'spots.subject',
        'spots.name',
        'spots.place',
        'spots.compartment',
        'spots.role',
    ];

    /** @var array<string, Rule|null> by how they are written: in one yard many rules read alike */
    private array $alike = [];

    /** @var array<int, array<int, Spot>> by task id, by spot id */
    private array $places = [];

    /** @var array<int, array<int, Spot>> grease points by machine id, by spot id */
    private array $points = [];

    /**
     * @param  list<int>  $machineIds
     * @return array<int, array<int, KnownRule>> by machine id, by rule id in the order of the rulebook
     */
    public static function of(array $machineIds): array
    {
        $rows = DB::table('rules')->join('tasks', 'tasks.id', '=', 'rules.task_id')
            ->whereIn('rules.machine_id', $machineIds)->where('retired', false)
            ->orderBy('rules.id')
            ->get(['rules.*', 'tasks.name', 'tasks.kind', 'tasks.check_key'])
            ->groupBy('machine_id')->all();
        $read = new self;
        $read->readPlaces($machineIds);
        $isGreasing = fn (\stdClass $row): bool => $row->kind === TaskKind::Lubricate->value
            && ! isset($read->places[$row->task_id]);
        $read->readPoints(array_keys(array_filter($rows, fn ($ofMachine): bool => $ofMachine->contains($isGreasing))));
        $known = array_fill_keys($machineIds, []);
        foreach ($rows as $machine => $ofMachine) {
            $known[$machine] = $read->rules($ofMachine->all(), $machine);
        }

        return $known;
    }

    /** @return array<int, KnownRule> those of one machine, by rule id */
    public static function ofMachine(int $machineId): array
    {
        return self::of([$machineId])[$machineId];
    }

    /**
     * The rule by which each grease point is greased; its own before the set's.
     *
     * @param  array<int, KnownRule>  $rules  of one machine
     * @return array<int, KnownRule> by spot id
     */
    public static function byPoint(array $rules): array
    {
        $greasing = array_filter($rules, fn (KnownRule $rule): bool => $rule->line->task->kind === TaskKind::Lubricate);
        uasort($greasing, fn (KnownRule $one, KnownRule $other): int => $one->isOfAllPoints <=> $other->isOfAllPoints);
        $byPoint = [];
        foreach ($greasing as $rule) {
            $byPoint += array_fill_keys(array_keys($rule->places), $rule);
        }

        return $byPoint;
    }

    /**
     * @param  array<\stdClass>  $rows  of one machine
     * @return array<int, KnownRule>
     */
    private function rules(array $rows, int $machine): array
    {
        $ownPoints = [];
        foreach ($rows as $row) {
            $ownPoints += $row->kind === TaskKind::Lubricate->value ? $this->places[$row->task_id] ?? [] : [];
        }
        $rules = [];
        foreach ($rows as $row) {
            $kind = TaskKind::from($row->kind);
            $isOfAllPoints = $kind === TaskKind::Lubricate && ! isset($this->places[$row->task_id]);
            $places = $isOfAllPoints
                ? array_diff_key($this->points[$machine] ?? [], $ownPoints)
                : $this->places[$row->task_id] ?? [];
            $keys = $isOfAllPoints ? [] : array_column($places, 'key');
            $rules[$row->id] = new KnownRule(
                $row->id,
                $row->task_id,
                $isOfAllPoints,
                (bool) $row->counts_from_beginning,
                new RulebookLine(
                    new Task((string) $row->id, $row->name, $kind, $keys, $row->check_key),
                    $this->rule($row),
                    $row->goes_with_id === null ? null : (string) $row->goes_with_id,
                ),
                $places,
            );
        }

        return $rules;
    }

    private function rule(\stdClass $row): ?Rule
    {
        $written = [
            $row->every,
            $row->first,
            $row->anchor,
            $row->early,
            $row->late,
            $row->source,
            $row->book,
            $row->windows,
            $row->condition,
            $row->goes_with_id === null,
        ];
        $key = implode("\n", $written);
        if (! array_key_exists($key, $this->alike)) {
            /** @var \Closure(?string): (array<mixed>|null) $json */
            $json = fn (?string $column): ?array => $column === null
                ? null
                : json_decode($column, true, flags: JSON_THROW_ON_ERROR);
            $this->alike[$key] = WrittenRule::toCore(
                $json($row->every) ?? [],
                array_values($json($row->first) ?? []),
                Anchor::from($row->anchor),
                $row->early,
                $row->late,
                RuleSource::from($row->source),
                $json($row->book),
                $row->windows === null ? null : array_values($json($row->windows) ?? []),
                $row->condition,
                $row->goes_with_id !== null,
            );
        }

        return $this->alike[$key];
    }

    /** @param  list<int>  $machineIds */
    private function readPlaces(array $machineIds): void
    {
        // Where compartments share their fluid, acts stand at the one that holds it.
        $spots = DB::table('task_spots')
            ->join('spots as named', 'named.id', '=', 'task_spots.spot_id')
            ->join('spots', 'spots.id', '=', DB::raw('coalesce(named.shares_with_id, named.id)'))
            ->orderBy('task_spots.position');
        foreach (self::ofMachines($spots, $machineIds, 'task_spots.task_id') as $row) {
            $this->places[$row->task_id][$row->id] = self::spot($row);
        }
    }

    /** @param  list<int>  $machineIds */
    private function readPoints(array $machineIds): void
    {
        $points = DB::table('spots')->where(['kind' => SpotKind::GreasePoint, 'retired' => false])
            ->orderBy('position')->orderBy('id');
        foreach ($machineIds === [] ? [] : self::ofMachines($points, $machineIds) as $row) {
            $this->points[$row->machine_id][$row->id] = self::spot($row);
        }
    }

    /**
     * @param  list<int>  $machineIds
     * @return iterable<\stdClass>
     */
    private static function ofMachines(Builder $spots, array $machineIds, string ...$besides): iterable
    {
        return $spots->whereIn('spots.machine_id', $machineIds)->get([...self::SPOT, ...$besides]);
    }

    private static function spot(\stdClass $row): Spot
    {
        return new Spot(
            $row->key,
            SpotKind::from($row->kind),
            Subject::from($row->subject),
            $row->name,
            new Whereabouts($row->place),
            compartment: $row->compartment === null ? null : CompartmentKind::from($row->compartment),
            role: $row->role === null ? null : OpeningRole::from($row->role),
        );
    }
}
