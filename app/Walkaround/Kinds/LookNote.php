<?php

declare(strict_types=1);

namespace App\Walkaround\Kinds;

use App\Contract\Refusal;
use App\Logbook\EntryKind;
use App\Logbook\OccasionOf;
use App\Logbook\Told\Looked;
use App\Logbook\Told\Measured;
use App\Logbook\Told\Poured;
use App\Logbook\Told\Telling;
use App\Logbook\Told\Told;
use App\Logbook\Told\WhatWasFound;
use App\Logbook\Told\WriteTold;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Core\Form\BadInput;
use Core\Inspect\Check;
use Core\Inspect\Occasion;
use Core\Machine\LookedBy;
use Core\Machine\Verdict;
use Illuminate\Validation\Rule;

/** Something was looked at or measured, by a check or by the way. */
final readonly class LookNote implements NoteKind
{
    private const FINE = 'fine';

    private const NOT_FINE = 'not_fine';

    private const NOT_LOOKED = 'not_looked';

    private const MEASURED = 'measured';

    /** Characters of all that is entered for one measurement. */
    private const LONGEST_VALUES = 1000;

    public function __construct(
        private OccasionOf $occasion,
        private WriteTold $writeTold,
        private WhatWasFound $found,
        private CheckLists $checkLists,
        private Yard $yard,
    ) {}

    public function rules(?Machine $machine): array
    {
        return [
            'said' => ['required', Rule::in([self::FINE, self::NOT_FINE, self::NOT_LOOKED, self::MEASURED])],
            'check' => ['nullable', 'string', 'max:40'],
            'spot' => ['required_without:check', 'nullable', 'string', 'max:40'],
            'title' => ['required_without:check', 'nullable', 'string', 'max:80'],
            'verdict' => ['required_if:said,not_fine', 'nullable', Rule::enum(Verdict::class)->except(Verdict::Fit)],
            'words' => ['nullable', 'string', 'max:200'],
            'values' => ['required_if:said,measured', 'nullable', 'array', 'max:20', self::modest()],
        ];
    }

    public function messages(): array
    {
        return [
            'spot.required_without' => 'Say where on the machine.',
            'title.required_without' => 'Say what it is about.',
            'verdict.required_if' => 'Say how bad it is.',
            'values.required_if' => 'What was measured is missing.',
        ];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $said = $note->given['said'];
        $check = $this->checkLists->find($machine, $note->given['check'] ?? null);
        $told = $this->told($note, $said, $check);
        $entry = $this->occasion->entry($note, EntryKind::Found);
        [$act] = ($this->writeTold)($machine, $entry, $told, $note->circumstances);
        $act->load('photos')->setRelation('person', $note->circumstances->by);

        return new NoteOutcome($entry->id, ['act' => $act->toRecord(), 'asks' => $entry->askedNow]);
    }

    /** @return non-empty-list<Told> the look, and what was poured in with it */
    private function told(Note $note, string $said, ?Check $check): array
    {
        $given = $note->given;
        [$spot, $title] = $this->lookedAt($note, $check);
        $telling = new Telling($title, note: $note->circumstances->note, uuid: $note->id, replaces: $note->replaces);
        if ($said === self::MEASURED) {
            return $this->measured($note, $check, $spot, $telling);
        }
        $key = $given['check'] ?? LookedBy::Chance->key($note->id);
        $by = isset($given['check']) ? LookedBy::Check : LookedBy::Chance;
        $words = $given['words'] ?? null;

        return [match ($said) {
            self::FINE => new Looked($spot, Verdict::Fit, $key, $by, $words, telling: $telling),
            self::NOT_FINE => new Looked($spot, Verdict::from($given['verdict']), $key, $by, $words, telling: $telling),
            default => new Looked($spot, null, $key, $by, $words, wasDone: false, telling: $telling),
        }];
    }

    /** @return non-empty-list<Told> */
    private function measured(Note $note, ?Check $check, Spot $spot, Telling $telling): array
    {
        $check ?? throw Refusal::field('check', 'Nothing of that name is measured on this machine.');
        $values = $note->given['values'] ?? [];
        $undone = $check->leftUndone($values);
        if ($undone !== []) {
            throw new BadInput($undone);
        }
        $occasion = new Occasion($this->yard->dayOf($note->circumstances->when->at), $this->yard->coldestNight());
        $measured = Measured::by($check, $spot, $values, $occasion, $telling);
        $topUp = (string) ($values['topped_up'] ?? '');

        return $topUp === '' ? [$measured] : [$measured, Poured::asLevelWasRead($spot, $check, $topUp, $note->id)];
    }

    /** @return array{Spot, string} */
    private function lookedAt(Note $note, ?Check $check): array
    {
        $given = $note->given;
        $machine = $note->machine();
        if (isset($given['check'])) {
            return $this->found->find($machine, $given['check'])
                ?? throw Refusal::field('check', 'Nothing of that name is looked at on this machine.');
        }
        $spot = Spot::query()->where(['machine_id' => $machine->id, 'key' => $given['spot']])->first()
            ?? throw Refusal::field('spot', "{$machine->name} has no such spot.");

        return [$spot, $given['title']];
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
}
