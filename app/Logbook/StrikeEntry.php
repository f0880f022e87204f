<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Refusal;
use App\Logbook\Acts\Placing;
use App\Logbook\Acts\WhatMeets;
use App\Logbook\Readings\Reading;
use App\Logbook\Readings\ReadingChanged;
use App\Logbook\Readings\WeeklyReadings;
use App\Logbook\Stock\Container;
use App\Logbook\Stock\Move;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Yard;
use App\People\Person;

/** Strikes an entry: it stays readable, and nothing follows from it any more. */
final readonly class StrikeEntry
{
    public function __construct(private Yard $yard, private WhatMeets $whatMeets) {}

    /**
     * The machine's row must be locked by the caller.
     *
     * @throws Refusal if it is struck already, only tells of a change, or later entries rest on it
     */
    public function __invoke(Entry $entry, Person $by, string $because): void
    {
        if ($entry->isStruck()) {
            throw Refusal::conflict('This entry is struck already.');
        }
        if (! $entry->kind->canBeStruck()) {
            throw Refusal::conflict('This entry only tells of a change. Change it back instead.');
        }
        if ($entry->kind === EntryKind::MeterReplaced) {
            $this->takeMeterOff($entry);
        }
        if ($entry->kind === EntryKind::Bought) {
            self::refuseUsed($entry);
        }
        $strike = ['struck_at' => now(), 'struck_by_id' => $by->id, 'struck_because' => $because];
        StandDowns::saidIn($entry)->update($strike);
        $entry->update($strike);
        $machine = $entry->machine;
        if ($machine !== null) {
            $this->strikeActs($machine, $entry);
            $this->strikeReadings($machine, $entry);
        }
    }

    private function strikeActs(Machine $machine, Entry $entry): void
    {
        $acts = $entry->acts()->standing()->with('spot.grease')->get();
        $entry->acts()->standing()->update(['struck_at' => now(), 'meets' => false]);
        $this->whatMeets->inEntry($machine, $entry, $acts);
        foreach ($acts as $act) {
            $this->whatMeets->ofGrease($act);
        }
    }

    private function strikeReadings(Machine $machine, Entry $entry): void
    {
        $readings = $entry->readings()->standing()->with('meter')->get();
        $entry->readings()->update(['struck' => true]);
        foreach ($readings as $reading) {
            WeeklyReadings::remake($reading->meter_id, $this->yard);
            Placing::anew($machine, $reading->happened_at, $reading->meter->unit->limit());
            event(new ReadingChanged($machine, $reading));
        }
    }

    /** @throws Refusal */
    private static function refuseUsed(Entry $entry): void
    {
        $used = Move::query()->standing()
            ->whereIn('from_container_id', Container::query()->select('id')->where('entry_id', $entry->id));
        if ($used->exists()) {
            throw Refusal::conflict('It was poured from since. Strike that first, or count what is there.');
        }
    }

    private function takeMeterOff(Entry $entry): void
    {
        $meter = Meter::query()->where('fitted_by_id', $entry->id)->firstOrFail();
        $since = Reading::query()->standing()->where('meter_id', $meter->id)->where('entry_id', '!=', $entry->id);
        if ($since->exists()) {
            throw Refusal::conflict('The new meter has been read since. Strike those readings first.');
        }
        $meter->update(['struck' => true]);
        $entry->machine?->unsetRelation('meters');
    }
}
