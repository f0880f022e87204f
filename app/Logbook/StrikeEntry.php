<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Problem;
use App\Contract\Refusal;
use App\People\Person;
use App\Walkaround\WalkLine;
use App\Yard\ClassSeason;
use App\Yard\Meter;
use App\Yard\WeeklyReadings;
use App\Yard\Yard;
use Illuminate\Database\Eloquent\Builder;

/** Strikes an entry: it stays readable, and nothing follows from it any more. */
final readonly class StrikeEntry
{
    public function __construct(private Yard $yard)
    {
    }

    /**
     * The machine's row must be locked by the caller.
     *
     * @throws Refusal if it is struck already, belongs to another entry, or later entries rest on it
     */
    public function __invoke(Entry $entry, Person $by, string $because): void
    {
        if ($entry->isStruck()) {
            throw Refusal::conflict('This entry is struck already.');
        }
        if ($entry->part_of_id !== null) {
            throw Refusal::conflict('This reading belongs to another entry. Correct that one.');
        }
        if (! $entry->kind->canBeStruck()) {
            throw Refusal::conflict('This entry only tells of a change. Change it back instead.');
        }
        if ($entry->kind === EntryKind::MeterReplaced) {
            $this->takeMeterOff($entry);
        }
        $standDowns = $this->standDownsOf($entry);
        if (! $by->role->mayService() && $standDowns->exists()) {
            throw new Refusal(new Problem(403, 'not-allowed', 'Not yours to do', 'This stood the machine down. Only a keeper or mechanic lifts that.'));
        }
        $strike = ['struck_at' => now(), 'struck_by_id' => $by->id, 'struck_because' => $because];
        $entry->update($strike);
        $entry->parts()->whereNull('struck_at')->update($strike);
        if ($entry->kind->isOfWalk()) {
            $standDowns->update($strike);
            $this->strikeWalk($entry, $strike);
        }
        foreach ([$entry, ...$entry->parts()->get()] as $struck) {
            if ($struck->meter_id !== null) {
                WeeklyReadings::remake($struck->meter_id, $this->yard);
                ClassSeason::forgetIfItRestsOn($struck->happened_at, $entry->machine->class, $this->yard);
            }
        }
    }

    /** @return Builder<Entry> what keeps people off the machine because of this entry: itself, or what was seen in its walk */
    private function standDownsOf(Entry $entry): Builder
    {
        return Entry::query()->where(['machine_id' => $entry->machine_id, 'kind' => EntryKind::StoodDown])->whereNull('struck_at')
            ->where(fn ($standDowns) => $standDowns->where('id', $entry->id)->orWhereIn('detail->observation', $entry->observations()->pluck('uuid')));
    }

    /**
     * What was seen and greased.
     *
     * @param  array<string, mixed>  $strike
     */
    private function strikeWalk(Entry $entry, array $strike): void
    {
        foreach ([$entry->observations(), $entry->greaseTicks()] as $ofWalk) {
            $ofWalk->whereNull('struck_at')->update(['struck_at' => $strike['struck_at']]);
        }
        WalkLine::rewrite([$entry->machine_id]);
    }

    private function takeMeterOff(Entry $entry): void
    {
        $meter = Meter::query()->where('fitted_by_id', $entry->id)->firstOrFail();
        $read = Entry::query()->where('meter_id', $meter->id)->whereNull('struck_at')
            ->where(fn ($readings) => $readings->whereNull('part_of_id')->orWhere('part_of_id', '!=', $entry->id))->exists();
        if ($read) {
            throw Refusal::conflict('The new meter has been read since. Strike those readings first.');
        }
        $meter->update(['struck' => true]);
    }
}
