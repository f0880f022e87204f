<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Cursor;
use App\Logbook\Acts\Act;
use App\Logbook\Doubt;
use App\Logbook\EntryShape;
use App\Logbook\EntryWords;
use App\Logbook\Round;
use App\Logbook\StandDowns;
use App\Logbook\Told\Poured;
use App\Logbook\Told\WriteTold;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Spot;
use App\Machines\Yard;
use App\People\Person;
use App\Rulebook\Standings\MeterShape;
use App\Rulebook\Standings\Reckoning;
use Core\Form\HalfTyped;
use Core\Inspect\Check;
use Core\Inspect\Degree;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Inspect\RoundKind;
use Core\Inspect\Symptom;
use Core\Machine\ActKind;
use Core\Machine\MachineClass;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\Verdict;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Rows;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Walking round machines: which there are, what the morning came to, and everything that one walk needs. */
final readonly class WalkController
{
    /** What the morning tells by name; the rest is counted. */
    private const TOLD = 12;

    public function __construct(private Yard $yard, private CheckLists $checkLists, private WriteTold $writeTold) {}

    /** The machines this person walks round: those first that nobody has looked at, then by how long ago somebody did. */
    public function index(Request $request): JsonResponse
    {
        $cursor = Cursor::of($request);
        WalkLine::bringUpToDate($this->yard, $this->checkLists);
        $person = Person::asking($request);
        $list = $this->machines()->when(
            ! $person->may_use_all_machines,
            fn ($query) => $query->whereIn('machines.id', $person->machineIds()),
        )
            ->selectRaw("coalesce(looked_at, '1970-01-01') as seen")
            ->orderBy('seen')->orderBy('machines.name')->orderBy('machines.id');

        $page = $cursor->page($list);
        $down = StandDowns::standingOf();

        return $cursor->respond(
            $page,
            fn (\stdClass $row): array => $this->row($row, $down),
            ['today' => $this->yard->today()->format('Y-m-d')],
        );
    }

    /** Who has walked what today, what was found, what stands down, and what nobody has looked at for long. */
    public function morning(Request $request): JsonResponse
    {
        WalkLine::bringUpToDate($this->yard, $this->checkLists);
        $today = $this->yard->today()->format('Y-m-d');
        $walked = Round::query()->standing()
            ->where('day', $today)
            ->with('machine')
            ->orderByDesc('started_at')
            ->limit(100)
            ->get();
        $findings = WalkLine::query()->where('open_findings', '>', 0)
            ->join('machines', 'machines.id', '=', 'walk_lines.machine_id')
            ->where('retired', false)
            ->get(['walk_lines.*', 'machines.name'])
            ->flatMap(
                fn (WalkLine $line): array => array_map(
                    fn (array $finding): array => [
                        'machine_id' => $line->machine_id,
                        'machine' => (string) $line->getAttribute('name'),
                        ...$finding,
                    ],
                    $line->line['findings'],
                ),
            )
            ->sortBy([fn (array $one, array $other): int => self::gravity($other) <=> self::gravity($one)])->values();
        $standing = StandDowns::standingOf();
        $open = Findings::open(array_values($walked->pluck('machine_id')->unique()->all()));
        $down = $standing->take(self::TOLD);
        $names = Machine::query()->whereKey($down->keys())->pluck('name', 'id');
        $unlooked = $this->machines()->where(
            fn ($query) => $query->whereNull('looked_at')->orWhere(
                'looked_at',
                '<',
                $this->yard->now()->startOfDay()->utc(),
            ),
        )
            ->orderByRaw('looked_at is not null')->orderBy('looked_at')->orderBy('machines.name');

        $questions = $this->questions(Person::asking($request));

        return new JsonResponse([
            'today' => $today,
            'walked' => $walked->map(
                fn (Round $round): array => [
                    'machine_id' => $round->machine_id,
                    'machine' => $round->machine->name,
                    ...WalkLine::ofRound(
                        $round,
                        $this->yard,
                        $this->checkLists,
                        $open[$round->machine_id] ?? [],
                        $standing[$round->machine_id] ?? null,
                    ),
                ],
            )->all(),
            'findings' => $findings->take(self::TOLD)->all(),
            'open_findings' => $findings->count(),
            'stood_down' => $down->map(
                fn (StandDowns $said, int $id): array => [
                    'machine_id' => $id,
                    'machine' => $names[$id],
                    ...(array) StandDowns::shape($said, $this->yard),
                ],
            )->values()->all(),
            'questions' => $questions->clone()->latest('id')->limit(self::TOLD)
                ->with(array_map(fn (string $with): string => "entry.{$with}", EntryShape::WITH))->get()
                ->map(fn (Doubt $doubt): array => [
                    'id' => $doubt->id,
                    'asks' => $doubt->asks,
                    'machine_id' => (int) $doubt->entry->machine_id,
                    'machine' => (string) $doubt->entry->machine?->name,
                    'entry_id' => $doubt->entry_id,
                    'in_words' => EntryWords::of($doubt->entry),
                    'by' => $doubt->entry->person?->name,
                ])->all(),
            'open_questions' => $questions->count(),
            'unlooked' => $unlooked->clone()
                ->limit(self::TOLD)
                ->get()
                ->map(
                    fn (\stdClass $row): array => [
                        'machine_id' => $row->id,
                        'machine' => $row->name,
                        'days' => $this->daysSince($row->looked_at),
                    ],
                )
                ->all(),
            'unlooked_count' => $unlooked->count(),
        ]);
    }

    /** @return Builder<Doubt> what nobody has answered: of everybody's entries for whoever may service, else of one's own */
    private function questions(Person $person): Builder
    {
        return Doubt::query()->open()->whereHas('entry', fn ($entries) => $entries
            ->whereHas('machine', fn ($machines) => $machines->where('retired', false))
            ->when(! $person->role->mayService(), fn ($own) => $own->where('person_id', $person->id)));
    }

    /** Everything that a walk round one machine needs, with or without signal. */
    public function show(Machine $machine): JsonResponse
    {
        $list = $this->checkLists->of($machine);
        $reckoning = Reckoning::of($machine->load('meters'), $this->yard);
        $day = $this->yard->today();

        return new JsonResponse([
            ...self::named($machine),
            'stood_down' => StandDowns::shape($reckoning->standDowns, $this->yard),
            'meters' => array_map(
                fn (Meter $meter): array => MeterShape::of($meter, $reckoning),
                $machine->currentMeters(),
            ),
            'today' => $day->format('Y-m-d'),
            'checks' => array_map(CheckShape::of(...), $list->checks),
            'rounds' => array_map(
                fn (RoundKind $kind): array => [
                    'kind' => $kind->value,
                    'label' => $kind->label(),
                    'keys' => array_map(fn (Check $check): string => $check->key, $list->ofRound($kind, $day)),
                ],
                RoundKind::ofChecks(),
            ),
            'findings' => array_map(
                fn (FindingThread $thread): array => $thread->toRecord($this->yard),
                Findings::open([$machine->id])[$machine->id] ?? [],
            ),
            'looks' => $this->looksToday($machine),
            'grease' => GreaseShape::of($machine, $reckoning),
            ...self::found($machine),
        ]);
    }

    /** A measurement judged while it is typed; nothing is written. */
    public function verdict(Request $request, Machine $machine, string $check): JsonResponse
    {
        $given = $request->validate(['values' => ['present', 'array']]);
        $measured = $this->checkLists->of($machine)->find($check);
        abort_if($measured === null, 404);
        ['answer' => $judged, 'missing' => $missing, 'wrong' => $wrong] = HalfTyped::read(
            fn (): Judged => $measured->judge(
                $given['values'],
                new Occasion($this->yard->today(), $this->yard->coldestNight()),
            ),
        );

        return new JsonResponse([
            'answer' => $judged === null ? null : [
                'verdict' => $judged->verdict?->value,
                'usable' => $judged->isUsable(),
                'why' => $judged->why,
                'do' => $judged->do,
                'limit' => $measured->measuring->limits === [] ? '' : $measured->measuring->source->inWords(),
                'sources' => $judged->sources,
                'asks' => $this->asksOf($machine, $measured, $given['values']),
            ],
            'missing' => (object) [...$missing, ...$measured->leftUndone($given['values'])],
            'wrong' => (object) $wrong,
        ]);
    }

    /**
     * @param  array<string, mixed>  $values  as its instrument could read them
     * @return list<string> what there is to ask of what was poured in with it
     */
    private function asksOf(Machine $machine, Check $check, array $values): array
    {
        $topUp = (string) ($values['topped_up'] ?? '');
        $spot = $topUp === '' ? null : $machine->spots->firstWhere('key', $check->manner->spot);

        return $spot === null ? [] : $this->writeTold->questions($machine, Poured::asLevelWasRead($spot, $check, $topUp));
    }

    /** @return list<array<string, mixed>> what was looked at today, on whichever phone */
    private function looksToday(Machine $machine): array
    {
        $rounds = Round::query()->where(
            ['machine_id' => $machine->id, 'day' => $this->yard->today()->format('Y-m-d')],
        )->pluck('kind', 'id');
        $looks = Act::query()->standing()
            ->whereIn('kind', [ActKind::Looked, ActKind::Measured])
            ->whereHas('entry', fn ($entries) => $entries->whereIn('round_id', $rounds->keys()))
            ->with('entry:id,round_id', 'person:id,name', 'photos', 'spot', 'doubts')->orderBy('happened_at')->get();

        return array_values(
            $looks->map(
                fn (Act $look): array => ['round' => $rounds[$look->entry->round_id]->value, ...$look->toRecord()],
            )->all(),
        );
    }

    /** @return array<string, mixed> what is needed to tell of something that no check looks at */
    private static function found(Machine $machine): array
    {
        $spots = array_values($machine->spots->map(fn (Spot $spot): CoreSpot => $spot->toCore())->all());
        $named = fn (CoreSpot $spot): array => ['key' => $spot->key, 'name' => $spot->name];

        return [
            'spots' => array_map(fn (CoreSpot $spot): array => [...$named($spot), 'acts' => array_map(fn (ActKind $act): array => [
                'act' => $act->value, 'label' => $act->word(), 'asks' => $act->asks(),
            ], ActKind::at($spot->kind))], $spots),
            'symptoms' => array_values(array_filter(array_map(fn (Symptom $symptom): array => [
                'symptom' => $symptom->value, 'label' => $symptom->label(), 'spots' => array_map(
                    $named,
                    $symptom->among($spots),
                ),
            ], Symptom::cases()), fn (array $symptom): bool => $symptom['spots'] !== [])),
            'usual_degrees' => array_map(CheckShape::degree(...), Degree::usual()),
        ];
    }

    /** @return Rows machines in the yard, with what is kept of their last round */
    private function machines(): Rows
    {
        return DB::table('machines')->where('machines.retired', false)->leftJoin(
            'walk_lines',
            'walk_lines.machine_id',
            '=',
            'machines.id',
        )
            ->select(
                'machines.id',
                'machines.name',
                'machines.class',
                'machines.place',
                'walk_lines.looked_at',
                'walk_lines.line',
            );
    }

    /**
     * @param  Collection<int, StandDowns>  $down
     * @return array<string, mixed>
     */
    private function row(\stdClass $row, Collection $down): array
    {
        // A line outdated since it was brought up to date may not be told at all yet.
        $walk = json_decode($row->line ?? '{}', true, flags: JSON_THROW_ON_ERROR) + ['last' => null, 'findings' => []];

        return [
            ...self::named($row),
            'stood_down' => StandDowns::shape($down[$row->id] ?? null, $this->yard),
            'last' => $walk['last'],
            'findings' => $walk['findings'],
            'days_since' => $this->daysSince($row->looked_at),
            'walked_today' => $walk['last'] !== null && $walk['last']['ended'] && $walk['last']['day'] === $this->yard->today()->format('Y-m-d'),
        ];
    }

    /** @return array<string, mixed> */
    private static function named(Machine|\stdClass $machine): array
    {
        $class = $machine->class instanceof MachineClass ? $machine->class : MachineClass::from($machine->class);

        return [
            'id' => $machine->id,
            'name' => $machine->name,
            'class' => $class->value,
            'class_label' => $class->label(),
            'place' => $machine->place,
        ];
    }

    private function daysSince(?string $lookedAt): ?int
    {
        return $lookedAt === null
            ? null
            : (int) $this->yard->dayOf(
                new \DateTimeImmutable($lookedAt, new \DateTimeZone('UTC')),
            )->diff($this->yard->today())->days;
    }

    /**
     * @param  array<string, mixed>  $finding
     * @return array{int, string}
     */
    private static function gravity(array $finding): array
    {
        return [Verdict::from($finding['verdict'])->rank(), $finding['last_seen']];
    }
}
