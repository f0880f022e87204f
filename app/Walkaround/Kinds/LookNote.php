<?php

declare(strict_types=1);

namespace App\Walkaround\Kinds;

use App\Contract\Refusal;
use App\Logbook\Acts\GivenAct;
use App\Logbook\Acts\PutRight;
use App\Logbook\Acts\WriteActs;
use App\Logbook\EntryKind;
use App\Logbook\OccasionOf;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\Written;
use App\Walkaround\Said;
use Core\Form\BadInput;
use Core\Inspect\Check;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Illuminate\Validation\Rule;

/** Something was looked at or measured, by a check or by the way. */
final readonly class LookNote implements NoteKind
{
    /** Characters of all that is entered for one measurement. */
    private const LONGEST_VALUES = 1000;

    public function __construct(
        private OccasionOf $occasion,
        private WriteActs $writeActs,
        private PutRight $putRight,
        private CheckLists $checkLists,
        private Yard $yard,
    ) {
    }

    public function rules(?Machine $machine): array
    {
        return [
            'said' => ['required', Rule::enum(Said::class)],
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

    public function write(Note $note): Written
    {
        $machine = $note->machine();
        $said = Said::from($note->given['said']);
        $check = $this->checkLists->find($machine, $note->given['check'] ?? null);
        $judged = $said === Said::Measured ? $this->judge($check, $note) : null;
        $acts = $this->acts($note, $said, $check, $judged);
        $entry = $this->occasion->entry($note, EntryKind::Found);
        [$act] = ($this->writeActs)($machine, $entry, $acts, $note->circumstances);
        $act->load('photos')->setRelation('person', $note->circumstances->by);

        return new Written($entry->id, ['act' => $act->toRecord()]);
    }

    /** @return non-empty-list<GivenAct> the look, and what was poured in with it */
    private function acts(Note $note, Said $said, ?Check $check, ?Judged $judged): array
    {
        $given = $note->given;
        [$spot, $title] = $this->lookedAt($note, $check);
        $key = $given['check'] ?? 'own-'.substr(str_replace('-', '', $note->id), 0, 32);
        $look = new GivenAct(
            $spot,
            $said === Said::Measured ? ActKind::Measured : ActKind::Looked,
            $title,
            match (true) {
                $said === Said::NotLooked => Outcome::NotDone,
                $judged?->isUsable() === false => Outcome::Unusable,
                default => Outcome::Done,
            },
            $key,
            match ($said) {
                Said::Fine => Verdict::Fit,
                Said::NotFine => Verdict::from($given['verdict']),
                Said::NotLooked => null,
                Said::Measured => $judged?->verdict,
            },
            words: $judged->why ?? $given['words'] ?? null,
            advice: $judged?->do,
            limitSource: $judged === null || $check?->limits === [] ? null : $check?->limitSource,
            typed: $given['values'] ?? null,
            worn: $judged?->worn,
            note: $note->circumstances->note,
            uuid: $note->id,
            replaces: $note->replaces,
        );
        $topUp = $said === Said::Measured ? ($given['values']['topped_up'] ?? '') : '';

        return $topUp === '' ? [$look]
            : [
                $look,
                new GivenAct(
                    $spot,
                    ActKind::ToppedUp,
                    $title,
                    check: $key,
                    poured: Quantity::parse((string) $topUp, Unit::Litre),
                    pouredTyped: (string) $topUp,
                    with: $note->id,
                ),
            ];
    }

    /** @return array{Spot, string} */
    private function lookedAt(Note $note, ?Check $check): array
    {
        $given = $note->given;
        $machine = $note->machine();
        if (isset($given['check'])) {
            return $this->putRight->lookedAt($machine, $given['check'])
                ?? throw Refusal::field('check', 'Nothing of that name is looked at on this machine.');
        }
        $spot = Spot::query()->where(['machine_id' => $machine->id, 'key' => $given['spot']])->first()
            ?? throw Refusal::field('spot', "{$machine->name} has no such spot.");

        return [$spot, $given['title']];
    }

    private function judge(?Check $check, Note $note): Judged
    {
        $check ?? throw Refusal::field('check', 'Nothing of that name is measured on this machine.');

        $values = $note->given['values'] ?? [];
        $undone = $check->leftUndone($values);
        if ($undone !== []) {
            throw new BadInput($undone);
        }

        return $check->judge(
            $values,
            new Occasion($this->yard->dayOf($note->circumstances->when->at), $this->yard->coldestNight()),
        );
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
