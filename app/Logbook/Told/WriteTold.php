<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Contract\Refusal;
use App\Logbook\Acts\Act;
use App\Logbook\Acts\Placing;
use App\Logbook\Acts\WhatMeets;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\StandDowns;
use App\Logbook\TakingBack;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Notes\Circumstances;
use Carbon\CarbonImmutable;
use Core\Machine\OneOccasion;
use Core\Machine\SafetyWords;
use Core\Machine\SpotKind;
use Core\Machine\Verdict;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;

/** Writes what was told into an entry, as acts with what hangs on them: the only maker of acts. */
final readonly class WriteTold
{
    private const LONGEST_WORDS = 500;

    private const LONGEST_TITLE = 80;

    public function __construct(
        private WhatMeets $whatMeets,
        private Holdings $holdings,
        private TakingBack $takingBack,
    ) {}

    /**
     * @param  list<Told>  $told
     * @return list<Act> in the order in which it was told, then what was found because of it
     *
     * @throws Refusal if it is to be asked first, or replaces what it cannot
     * @throws \Illuminate\Auth\Access\AuthorizationException if whoever sends it may not tell it
     */
    public function __invoke(Machine $machine, Entry $entry, array $told, Circumstances $circumstances): array
    {
        $told = $this->settled($machine, $told, $circumstances);
        $doubts = $this->ask($machine, $entry, $told, $circumstances);
        $at = $circumstances->when->end;
        $place = [...Placing::of($machine)->columns($at), ...$this->ownReadings($machine, $entry)];
        $written = $replaced = [];
        foreach ($told as $index => $one) {
            $columns = $one->columns();
            $act = new Act([
                ...$place,
                ...$columns,
                'uuid' => $one->telling->uuid ?? (string) Str::uuid(),
                'entry_id' => $entry->id,
                'machine_id' => $machine->id,
                'spot_id' => $one->spot->id,
                'kind' => $one->kind(),
                'task_id' => $one->telling->taskId,
                'title' => mb_substr($one->telling->title ?? $one->spot->name, 0, self::LONGEST_TITLE),
                'words' => self::short($columns['words'] ?? null),
                'advice' => self::short($columns['advice'] ?? null),
                'note' => $one->telling->note,
                'happened_at' => $at,
                'person_id' => $circumstances->by?->id,
                'device' => $circumstances->device,
                'replaces' => $one->telling->replaces,
                'told_with' => $one->telling->with,
            ]);
            $act->meets = OneOccasion::standsAlone($act->kind, $act->outcome);
            $act->setRelation('spot', $one->spot)->setRelation('entry', $entry);
            $replaced[] = $this->saveInPlaceOf($act, $circumstances);
            $one->hang($act, $this->holdings);
            foreach ($doubts[$index] as $asks) {
                $entry->doubt($asks, $act);
            }
            StandDowns::byAct($machine, $act, $circumstances);
            $written[] = $act;
        }
        $this->whatMeets->inEntry($machine, $entry, array_filter([...$written, ...$replaced]));
        foreach ($written as $act) {
            $this->whatMeets->ofGrease($act);
        }

        return $written;
    }

    /**
     * What is to be asked of something that is not written yet: for whoever is about to tell it.
     *
     * @return list<string>
     */
    public function questions(Machine $machine, Told $told): array
    {
        $questions = $told->settled($machine, $this->holdings)->questions($machine, $this->holdings);

        return array_column(array_filter($questions, fn (Question $question): bool => $question->isAskedFirst), 'asks');
    }

    /**
     * @param  list<Told>  $told
     * @return list<Told> with what follows from each
     */
    private function settled(Machine $machine, array $told, Circumstances $circumstances): array
    {
        if ($circumstances->sender !== null) {
            foreach (array_unique(array_map(fn (Told $one): string => $one->ability(), $told)) as $ability) {
                Gate::forUser($circumstances->sender)->authorize($ability, $machine);
            }
        }
        $settled = array_map(fn (Told $one): Told => $one->settled($machine, $this->holdings), self::atHolders($told));
        $brought = array_map(fn (Told $one): array => $one->brings($machine, $this->holdings), $settled);

        return [...$settled, ...array_merge(...$brought)];
    }

    /**
     * Where compartments share their fluid, what is told stands at the one that holds it, each once.
     *
     * @param  list<Told>  $told
     * @return list<Told>
     */
    private static function atHolders(array $told): array
    {
        $sharers = array_filter(
            array_column($told, 'spot'),
            fn (Spot $spot): bool => $spot->kind === SpotKind::Compartment && $spot->shares_with_id !== null,
        );
        if ($sharers === []) {
            return $told;
        }
        (new Collection($sharers))->loadMissing('holder');
        $once = [];
        foreach ($told as $one) {
            $moved = $one->at($one->spot->holder ?? $one->spot);
            $once["{$moved->spot->id} {$moved->kind()->value} {$moved->check()} {$moved->telling->uuid}"] ??= $moved;
        }

        return array_values($once);
    }

    /**
     * @param  list<Told>  $told
     * @return list<list<string>> what stays to be asked of each
     *
     * @throws Refusal if whoever stands there has not said why it is right
     */
    private function ask(Machine $machine, Entry $entry, array $told, Circumstances $circumstances): array
    {
        $questions = array_map(fn (Told $one): array => $one->questions($machine, $this->holdings), $told);
        $isFirst = fn (Question $question): bool => $question->isAskedFirst;
        $first = array_values(array_filter(array_merge(...$questions), $isFirst));
        $isAnswered = $first !== [] && $circumstances->isSure();
        if ($isAnswered) {
            $entry->update(['confirmed_because' => $circumstances->confirmedBecause]);
        } elseif ($first !== [] && $circumstances->isAttended) {
            throw Question::refusal($first);
        }

        return array_map(fn (array $of): array => array_column(
            $isAnswered ? array_filter($of, fn (Question $question): bool => ! $question->isAskedFirst) : $of,
            'asks',
        ), $questions);
    }

    /**
     * What a person says again stands for what they said before, in whichever order the two arrive.
     *
     * @return Act|null what they said before, where it is here already
     */
    private function saveInPlaceOf(Act $act, Circumstances $circumstances): ?Act
    {
        $replaced = $act->replaces === null ? null : Act::query()
            ->with('entry')
            ->where('uuid', $act->replaces)
            ->first();
        if ($replaced !== null && ! self::sameSaying($act, $replaced)) {
            throw Refusal::field(
                'replaces',
                'Only what you said of the same thing in the same round can be said otherwise.',
            );
        }
        if ($replaced !== null && $replaced->struck_at === null && $circumstances->by !== null) {
            $said = $replaced->entry->setRelation('acts', $replaced->newCollection([$replaced]));
            $this->takingBack->authorize($circumstances->by, $said, $circumstances->toldAt());
        }
        $later = Act::query()->with('entry')
            ->where('replaces', $act->told_with ?? $act->uuid)
            ->get()
            ->first(fn (Act $other): bool => self::sameSaying($act, $other) && self::isTakenBackBy($act, $other));
        if ($later !== null) {
            $act->fill(['struck_at' => CarbonImmutable::now(), 'meets' => false]);
        }
        $act->save();
        if ($replaced !== null) {
            $this->takeBack($replaced, $act);
        }

        return $replaced;
    }

    /** What stands a machine down is no more than a slip to whoever says otherwise. */
    private static function isTakenBackBy(Act $act, Act $later): bool
    {
        return $act->verdict !== Verdict::StandDown
            || SafetyWords::isSlip($act->happened_at, $later->happened_at, restsOnIt: false);
    }

    /** An act that was said otherwise, with what was told with it and what it kept people from. */
    private function takeBack(Act $act, Act $by): void
    {
        Act::query()->standing()
            ->where(fn ($acts) => $acts->where('uuid', $act->uuid)->orWhere('told_with', $act->uuid))
            ->update(['struck_at' => now(), 'meets' => false]);
        Entry::query()->where(['uuid' => $act->uuid, 'kind' => EntryKind::StoodDown])->whereNull('struck_at')
            ->update(
                [
                    'struck_at' => now(),
                    'struck_by_id' => $by->person_id,
                    'struck_because' => 'Said otherwise in the same round.',
                ],
            );
    }

    /** Of the same spot and check, by the same person, in the same round or job. */
    private static function sameSaying(Act $one, Act $other): bool
    {
        $occasion = fn (Act $act): array => [
            $act->entry->round_id,
            $act->entry->job_id,
            $act->entry->round_id ?? $act->entry->job_id ?? $act->entry_id,
        ];

        return [$one->person_id, $one->spot_id, $one->check_key] === [
            $other->person_id,
            $other->spot_id,
            $other->check_key,
        ]
            && $occasion($one) === $occasion($other);
    }

    /**
     * What its own entry read off the meters.
     *
     * @return array<string, string>
     */
    private function ownReadings(Machine $machine, Entry $entry): array
    {
        $columns = [];
        foreach ($entry->readings()->standing()->get() as $reading) {
            $meter = $machine->meters->find($reading->meter_id);
            if ($meter !== null) {
                $columns[$meter->unit->limit()->value] = (string) $meter->reckoned($reading->value);
            }
        }

        return $columns;
    }

    private static function short(?string $words): ?string
    {
        return mb_substr($words ?? '', 0, self::LONGEST_WORDS) ?: null;
    }
}
