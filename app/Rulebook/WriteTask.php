<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Refusal;
use App\Machines\AddSpot;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Spot;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\TaskKind;
use Core\Machine\TaskName;
use Illuminate\Support\Collection;

/** Writes down what a rule asks for: an act at some spots of a machine, of which some may be new. */
final readonly class WriteTask
{
    public function __construct(private AddSpot $addSpot, private CheckLists $checkLists) {}

    /**
     * @param  array<string, mixed>  $given  `task`, `kind`, `spots`, `new_spots` and `check` as {@see RuleRequest}
     *     validates them
     * @param  string  $path  of these fields in the request
     *
     * @throws Refusal if it names a spot or a check that the machine has not, or none at all
     */
    public function __invoke(Machine $machine, Task $task, array $given, string $path = ''): Task
    {
        $kind = isset($given['kind']) ? TaskKind::from($given['kind']) : $task->kind;
        $spots = isset($given['spots'])
            || isset($given['new_spots'])
            || ! $task->exists
            ? $this->spots($machine, $given, $path)
            : $task->spots->toBase();
        if ($spots->isEmpty() && $kind !== TaskKind::Lubricate) {
            throw Refusal::field("{$path}spots", 'Say at which spot of the machine it is done.');
        }
        $check = array_key_exists('check', $given) ? $given['check'] : $task->check_key;
        if ($check !== null && $check !== $task->check_key && $this->checkLists->find($machine, $check) === null) {
            throw Refusal::field("{$path}check", "{$machine->name} has no such check.");
        }
        $name = trim($given['task'] ?? '')
            ?: $task->name
            ?? TaskName::of(array_values($spots->map(fn (Spot $spot): CoreSpot => $spot->toCore())->all()));
        $task->fill(
            [
                'machine_id' => $machine->id,
                'name' => $name ?: 'Grease all points',
                'kind' => $kind,
                'check_key' => $check,
            ],
        )->save();
        $task->doAt($spots->pluck('id')->all());

        return $task;
    }

    /**
     * @param  array<string, mixed>  $given
     * @return Collection<int, Spot>
     */
    private function spots(Machine $machine, array $given, string $path): Collection
    {
        $keys = array_unique($given['spots'] ?? []);
        $known = Spot::query()->where('machine_id', $machine->id)->whereIn('key', $keys)->get()->keyBy('key');
        $spots = collect($keys)->map(
            fn (string $key, int $at): Spot => $known[$key]
                ?? throw Refusal::field("{$path}spots.{$at}", "{$machine->name} has no spot \"{$key}\"."),
        );

        return $spots->concat(
            array_map(fn (array $new): Spot => ($this->addSpot)($machine, $new), $given['new_spots'] ?? []),
        )->values();
    }
}
