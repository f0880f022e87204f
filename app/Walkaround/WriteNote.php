<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Refusal;
use App\Contract\TypedNumber;
use App\Logbook\Circumstances;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\GivenReading;
use App\Logbook\LogReading;
use App\Logbook\When;
use App\People\Person;
use App\Yard\Machine;
use App\Yard\Yard;
use Carbon\CarbonImmutable;
use Core\Inspect\Check;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Inspect\RoundKind;
use Core\Inspect\Verdict;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;

/** Writes one note of a walk down: a reading, a look, something mended, grease, or a round's end. */
final readonly class WriteNote
{
    private const MOST_STROKES = 500;

    private const LONGEST_WORDS = 500;

    /** Characters of all that is entered for one measurement. */
    private const LONGEST_VALUES = 1000;

    public function __construct(private LogReading $logReading, private PutRight $putRight, private Sheets $sheets, private Yard $yard)
    {
    }

    /**
     * The machine's row must be locked by the caller.
     *
     * @param  array<string, mixed>  $note
     * @return array<string, mixed> what the device should know of it
     *
     * @throws Refusal if it cannot be written as it is
     */
    public function __invoke(Machine $machine, array $note, Person $by, When $when, ?string $device, Touched $touched): array
    {
        self::check($note, ['note' => ['nullable', 'string', 'max:1000'], 'confirmed_because' => ['nullable', 'string', 'max:500']]);
        $circumstances = new Circumstances($by, $when, $device, implode(' ', array_filter([$note['note'] ?? null, $when->doubt])) ?: null, $note['confirmed_because'] ?? null);

        return match ($note['kind']) {
            'reading' => $this->reading($machine, $note, $circumstances, $touched),
            'look' => $this->look($machine, $note, $circumstances, $touched),
            'mended' => $this->mended($machine, $note, $circumstances, $touched),
            'grease' => $this->grease($machine, $note, $circumstances, $touched),
            'end' => $this->end($machine, $note, $circumstances, $touched),
            default => throw Refusal::field('kind', 'There is no such kind of note.'),
        };
    }

    /**
     * @param  array<string, mixed>  $note
     * @return array<string, mixed>
     */
    private function reading(Machine $machine, array $note, Circumstances $circumstances, Touched $touched): array
    {
        self::check($note, ['value' => ['required', new TypedNumber('The reading')], 'meter' => ['sometimes', 'in:hours,distance']]);
        $distance = ($note['meter'] ?? 'hours') === 'distance';
        $entry = ($this->logReading)($machine, $distance ? GivenReading::distance($note['value']) : GivenReading::hours($note['value']), $circumstances);
        $touched->reckon($machine);

        return ['entry_id' => $entry->id];
    }

    /**
     * @param  array<string, mixed>  $note
     * @return array<string, mixed>
     */
    private function look(Machine $machine, array $note, Circumstances $circumstances, Touched $touched): array
    {
        self::check($note, [
            'said' => ['required', Rule::enum(Said::class)->except(Said::Mended)],
            'subject' => ['nullable', 'string', 'max:40'],
            'title' => ['required_without:subject', 'nullable', 'string', 'max:80'],
            'verdict' => ['required_if:said,not_fine', 'nullable', Rule::in(['watch', 'act', 'stand_down'])],
            'words' => ['nullable', 'string', 'max:200'],
            'values' => ['required_if:said,measured', 'nullable', 'array', 'max:20', self::modest()],
            'replaces' => ['nullable', 'uuid'],
        ], ['title.required_without' => 'Say what it is about.', 'verdict.required_if' => 'Say how bad it is.', 'values.required_if' => 'What was measured is missing.']);
        $said = Said::from($note['said']);
        $check = isset($note['subject']) ? $this->sheets->of($machine)->find($note['subject']) : null;
        $judged = $said === Said::Measured ? $this->judge($check, $note['values'] ?? [], $circumstances->when->at) : null;
        $title = $check->title ?? $note['title'] ?? $this->sheets->titleOf($machine, $note['subject'] ?? '') ?? throw Refusal::field('subject', 'Nothing of that name is looked at on this machine.');
        [$entry, $round] = $this->lineOf($machine, $note, $circumstances, EntryKind::Found);
        $observation = new Observation([
            'uuid' => $note['id'],
            'machine_id' => $machine->id,
            'entry_id' => $entry->id,
            'round_id' => $round?->id,
            'subject' => $note['subject'] ?? 'own-'.substr(str_replace('-', '', $note['id']), 0, 32),
            'title' => $title,
            'said' => $said,
            'verdict' => match ($said) {
                Said::Fine => Verdict::Fit,
                Said::NotFine => Verdict::from($note['verdict']),
                Said::NotLooked, Said::Mended => null,
                Said::Measured => $judged?->verdict,
            },
            'words' => mb_substr($judged->why ?? $note['words'] ?? '', 0, self::LONGEST_WORDS) ?: null,
            'advice' => $judged === null ? null : mb_substr($judged->do, 0, self::LONGEST_WORDS),
            'limit_source' => $judged === null || $check?->limits === [] ? null : $check?->limitSource,
            'values' => $note['values'] ?? null,
            'worn' => $judged?->worn === null ? null : self::worn($judged),
            'note' => $circumstances->note,
            'happened_at' => $circumstances->when->at,
            'person_id' => $circumstances->by?->id,
            'replaces' => $note['replaces'] ?? null,
        ]);
        $this->save($observation);
        $this->standDown($machine, $observation, $circumstances, $touched);
        $touched->walk($machine);

        return ['entry_id' => $entry->id, 'observation' => $observation->load('person', 'photos')->toRecord()];
    }

    /**
     * @param  array<string, mixed>  $note
     * @return array<string, mixed>
     */
    private function mended(Machine $machine, array $note, Circumstances $circumstances, Touched $touched): array
    {
        self::check($note, ['subject' => ['required', 'string', 'max:40'], 'note' => ['required', 'string', 'max:1000']], ['note.required' => 'Say what was done about it.']);
        $entry = $machine->entries()->create([...$circumstances->columns(), 'kind' => EntryKind::Mended, 'note' => $circumstances->note]);
        ($this->putRight)($machine, $note['subject'], $entry, $circumstances, $note['id']);
        $touched->walk($machine);

        return ['entry_id' => $entry->id];
    }

    /**
     * @param  array<string, mixed>  $note
     * @return array<string, mixed>
     */
    private function grease(Machine $machine, array $note, Circumstances $circumstances, Touched $touched): array
    {
        self::check($note, ['point_id' => ['required', 'integer'], 'strokes' => ['required', 'integer', 'between:1,'.self::MOST_STROKES], 'replaces' => ['nullable', 'uuid']],
            ['strokes.between' => 'From 1 to '.self::MOST_STROKES.' strokes.']);
        $point = GreasePoint::query()->where('machine_id', $machine->id)->find($note['point_id']) ?? throw Refusal::field('point_id', "{$machine->name} has no such grease point.");
        [$entry] = $this->lineOf($machine, [...$note, 'round' => $note['round'] ?? ['kind' => RoundKind::Grease->value, 'started_at' => $note['at']]], $circumstances, EntryKind::Round);
        $tick = new GreaseTick(['uuid' => $note['id'], 'machine_id' => $machine->id, 'entry_id' => $entry->id, 'grease_point_id' => $point->id, 'strokes' => $note['strokes'], 'note' => $circumstances->note,
            'happened_at' => $circumstances->when->at, 'person_id' => $circumstances->by?->id, 'replaces' => $note['replaces'] ?? null]);
        $this->save($tick);
        $touched->walk($machine);

        return ['entry_id' => $entry->id];
    }

    /**
     * @param  array<string, mixed>  $note
     * @return array<string, mixed>
     */
    private function end(Machine $machine, array $note, Circumstances $circumstances, Touched $touched): array
    {
        self::check($note, ['round' => ['required', 'array']], ['round.required' => 'Say which round ended.']);
        [$entry, $round] = $this->lineOf($machine, $note, $circumstances, EntryKind::Round);
        $round?->update(['ended_at' => max($round->ended_at, $circumstances->when->at)]);
        $touched->walk($machine);

        return ['entry_id' => $entry->id];
    }

    /**
     * The round that a note belongs to with its line of the logbook, begun where nobody has; or a line of its own.
     *
     * @param  array<string, mixed>  $note
     * @return array{Entry, Round|null}
     */
    private function lineOf(Machine $machine, array $note, Circumstances $circumstances, EntryKind $alone): array
    {
        if (! isset($note['round'])) {
            return [$machine->entries()->create([...$circumstances->columns(), 'kind' => $alone]), null];
        }
        self::check($note, ['round.kind' => ['required', Rule::enum(RoundKind::class)], 'round.started_at' => ['required', When::rule()]]);
        // The device's clock is put right by as much as the note's own.
        $started = CarbonImmutable::parse($note['round']['started_at'])->addSeconds($circumstances->when->at->diffInSeconds(CarbonImmutable::parse($note['at'])) * -1)->utc()->startOfSecond();
        $started = $started->min($circumstances->when->at)->max($circumstances->when->at->subDay());
        $day = $this->yard->dayOf($started)->format('Y-m-d');
        $round = Round::query()->where(['machine_id' => $machine->id, 'day' => $day, 'kind' => $note['round']['kind']])->whereHas('entry', fn ($entry) => $entry->whereNull('struck_at'))->with('entry')->first();
        if ($round === null) {
            $entry = $machine->entries()->create([...$circumstances->columns(), 'happened_at' => $started, 'kind' => EntryKind::Round, 'detail' => ['kind' => $note['round']['kind']]]);
            $round = Round::query()->create(['machine_id' => $machine->id, 'entry_id' => $entry->id, 'kind' => $note['round']['kind'], 'day' => $day, 'started_at' => $started]);

            return [$entry, $round];
        }
        if ($started < $round->started_at) {
            $round->update(['started_at' => $started]);
            $round->entry->update(['happened_at' => $started, 'person_id' => $circumstances->by?->id, 'device' => $circumstances->device]);
        }

        return [$round->entry, $round];
    }

    /** What a person says again stands for what they said before, in whichever order the two arrive. */
    private function save(Observation|GreaseTick $said): void
    {
        $same = $said::query()->where($said->only($said::SAID_OF));
        $replaced = $said::query()->where('uuid', $said->replaces)->first();
        if ($said->replaces !== null && $replaced !== null && $same->clone()->whereKey($replaced->getKey())->doesntExist()) {
            throw Refusal::field('replaces', 'Only what you said of the same thing in the same round can be said otherwise.');
        }
        if ($same->clone()->where('replaces', $said->uuid)->exists()) {
            $said->struck_at = CarbonImmutable::now();
        }
        $said->save();
        if ($replaced !== null) {
            $replaced->update(['struck_at' => now()]);
            Entry::query()->where('machine_id', $said->machine_id)->where('kind', EntryKind::StoodDown)->where('detail->observation', $said->replaces)->whereNull('struck_at')
                ->update(['struck_at' => now(), 'struck_by_id' => $said->person_id, 'struck_because' => 'Said otherwise in the same round.']);
        }
    }

    private function standDown(Machine $machine, Observation $observation, Circumstances $circumstances, Touched $touched): void
    {
        if ($observation->replaces !== null) {
            $touched->reckon($machine);
        }
        if ($observation->verdict !== Verdict::StandDown || $observation->struck_at !== null) {
            return;
        }
        $because = implode(' ', array_filter([rtrim("{$observation->title}: {$observation->words}", ': .').'.', $observation->note]));
        $machine->entries()->create([...$circumstances->columns(), 'kind' => EntryKind::StoodDown, 'note' => mb_substr($because, 0, 1000), 'detail' => ['observation' => $observation->uuid]]);
        $touched->reckon($machine);
    }

    /** @param  array<string, mixed>  $values */
    private function judge(?Check $check, array $values, CarbonImmutable $at): Judged
    {
        $check ?? throw Refusal::field('subject', 'Nothing of that name is measured on this machine.');

        return $check->judge($values, new Occasion($this->yard->dayOf($at), $this->yard->coldestNight()));
    }

    /** @return array{value: string, unit: string, limit: string, resolution: string, falls: bool} */
    private static function worn(Judged $judged): array
    {
        $worn = $judged->worn ?? throw new \LogicException('Nothing wears here.');
        $limit = $worn->limit->to($worn->value->unit);

        return ['value' => (string) $worn->value->rounded(), 'unit' => $worn->value->unit->value, 'limit' => (string) $limit->rounded(), 'resolution' => (string) $worn->resolution->simplified(), 'falls' => $worn->falls];
    }

    /** What people enter is short. */
    private static function modest(): \Closure
    {
        return function (string $attribute, mixed $values, \Closure $fail): void {
            if (strlen(json_encode($values, JSON_THROW_ON_ERROR)) > self::LONGEST_VALUES) {
                $fail('That is more than anybody measures.');
            }
        };
    }

    /**
     * @param  array<string, mixed>  $note
     * @param  array<string, mixed>  $rules
     * @param  array<string, string>  $messages
     */
    private static function check(array $note, array $rules, array $messages = []): void
    {
        Validator::make($note, $rules, $messages)->validate();
    }
}
