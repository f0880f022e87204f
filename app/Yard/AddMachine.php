<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Machines\History;
use App\Machines\Machine;
use App\Machines\UsualSpots;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\When;
use App\Rulebook\AddRule;
use Core\Meter\MeterUnit;

/** Enters a machine in the book with its spots, its meters, first readings and rulebook. */
final readonly class AddMachine
{
    public function __construct(private LogReading $logReading, private AddRule $addRule, private Yard $yard) {}

    /** @param  array<string, mixed>  $given as {@see MachineRequest} validates it */
    public function __invoke(array $given, Circumstances $circumstances): Machine
    {
        $history = History::from($given['history']);
        $machine = Machine::query()->create([
            ...MachineRequest::columns($given),
            'history' => $history,
            'began_on' => $history === History::New
                ? ($given['began_on'] ?? $this->yard->today()->format('Y-m-d'))
                : null,
        ]);
        UsualSpots::begin($machine);
        $entry = Entry::write($machine, EntryKind::MachineAdded, $circumstances);
        $earliest = $this->earliest($given, $circumstances->when);
        foreach ($given['meters'] ?? [] as $meter) {
            $machine->meters()->create(['unit' => $meter['unit'], 'fitted_at' => $earliest]);
        }
        foreach ($given['meters'] ?? [] as $index => $meter) {
            ($this->logReading)(
                $machine,
                GivenReading::of($meter['value'], MeterUnit::from($meter['unit'])->limit()),
                $entry,
                $circumstances,
                "meters.{$index}.value",
            );
        }
        $this->addRules($machine, $given['rules'] ?? [], $circumstances);

        return $machine->unsetRelation('rules');
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function addRules(Machine $machine, array $rows, Circumstances $circumstances): void
    {
        // One that goes with another is written after it.
        uasort(
            $rows,
            fn (array $one, array $other): int => isset($one['goes_with_row']) <=> isset($other['goes_with_row']),
        );
        $rules = [];
        foreach ($rows as $index => $row) {
            $host = isset($row['goes_with_row']) ? $rules[$row['goes_with_row']] ?? null : null;
            $rules[$index] = ($this->addRule)(
                $machine,
                $host === null ? $row : [...$row, 'goes_with' => $host->id],
                $circumstances,
                "rules.{$index}.",
            );
        }
    }

    /**
     * The meters count as fitted before anything that is on record of them.
     *
     * @param  array<string, mixed>  $given
     */
    private function earliest(array $given, When $when): \DateTimeInterface
    {
        $days = array_filter(
            array_map(fn (array $rule): ?string => $rule['last_done']['date'] ?? null, $given['rules'] ?? []),
        );

        return $days === [] ? $when->at : min($when->at, When::read(min($days), $this->yard)->at);
    }
}
