<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Bench\Job;
use App\Bench\Plan\ChosenWorks;
use App\Bench\Plan\PlanJob;
use App\Machines\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What lies on the bench: a service that was made ready the evening before, and is not begun. */
final readonly class DemoBench
{
    public const WRENCHES = [
        ['name' => 'The small click wrench', 'least' => '5 N·m', 'most' => '60 N·m'],
        ['name' => 'The long one', 'least' => '20 ft-lb', 'most' => '150 ft-lb'],
    ];

    private const MACHINE = 'Heron';

    public const JOB = '5e0a4c1e-2f52-4c0e-9d53-6a1c7f3b8e21';

    private const TASK = 'Engine oil and filter';

    public function __construct(private ChosenWorks $chosen, private PlanJob $plan) {}

    public function lay(CarbonImmutable $today, int $by): void
    {
        $machine = Machine::query()->where('name', self::MACHINE)->with('meters')->firstOrFail();
        $wanted = [
            'rules' => array_values(DB::table('rules')->join('tasks', 'tasks.id', '=', 'rules.task_id')
                ->where(['rules.machine_id' => $machine->id, 'tasks.name' => self::TASK])->pluck('rules.id')->map(intval(...))->all()),
            'findings' => [],
            'spots' => [],
        ];
        $works = $this->chosen->of($machine, $wanted);
        Job::query()->create([
            'id' => self::JOB,
            'machine_id' => $machine->id,
            'name' => self::TASK,
            'wanted' => $wanted,
            'raised' => false,
            'plan' => $this->plan->of($machine, $works, false),
            'person_id' => $by,
            'made_at' => $today->subDay()->setTime(17, 40)->utc(),
        ]);
    }
}
