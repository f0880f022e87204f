<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\StandDowns;
use App\Logbook\Stock\FromShelf;
use App\Logbook\TakingBack;
use App\Machines\Machine;
use App\Notes\Circumstances;
use Carbon\CarbonImmutable;
use Core\Inspect\Worn;
use Core\Machine\ActKind;
use Core\Machine\OneOccasion;
use Core\Machine\Outcome;
use Core\Machine\SafetyWords;
use Core\Machine\Verdict;
use Core\Measure\Unit;
use Illuminate\Support\Str;

/** Writes acts into an entry, with what hangs on them. */
final class WriteActs
{
    private const LONGEST_WORDS = 500;

    public function __construct(
        private readonly WhatMeets $whatMeets,
        private readonly FromShelf $fromShelf,
        private readonly TakingBack $takingBack,
    ) {
    }

    /**
     * @param  list<GivenAct>  $acts
     * @return list<Act>
     *
     * @throws Refusal if one replaces what it cannot
     */
    public function __invoke(Machine $machine, Entry $entry, array $acts, Circumstances $circumstances): array
    {
        $at = $circumstances->when->end;
        $place = [...Placing::of($machine)->columns($at), ...$this->ownReadings($machine, $entry)];
        $written = $replaced = [];
        foreach (Sharing::atHolders($acts) as $given) {
            $act = new Act([
                ...$place,
                'uuid' => $given->uuid
                    ?? (string) Str::uuid(),
                'entry_id' => $entry->id,
                'machine_id' => $machine->id,
                'spot_id' => $given->spot->id,
                'kind' => $given->kind,
                'check_key' => $given->check,
                'outcome' => $given->outcome,
                'meets' => OneOccasion::standsAlone($given->kind, $given->outcome),
                'verdict' => $given->verdict,
                'task_id' => $given->taskId,
                'title' => mb_substr($given->title, 0, 80),
                'words' => self::short($given->words),
                'advice' => self::short($given->advice),
                'limit_source' => $given->limitSource,
                'typed' => $given->typed,
                'strokes' => $given->strokes,
                'sign_seen' => $given->signSeen,
                'note' => $given->note,
                'happened_at' => $at,
                'person_id' => $circumstances->by?->id,
                'device' => $circumstances->device,
                'replaces' => $given->replaces, 'told_with' => $given->with,
            ]);
            $act->setRelation('spot', $given->spot)->setRelation('entry', $entry);
            $replaced[] = $this->saveInPlaceOf($act, $circumstances);
            $this->hang($act, $given);
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

    private function hang(Act $act, GivenAct $given): void
    {
        if ($given->worn !== null) {
            $act->measure()->create(self::measured($given->worn));
        }
        if ($given->poured !== null || $given->fluid !== null) {
            $isOut = ! in_array($given->kind, [ActKind::ToppedUp, ActKind::Filled, ActKind::Changed], true);
            $compartment = $given->spot->parent_id ?? $given->spot->id;
            $litres = $given->poured?->to(Unit::Litre)->rounded();
            if ($given->fluid !== null) {
                $this->fromShelf->claim($given->fluid);
            }
            $act->move()->create([
                'entry_id' => $act->entry_id,
                'from_id' => $isOut ? $compartment : null,
                'to_id' => $isOut ? null : $compartment,
                'litres' => $litres === null ? null : (string) $litres,
                'typed' => $given->poured === null
                    ? null
                    : mb_substr($given->pouredTyped ?? $given->poured->inWords(), 0, 40),
                'supply_id' => $given->fluid?->id,
                'fluid' => $given->fluid?->name,
            ]);
            if (! $isOut && $given->fluid !== null && $litres !== null) {
                $this->fromShelf->pour($act, $given->fluid, $litres, $given->pouredTyped, $given->container);
            }
        }
        if (array_filter($given->fitting) !== []) {
            $act->setRelation('fitting', $act->fitting()->create($given->fitting));
        }
        if ($given->outcome === Outcome::Done) {
            $this->fromShelf->fit($act, $given->spot);
        }
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
                $columns[$meter->unit->isDistance() ? 'km' : 'hours'] = (string) $meter->reckoned($reading->value);
            }
        }

        return $columns;
    }

    /** @return array{value: string, unit: string, limit: string, resolution: string, falls: bool} */
    private static function measured(Worn $worn): array
    {
        $limit = $worn->limit->to($worn->value->unit);

        return [
            'value' => (string) $worn->value->rounded(),
            'unit' => $worn->value->unit->value,
            'limit' => (string) $limit->rounded(),
            'resolution' => (string) $worn->resolution->simplified(), 'falls' => $worn->falls,
        ];
    }

    private static function short(?string $words): ?string
    {
        return mb_substr($words ?? '', 0, self::LONGEST_WORDS) ?: null;
    }
}
