<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use App\Contract\Refusal;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Rulebook\RecordService;
use App\Rulebook\Rule;
use App\Walkaround\Findings;
use App\Walkaround\FindingThread;
use Core\Machine\SpotKind;
use Core\Machine\TaskKind;

/** What somebody chose for a job, found in the rulebook, among what was found, and on the machine. */
final readonly class ChosenWorks
{
    public function __construct(private RecordService $recordService) {}

    /**
     * @param  array{rules?: list<int>, findings?: list<string>, spots?: list<int>}  $wanted
     * @return non-empty-list<WantedWork>
     *
     * @throws Refusal if nothing was chosen, or something is none of this machine's
     */
    public function of(Machine $machine, array $wanted): array
    {
        $works = [
            ...$this->rules($machine, $wanted['rules'] ?? []),
            ...$this->findings($machine, $wanted['findings'] ?? []),
            ...$this->spots($machine, $wanted['spots'] ?? []),
        ];

        return $works === [] ? throw Refusal::field('rules', 'Choose at least one thing to do.') : $works;
    }

    /**
     * @param  list<int>  $ids
     * @return list<WantedWork>
     */
    private function rules(Machine $machine, array $ids): array
    {
        $rules = Rule::query()->whereKey($ids)->where(['machine_id' => $machine->id, 'retired' => false])
            ->with('task.spots.sheet')->orderBy('id')->get();
        if ($rules->count() !== count(array_unique($ids))) {
            throw Refusal::field('rules', "One of these tasks is not in the rulebook of {$machine->name}.");
        }

        return array_values($rules->map(fn (Rule $rule): WantedWork => new WantedWork(
            $rule->task->name,
            $rule->task->kind,
            $this->recordService->spots($machine, $rule->task),
            $rule->id,
            $rule->task_id,
            $rule->task->check_key,
        ))->all());
    }

    /**
     * @param  list<string>  $checks
     * @return list<WantedWork>
     */
    private function findings(Machine $machine, array $checks): array
    {
        $open = [];
        foreach ($checks === [] ? [] : Findings::open([$machine->id])[$machine->id] ?? [] as $thread) {
            $open[$thread->latest()->check_key] = $thread;
        }

        return array_map(function (string $check) use ($open, $machine): WantedWork {
            $thread = $open[$check] ?? throw Refusal::field('findings', "Nothing of that is open on {$machine->name} any more.");

            return self::finding($thread);
        }, $checks);
    }

    private static function finding(FindingThread $thread): WantedWork
    {
        $act = $thread->latest();

        return new WantedWork(
            trim("{$act->title}: {$act->words}", ': '),
            TaskKind::Adjust,
            collect([$act->spot]),
            finding: $act->check_key,
        );
    }

    /**
     * @param  list<int>  $ids
     * @return list<WantedWork> what sits there, to be replaced; a grease point, to be greased
     */
    private function spots(Machine $machine, array $ids): array
    {
        $spots = Spot::query()->whereKey($ids)->where(['machine_id' => $machine->id, 'retired' => false])
            ->whereIn('kind', [SpotKind::Part, SpotKind::Opening, SpotKind::GreasePoint])->with('sheet')->orderBy('position')->get();
        if ($spots->count() !== count(array_unique($ids))) {
            throw Refusal::field('spots', "{$machine->name} has no such part or grease point.");
        }

        return array_values($spots->map(
            fn (Spot $spot): WantedWork => new WantedWork(
                $spot->name,
                $spot->kind === SpotKind::GreasePoint ? TaskKind::Lubricate : TaskKind::Replace,
                collect([$spot]),
            ),
        )->all());
    }
}
