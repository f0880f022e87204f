<?php

declare(strict_types=1);

namespace App\Rulebook\Kinds;

use App\Contract\Input\TypedNumber;
use App\Contract\Refusal;
use App\Logbook\Acts\Act;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Kinds\StrikeNote;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Logbook\Readings\Reading;
use App\Logbook\StandDowns;
use App\Logbook\StrikeEntry;
use App\Logbook\Told\Told;
use App\Logbook\Told\ToldAgain;
use App\Logbook\Told\WriteTold;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use App\Notes\When;
use App\Rulebook\CountFromNowOn;
use App\Rulebook\RecordService;
use App\Rulebook\ServiceFields;
use Core\Machine\Verdict;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;

/**
 * A reading or a service was wrong: it is struck, and what is right is written beside it. What the correction does not
 * speak of stays as it was told.
 */
final readonly class CorrectionNote implements NoteKind
{
    public function __construct(
        private StrikeEntry $strikeEntry,
        private LogReading $logReading,
        private RecordService $recordService,
        private WriteTold $writeTold,
        private CountFromNowOn $countFromNowOn,
        private Yard $yard,
    ) {}

    public function rules(?Machine $machine): array
    {
        $ofService = array_map(
            fn (array $rules): array => array_filter(
                $rules,
                fn (mixed $rule): bool => ! is_string($rule) || ! str_starts_with($rule, 'required_without'),
            ),
            ServiceFields::rules($machine),
        );

        return [
            ...$ofService,
            'entry' => ['required', 'integer'],
            'because' => ['required', 'string', 'max:500'],
            'tasks' => ['sometimes', 'array', 'max:200'],
            'hours' => ['sometimes', 'nullable', new TypedNumber('The hour meter')],
            'distance' => ['sometimes', 'nullable', new TypedNumber('The odometer')],
        ];
    }

    public function messages(): array
    {
        return [...ServiceFields::messages(), 'because.required' => 'Say why it was wrong.'];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): NoteOutcome
    {
        $wrong = StrikeNote::entry($note);
        if (! in_array($wrong->kind, [EntryKind::Reading, EntryKind::Service], true)) {
            throw Refusal::conflict('Only readings and services are corrected. Strike this one and write it anew.');
        }
        self::authorizeContent($note);
        $machine = $note->machine();
        $lifted = self::lifted($machine, $wrong);
        $circumstances = $this->circumstances($note, $wrong);
        $readings = $this->readings($note, $wrong);
        $told = $this->told($machine, $note, $wrong);
        ($this->strikeEntry)($wrong, $note->by(), $note->given['because']);
        $entry = Entry::write(
            $machine,
            $wrong->kind,
            $circumstances,
            ['uuid' => $note->id, 'corrects_id' => $wrong->id, 'job_id' => $wrong->job_id],
        );
        foreach ($readings as $reading) {
            ($this->logReading)($machine, $reading, $entry, $circumstances, $reading->field());
        }
        self::liftAgain($machine, $lifted, ($this->writeTold)($machine, $entry, $told, $circumstances), $circumstances);
        $wrong->doubts()->update(['answer_id' => $entry->id]);
        ($this->countFromNowOn)($machine, $note->given['anchors'] ?? [], $circumstances);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /**
     * What a service of its own would ask, a correction asks too: it is no way round a role or what a token is for. What
     * else was done asks for itself, as {@see WriteTold} writes it.
     */
    private static function authorizeContent(Note $note): void
    {
        $ofService = array_intersect_key($note->given, array_flip(['tasks', 'greased', 'puts_right', 'anchors']));
        if ($ofService !== []) {
            Gate::forUser($note->by())->authorize('service', $note->machine());
        }
    }

    /** @return array<string, Entry> what lifted the stand-downs of an entry, by the spot and check of their acts */
    private static function lifted(Machine $machine, Entry $wrong): array
    {
        $said = StandDowns::of($machine);

        return $wrong->acts()->standing()->where('verdict', Verdict::StandDown)->get()
            ->mapWithKeys(fn (Act $act): array => ["{$act->spot_id} {$act->check_key}" => $said->liftOf($act->uuid)])
            ->filter()
            ->all();
    }

    /**
     * What was lifted before is lifted again where the correction tells it anew.
     *
     * @param  array<string, Entry>  $lifted
     * @param  list<Act>  $written
     */
    private static function liftAgain(Machine $machine, array $lifted, array $written, Circumstances $circumstances): void
    {
        foreach ($written as $act) {
            $lift = $act->verdict === Verdict::StandDown ? $lifted["{$act->spot_id} {$act->check_key}"] ?? null : null;
            if ($lift !== null) {
                StandDowns::lift($machine, [$act->uuid], $circumstances->saying(
                    "Lifted before this was corrected: {$lift->note}",
                ));
            }
        }
    }

    /** When the wrong entry happened, unless the correction says otherwise; its remark too. */
    private function circumstances(Note $note, Entry $wrong): Circumstances
    {
        $told = $note->circumstances;
        $written = $wrong->day_only ? $this->yard
            ->dayOf($wrong->happened_at)
            ->format('Y-m-d') : $wrong->happened_at
            ->toAtomString();
        $when = $told->when->dayOnly ? $told->when : When::read($written, $this->yard);

        return $told->at($when, $told->note ?? $wrong->note);
    }

    /** @return list<GivenReading> what the meters showed, as corrected or as it was */
    private function readings(Note $note, Entry $wrong): array
    {
        $given = GivenReading::each($note->given);
        $kept = $wrong->readings()
            ->with('meter')
            ->get()
            ->map(
                fn (Reading $reading): GivenReading => new GivenReading(
                    $reading->shown(),
                    $reading->typed,
                    $reading->meter->unit->limit(),
                ),
            );

        return array_values(
            [...$given, ...$kept->filter(fn (GivenReading $old): bool => ! isset($note->given[$old->field()]))->all()],
        );
    }

    /** @return list<Told> the tasks as corrected, and all else that the entry told of */
    private function told(Machine $machine, Note $note, Entry $wrong): array
    {
        $old = $wrong->acts()->standing()->with('spot.grease', 'measure', 'fitting')->get();
        $known = $old->pluck('task_id')->filter()->unique();
        $tasks = new Collection($note->given['tasks'] ?? $known->all());
        $spokenOf = array_intersect_key($note->given, array_flip(['other', 'puts_right']));
        $kept = $old->filter(
            fn (Act $act): bool => $act->task_id === null ? true : $tasks->contains($act->task_id),
        )->map(fn (Act $act): Told => new ToldAgain($act));

        return [
            ...array_values($kept->all()),
            ...$this->recordService->told(
                $machine,
                [
                    ...$spokenOf,
                    'greased' => $note->given['greased'] ?? [],
                    'tasks' => $tasks->diff($known)->values()->all(),
                ],
            ),
        ];
    }
}
