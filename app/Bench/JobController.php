<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Plan\ChosenWorks;
use App\Bench\Plan\PlanJob;
use App\Bench\Plan\WantedWork;
use App\Contract\Device;
use App\Contract\Refusal;
use App\Logbook\Acts\Act;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Machines\Yard;
use App\People\Person;
use App\Shelf\Ready\ReadyWork;
use App\Shelf\Ready\ReadyWorks;
use App\Walkaround\Findings;
use App\Walkaround\FindingThread;
use Carbon\CarbonImmutable;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\SpotKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** Services that are led step by step. */
final readonly class JobController
{
    /** Jobs signed off that are still shown. */
    /** Tasks, findings or points of one job. */
    private const MOST = 60;

    private const SHOWN_DONE = 10;

    private const LONGEST_NAME = 160;

    public function __construct(private ChosenWorks $chosen, private PlanJob $plan) {}

    public function index(): JsonResponse
    {
        $with = ['machine', 'person:id,name', 'told', 'signedOff'];

        return new JsonResponse([
            'open' => Job::query()->open()->with($with)->latest('made_at')->get()->map(JobShape::line(...))->all(),
            'done' => Job::query()->whereHas('signedOff')->with($with)->latest('made_at')
                ->limit(self::SHOWN_DONE)->get()->map(JobShape::line(...))->all(),
        ]);
    }

    /** What a job of a machine may be made of. */
    public function choices(Machine $machine, ReadyWorks $works, Yard $yard): JsonResponse
    {
        $tasks = array_filter($works->all(), fn (ReadyWork $work): bool => $work->machineId === $machine->id);
        $findings = Findings::open([$machine->id])[$machine->id] ?? [];

        return new JsonResponse([
            'works' => array_values(array_map(fn (ReadyWork $work): array => $work->toRecord(), $tasks)),
            'findings' => array_map(fn (FindingThread $thread): array => $thread->toRecord($yard), $findings),
            'never_greased' => self::neverGreased($machine),
            'open_job' => Job::query()->open()->where('machine_id', $machine->id)->latest('made_at')->value('id'),
        ]);
    }

    public function store(Request $request, Machine $machine): JsonResponse
    {
        $given = self::given($request);
        if ($machine->retired) {
            throw Refusal::conflict("{$machine->name} is out of the yard. Put it back first.");
        }
        $person = Person::asking($request);
        $works = $this->chosen->of($machine, $given['wanted']);
        $raised = (bool) ($given['raised'] ?? false);
        $job = Job::query()->create([
            'id' => strtolower($given['id'] ?? (string) Str::uuid()),
            'machine_id' => $machine->id,
            'name' => self::name($works),
            'wanted' => $given['wanted'],
            'raised' => $raised,
            'plan' => $this->plan->of($machine, $works, $raised),
            'person_id' => $person->id,
            'device' => Device::of($request),
            'made_at' => CarbonImmutable::now(),
        ]);

        return $job->respond(JobShape::of($job), 201);
    }

    public function show(Job $job): JsonResponse
    {
        return $job->respond(JobShape::of($job));
    }

    /** Something more is to be done, or something less: what was done stays done. */
    public function update(Request $request, Job $job): JsonResponse
    {
        $given = self::given($request);
        $changed = $job->changeAsSeen($request, function (Job $current) use ($given): void {
            self::refuseSignedOff($current);
            $works = $this->chosen->of($current->machine, $given['wanted']);
            $raised = (bool) ($given['raised'] ?? $current->raised);
            $plan = $this->plan->of($current->machine, $works, $raised);
            self::refuseLeavingOpen($current, $plan);
            $current->fill([
                'name' => self::name($works),
                'wanted' => $given['wanted'],
                'raised' => $raised,
                'plan' => $plan,
            ]);
        }, JobShape::of(...));

        return $changed->respond(JobShape::of($changed));
    }

    /** Nothing was done of it yet. */
    public function destroy(Job $job): Response
    {
        self::refuseSignedOff($job);
        if (JobProgress::of($job)->hasBegun()) {
            throw Refusal::conflict('Something of it was done already. Do up what is open and sign it off: what was not done is put off.');
        }
        $job->delete();

        return new Response('', 204);
    }

    /**
     * The grease points that nobody has ever recorded: behind plates, on pivots, got at while something else is off.
     *
     * @return list<array{id: int, name: string, reach: string}>
     */
    private static function neverGreased(Machine $machine): array
    {
        return array_values($machine->spots()->where(['kind' => SpotKind::GreasePoint, 'retired' => false])
            ->whereNotIn('id', Act::query()->standing()->select('spot_id')->whereNotNull('spot_id')->where([
                'kind' => ActKind::Lubricated,
                'outcome' => Outcome::Done,
            ]))
            ->get()
            ->map(fn (Spot $spot): array => [
                'id' => $spot->id,
                'name' => $spot->name,
                'reach' => $spot->reach !== '' ? $spot->reach : $spot->place,
            ])->all());
    }

    private static function refuseSignedOff(Job $job): void
    {
        if ($job->signedOff !== null) {
            throw Refusal::conflict('It is signed off. Correct its line in the logbook, or make another job.');
        }
    }

    /**
     * A task is taken out in mid-job only where nothing of it stands open.
     *
     * @param  array<string, mixed>  $plan
     */
    private static function refuseLeavingOpen(Job $job, array $plan): void
    {
        $left = array_column($plan['steps'], 'key');
        foreach (JobProgress::of($job)->progress->inPieces() as $step) {
            if (! in_array($step->key, $left, true)) {
                throw Refusal::field('rules', "That cannot be taken out now. First: {$step->says}");
            }
        }
    }

    /** @param  non-empty-list<WantedWork>  $works */
    private static function name(array $works): string
    {
        $names = array_map(fn (WantedWork $work): string => $work->name, $works);

        return mb_substr($names[0].match (count($names)) {
            1 => '',
            2 => ", {$names[1]}",
            default => ", {$names[1]} and ".(count($names) - 2).' more',
        }, 0, self::LONGEST_NAME);
    }

    /** @return array{id: string|null, raised: bool|null, wanted: array{rules: list<int>, findings: list<string>, spots: list<int>}} what a job is made of */
    private static function given(Request $request): array
    {
        $given = $request->validate([
            'id' => ['sometimes', 'uuid'],
            'rules' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'rules.*' => ['integer', 'distinct'],
            'findings' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'findings.*' => ['string', 'max:40', 'distinct'],
            'spots' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'spots.*' => ['integer', 'distinct'],
            'raised' => ['sometimes', 'boolean'],
        ]);

        return ['id' => $given['id'] ?? null, 'raised' => $given['raised'] ?? null, 'wanted' => [
            'rules' => $given['rules'] ?? [],
            'findings' => $given['findings'] ?? [],
            'spots' => $given['spots'] ?? [],
        ]];
    }
}
