<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Refusal;
use App\Logbook\Circumstances;
use App\Logbook\EntryKind;
use App\Logbook\GivenReading;
use App\Logbook\LogReading;
use App\Logbook\RecordService;
use App\Logbook\When;
use App\Walkaround\GreaseController;

/** Enters a machine in the book with its meters, first readings and rulebook. */
final readonly class AddMachine
{
    private const TAKEN_OVER = 'Taken over from earlier records.';

    public function __construct(private LogReading $logReading, private RecordService $recordService, private RulebookCheck $check, private Yard $yard)
    {
    }

    /** @param  array<string, mixed>  $given as {@see MachineRequest} validates it */
    public function __invoke(array $given, Circumstances $circumstances): Machine
    {
        $history = History::from($given['history']);
        $machine = Machine::query()->create([
            ...MachineRequest::columns($given),
            'history' => $history,
            'began_on' => $history === History::New ? ($given['began_on'] ?? $this->yard->today()->format('Y-m-d')) : null,
        ]);
        $machine->entries()->create([...$circumstances->columns(), 'kind' => EntryKind::MachineAdded, 'note' => $circumstances->note]);
        $earliest = $this->earliest($given, $circumstances->when);
        foreach ($given['meters'] ?? [] as $meter) {
            $machine->meters()->create(['unit' => $meter['unit'], 'fitted_at' => $earliest]);
        }
        foreach ($given['meters'] ?? [] as $index => $meter) {
            $reading = $meter['unit'] === 'h' ? GivenReading::hours($meter['value']) : GivenReading::distance($meter['value']);
            ($this->logReading)($machine, $reading, $circumstances, field: "meters.{$index}.value");
        }
        foreach ($given['rules'] ?? [] as $index => $rule) {
            $this->addRule($machine, $rule, $circumstances, "rules.{$index}.");
        }
        GreaseController::begin($machine);

        return $machine->unsetRelation('rules');
    }

    /**
     * @param  array<string, mixed>  $given  a rule, and what is known of when it was last done
     * @param  string  $path  of the rule's fields in the request
     */
    public function addRule(Machine $machine, array $given, Circumstances $circumstances, string $path = ''): Rule
    {
        $countsFrom = $given['counts_from'] ?? ($machine->history === History::New ? 'beginning' : 'unknown');
        if ($countsFrom === 'beginning' && $machine->history !== History::New) {
            throw Refusal::field("{$path}counts_from", 'Nobody knows this machine\'s beginning. Say when it was last done, or leave it unknown.');
        }
        $rule = new Rule([...RuleRequest::columns($given), 'machine_id' => $machine->id, 'counts_from_beginning' => $countsFrom === 'beginning']);
        $this->check->refuse($machine, $rule, $path);
        $rule->save();
        $lastDone = $given['last_done'] ?? [];
        if ($countsFrom === 'last_done') {
            $this->recordLastDone($machine, $rule, $lastDone, $circumstances, $path);
        }

        return $rule;
    }

    /** @param  array{date?: string|null, hours?: string|int|float|null, distance?: string|int|float|null}  $lastDone */
    private function recordLastDone(Machine $machine, Rule $rule, array $lastDone, Circumstances $circumstances, string $path): void
    {
        $readings = array_values(array_filter([
            isset($lastDone['hours']) ? GivenReading::hours($lastDone['hours']) : null,
            isset($lastDone['distance']) ? GivenReading::distance($lastDone['distance']) : null,
        ]));
        if (! isset($lastDone['date'])) {
            throw Refusal::field("{$path}last_done.date", 'Say on which day, at least roughly.');
        }
        $when = When::read($lastDone['date'], $this->yard, "{$path}last_done.date");
        ($this->recordService)($machine, [$rule->id], $readings, new Circumstances($circumstances->by, $when, $circumstances->device, self::TAKEN_OVER, $circumstances->confirmedBecause), path: "{$path}last_done.");
    }

    /**
     * The meters count as fitted before anything that is on record of them.
     *
     * @param  array<string, mixed>  $given
     */
    private function earliest(array $given, When $when): \DateTimeInterface
    {
        $days = array_filter(array_map(fn (array $rule): ?string => $rule['last_done']['date'] ?? null, $given['rules'] ?? []));

        return $days === [] ? $when->at : min($when->at, When::read(min($days), $this->yard)->at);
    }
}
