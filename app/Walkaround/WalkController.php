<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Cursor;
use App\People\Person;
use App\Yard\LineShape;
use App\Yard\Machine;
use App\Yard\Reckoning;
use App\Yard\Yard;
use App\Yard\YardLine;
use Core\Inspect\Check;
use Core\Inspect\Occasion;
use Core\Inspect\RoundKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Walking round machines: which there are, what the morning came to, and everything that one walk needs. */
final readonly class WalkController
{
    /** What the morning tells by name; the rest is counted. */
    private const TOLD = 12;

    public function __construct(private Yard $yard, private Sheets $sheets)
    {
    }

    /** The machines this person walks round, by name. */
    public function index(Request $request): JsonResponse
    {
        $cursor = Cursor::of($request);
        YardLine::bringUpToDate($this->yard);
        $person = $this->person($request);
        $list = $this->machines()->when(! $person->may_use_all_machines, fn ($query) => $query->whereIn('machines.id', $person->machines()->select('machines.id')))
            ->orderBy('machines.name')->orderBy('machines.id');

        return $cursor->respond($cursor->page($list), $this->row(...), ['today' => $this->yard->today()->format('Y-m-d')]);
    }

    /** Who has walked what today, what was found, what stands down, and what nobody has looked at for long. */
    public function morning(): JsonResponse
    {
        YardLine::bringUpToDate($this->yard);
        $today = $this->yard->today()->format('Y-m-d');
        $walked = Round::query()->where('day', $today)->whereHas('entry', fn ($entry) => $entry->whereNull('struck_at'))->with('machine:id,name')->orderByDesc('started_at')->limit(100)->get();
        $findings = WalkLine::query()->where('open_findings', '>', 0)->join('machines', 'machines.id', '=', 'walk_lines.machine_id')->where('retired', false)->get(['walk_lines.*', 'machines.name'])
            ->flatMap(fn (WalkLine $line): array => array_map(fn (array $finding): array => ['machine_id' => $line->machine_id, 'machine' => (string) $line->getAttribute('name'), ...$finding], $line->line['findings']))
            ->sortBy([fn (array $one, array $other): int => self::gravity($other) <=> self::gravity($one)])->values();
        $unlooked = $this->machines()->where(fn ($query) => $query->whereNull('looked_at')->orWhere('looked_at', '<', $this->yard->now()->startOfDay()->utc()))
            ->orderByRaw('looked_at is not null')->orderBy('looked_at')->orderBy('machines.name');

        return new JsonResponse([
            'today' => $today,
            'walked' => $walked->map(fn (Round $round): array => ['machine_id' => $round->machine_id, 'machine' => $round->machine->name, ...WalkLine::ofRound($round, $this->yard)])->all(),
            'findings' => $findings->take(self::TOLD)->all(),
            'open_findings' => $findings->count(),
            'stood_down' => YardLine::query()->where('state', 'stood_down')->limit(self::TOLD)->get()->map(fn (YardLine $line): array => ['machine_id' => $line->machine_id, 'machine' => $line->line['name'], ...$line->line['stood_down']])->all(),
            'unlooked' => $unlooked->clone()->limit(self::TOLD)->get()->map(fn (object $row): array => ['machine_id' => $row->id, 'machine' => $row->name, 'days' => $this->daysSince($row->looked_at)])->all(),
            'unlooked_count' => $unlooked->count(),
        ]);
    }

    /** Everything that a walk round one machine needs, with or without signal. */
    public function show(Machine $machine): JsonResponse
    {
        $sheet = $this->sheets->of($machine);
        $reckoning = Reckoning::of($machine->load('meters', 'rules'), $this->yard);
        $day = $this->yard->today();
        $line = LineShape::of($reckoning);

        return new JsonResponse([
            ...array_intersect_key($line, array_flip(['id', 'name', 'class', 'class_label', 'place', 'stood_down', 'meters'])),
            'today' => $day->format('Y-m-d'),
            'checks' => array_map(CheckShape::of(...), $sheet->checks),
            'rounds' => array_map(fn (RoundKind $kind): array => ['kind' => $kind->value, 'label' => $kind->label(), 'keys' => array_map(fn (Check $check): string => $check->key, $sheet->ofRound($kind, $day))], RoundKind::ofChecks()),
            'findings' => array_map(fn (FindingThread $thread): array => $thread->toRecord($this->yard), Findings::open([$machine->id])[$machine->id] ?? []),
            'looks' => $this->looksToday($machine),
            'grease' => GreaseShape::of($machine, $reckoning),
        ]);
    }

    /** A measurement judged while it is typed; nothing is written. */
    public function verdict(Request $request, Machine $machine, string $check): JsonResponse
    {
        $given = $request->validate(['values' => ['present', 'array']]);
        $measured = $this->sheets->of($machine)->find($check);
        abort_if($measured === null, 404);
        $judged = $measured->judge($given['values'], new Occasion($this->yard->today(), $this->yard->coldestNight()));

        return new JsonResponse([
            'verdict' => $judged->verdict?->value,
            'usable' => $judged->isUsable(),
            'why' => $judged->why,
            'do' => $judged->do,
            'limit' => $measured->limits === [] ? '' : $measured->limitSource->inWords(),
            'sources' => $judged->sources,
        ]);
    }

    /** @return list<array<string, mixed>> what was looked at today, on whichever phone */
    private function looksToday(Machine $machine): array
    {
        return array_values(Observation::query()->where('observations.machine_id', $machine->id)->whereNull('struck_at')->whereIn('round_id', Round::query()->select('id')->where(['machine_id' => $machine->id, 'day' => $this->yard->today()->format('Y-m-d')]))
            ->join('rounds', 'rounds.id', '=', 'observations.round_id')->with('person:id,name', 'photos')->orderBy('observations.happened_at')->get(['observations.*', 'rounds.kind as round_kind'])
            ->map(fn (Observation $look): array => ['round' => (string) $look->getAttribute('round_kind'), ...$look->toRecord()])->all());
    }

    private function machines(): \Illuminate\Database\Query\Builder
    {
        return DB::table('machines')->where('machines.retired', false)->leftJoin('walk_lines', 'walk_lines.machine_id', '=', 'machines.id')->leftJoin('yard_lines', 'yard_lines.machine_id', '=', 'machines.id')
            ->select('machines.id', 'machines.name', 'machines.class', 'machines.place', 'walk_lines.looked_at', 'walk_lines.line', 'yard_lines.line as yard_line');
    }

    /** @return array<string, mixed> */
    private function row(object $row): array
    {
        $walk = $row->line === null ? ['last' => null, 'findings' => []] : json_decode($row->line, true, flags: JSON_THROW_ON_ERROR);
        $line = json_decode($row->yard_line ?? '{}', true, flags: JSON_THROW_ON_ERROR);

        return [
            'id' => $row->id, 'name' => $row->name, 'class' => $row->class, 'class_label' => $line['class_label'] ?? $row->class, 'place' => $row->place, 'stood_down' => $line['stood_down'] ?? null,
            'last' => $walk['last'], 'findings' => $walk['findings'], 'days_since' => $this->daysSince($row->looked_at),
        ];
    }

    private function daysSince(?string $lookedAt): ?int
    {
        return $lookedAt === null ? null : (int) $this->yard->dayOf(new \DateTimeImmutable($lookedAt, new \DateTimeZone('UTC')))->diff($this->yard->today())->days;
    }

    /**
     * @param  array<string, mixed>  $finding
     * @return array{int, string}
     */
    private static function gravity(array $finding): array
    {
        return [\Core\Inspect\Verdict::from($finding['verdict'])->rank(), $finding['last_seen']];
    }

    private function person(Request $request): Person
    {
        $person = $request->user();
        assert($person instanceof Person);

        return $person;
    }
}
