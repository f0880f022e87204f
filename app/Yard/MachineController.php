<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Cursor;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Rulebook\Standings\MeterShape;
use App\Rulebook\Standings\Reckoning;
use Core\Forecast\FirstThings;
use Core\Forecast\TaskStanding;
use Core\Machine\Caution;
use Core\Machine\MachineClass;
use Core\Schedule\Headline;
use Core\Schedule\Warranty;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule as Among;

/** The machines of the yard. */
final readonly class MachineController
{
    public function __construct(private Yard $yard) {}

    /** The yard's sheet, soonest first. */
    public function index(Request $request): JsonResponse
    {
        $filter = $request->validate([
            'class' => ['sometimes', Among::enum(MachineClass::class)],
            'place' => ['sometimes', 'string', 'max:60'],
            'state' => ['sometimes', Among::in(array_keys(Headline::WORDS))],
            'name' => ['sometimes', 'nullable', 'string', 'max:60'],
        ]);
        $cursor = Cursor::of($request);
        YardLine::bringUpToDate($this->yard);
        $machines = new Collection(array_filter(array_intersect_key($filter, ['class' => true, 'place' => true])));
        $lines = YardLine::query()->toBase()
            ->when($filter['state'] ?? null, fn ($query, string $state) => $query->where('state', $state))
            ->when($machines->isNotEmpty() || isset($filter['name']), fn ($query) => $query->whereIn('machine_id', Machine::query()->select('id')->where($machines->all())
                ->when(
                    $filter['name'] ?? null,
                    fn ($named, string $name) => $named->where('name', 'like', '%'.addcslashes($name, '%_\\').'%'),
                )))
            ->orderBy('urgency')->orderBy('days_left')->orderBy('machine_id');

        return $cursor->respondWithJson($cursor->page($lines), fn (\stdClass $line): string => $line->line);
    }

    public function show(Machine $machine): JsonResponse
    {
        $reckoning = Reckoning::of($machine->load('meters', 'rules', 'sharedRulebook.machines'), $this->yard);
        $countdown = $reckoning->countdown();

        return $machine->respond([
            ...$machine->toRecord(),
            'line' => LineShape::of($reckoning),
            'meters' => $machine->meters->map(fn (Meter $meter): array => MeterShape::of($meter, $reckoning))->all(),
            'rules' => (new ToldRules($reckoning))->all(),
            'first_things' => $this->firstThings($reckoning),
            'warranties' => $this->warranties($reckoning),
            'shared_rulebook' => $machine->sharedRulebook?->toRecord(),
            'left_out' => $machine->sharedRulebook?->leftOutBy($machine) ?? [],
            'reminder' => MeterTold::reminder($reckoning),
            'meter_truth' => MeterTold::truth($machine, $this->yard),
            'before_any_work' => Caution::BeforeAnyWork->says(),
            'countdown' => $countdown === null ? null : [
                'remaining' => (string) $countdown->remaining->stripTrailingZeros(),
                'set' => (string) $countdown->set->stripTrailingZeros(),
                'rings_at' => (string) $countdown->ringsAt->stripTrailingZeros(),
                'past' => $countdown->isPast(),
                'why' => $countdown->why,
            ],
        ]);
    }

    /** How the machine is used, week by week, and what is expected of it. */
    public function use(Machine $machine): JsonResponse
    {
        return new JsonResponse(UseShape::of($machine->load('meters'), $this->yard));
    }

    public function store(MachineRequest $request, AddMachine $addMachine): JsonResponse
    {
        $machine = $addMachine($request->validated(), Circumstances::of($request));
        event(new FactsChanged([$machine->id]));

        return $machine->respond($machine->refresh()->toRecord(), 201);
    }

    public function update(MachineRequest $request, Machine $machine): JsonResponse
    {
        $given = $request->validated();
        $changed = DB::transaction(function () use ($request, $machine, $given): Machine {
            $changed = $machine->changeAsSeen(
                $request,
                fn (Machine $current) => $current->fill(MachineRequest::columns($given)),
                fn (Machine $current): array => $current->toRecord(),
            );
            if ($changed->retired) {
                YardLine::query()->whereKey($changed->id)->delete();
            } else {
                event(new FactsChanged([$changed->id]));
            }

            return $changed;
        });

        return $changed->respond($changed->toRecord());
    }

    /** @return list<array{reason: string, rule_ids: list<int>}> what to do first where nobody knows the past */
    private function firstThings(Reckoning $reckoning): array
    {
        return array_map(fn (FirstThings $turn): array => [
            'reason' => $turn->reason,
            'rule_ids' => array_map(fn (TaskStanding $task): int => (int) $task->task->id, $turn->tasks),
        ],
            FirstThings::of(array_values($reckoning->standings)));
    }

    /** @return list<string> those that run */
    private function warranties(Reckoning $reckoning): array
    {
        $now = $reckoning->now();
        $running = array_filter(
            [
                'Warranty' => $reckoning->machine->warranty(),
                'Extended warranty' => $reckoning->machine->extendedWarranty(),
            ],
            fn (Warranty $warranty): bool => $warranty->runs($now),
        );

        return array_map(
            fn (string $name, Warranty $warranty): string => "{$name} {$warranty->inWords()}",
            array_keys($running),
            array_values($running),
        );
    }
}
