<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Cursor;
use App\Logbook\Circumstances;
use Core\Procedure\Caution;
use Core\Schedule\Headline;
use Core\Schedule\MachineClass;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule as Among;

/** The machines of the yard. */
final readonly class MachineController
{
    public function __construct(private Yard $yard)
    {
    }

    /** The yard's sheet, soonest first. */
    public function index(Request $request): JsonResponse
    {
        $filter = $request->validate([
            'class' => ['sometimes', Among::enum(MachineClass::class)],
            'place' => ['sometimes', 'string', 'max:60'],
            'state' => ['sometimes', Among::in(array_keys(Headline::WORDS))],
            'name' => ['sometimes', 'nullable', 'string', 'max:60'],
        ]);
        YardLine::bringUpToDate($this->yard);
        $machines = collect($filter)->only('class', 'place')->filter();
        $lines = YardLine::query()
            ->when($filter['state'] ?? null, fn ($query, string $state) => $query->where('state', $state))
            ->when($machines->isNotEmpty() || isset($filter['name']), fn ($query) => $query->whereIn('machine_id', Machine::query()->select('id')->where($machines->all())
                ->when($filter['name'] ?? null, fn ($named, string $name) => $named->where('name', 'like', '%'.addcslashes($name, '%_\\').'%'))))
            ->orderBy('urgency')->orderBy('days_left')->orderBy('machine_id')
            ->cursorPaginate(Cursor::pageSize($request));

        return Cursor::respond($lines, fn (YardLine $line): array => $line->line);
    }

    public function show(Machine $machine): JsonResponse
    {
        $reckoning = Reckoning::of($machine->load('meters', 'rules'), $this->yard);
        $countdown = $reckoning->countdown();
        $rules = $machine->rules->keyBy('id');

        return $machine->respond([
            ...$machine->toRecord(),
            'line' => LineShape::of($reckoning),
            'meters' => $machine->meters->map(fn (Meter $meter): array => LineShape::meter($meter, $reckoning))->all(),
            'rules' => array_map(fn ($task): array => RuleShape::of($rules[(int) $task->task->id], $task, $machine), $reckoning->outlook->tasks),
            'before_any_work' => Caution::BEFORE_ANY_WORK,
            'countdown' => $countdown === null ? null : [
                'remaining' => (string) $countdown->remaining->stripTrailingZeros(),
                'set' => (string) $countdown->set->stripTrailingZeros(),
                'rings_at' => (string) $countdown->ringsAt->stripTrailingZeros(),
                'past' => $countdown->isPast(),
                'why' => $countdown->why,
            ],
        ]);
    }

    public function store(MachineRequest $request, AddMachine $addMachine): JsonResponse
    {
        $machine = $addMachine($request->validated(), Circumstances::of($request));
        YardLine::rewrite($machine);

        return $machine->respond($machine->refresh()->toRecord(), 201);
    }

    public function update(MachineRequest $request, Machine $machine): JsonResponse
    {
        $given = $request->validated();
        $changed = DB::transaction(function () use ($request, $machine, $given): Machine {
            $changed = $machine->changeAsSeen($request, fn (Machine $current) => $current->fill($given), fn (Machine $current): array => $current->toRecord());
            if ($changed->retired) {
                $changed->yardLine()->delete();
            } else {
                YardLine::rewrite($changed);
            }

            return $changed;
        });

        return $changed->respond($changed->toRecord());
    }
}
