<?php

declare(strict_types=1);

namespace App\Logbook\Line;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Yard;
use App\Notes\Note;
use App\Notes\NoteOutcome;
use App\Notes\When;
use Brick\Math\BigDecimal;
use Core\LogLine\LoggedValue;
use Core\LogLine\LogLine;
use Core\Measure\Plain;
use Core\Meter\Judgement;

/** What a machine's meters show. */
final readonly class ReadingLine implements SaidLine
{
    public function __construct(private LogReading $logReading, private Yard $yard) {}

    public function ability(LogLine $line): string
    {
        return 'log';
    }

    public function preview(LogLine $line): LinePreview
    {
        $machine = Machine::query()->with('meters')->findOrFail($line->machineId);
        $readings = $this->readings($line, $machine);
        $when = When::read($line->day?->format('Y-m-d'), $this->yard, 'text');
        $day = $when->dayOnly ? ' on '.Plain::day($this->yard->dayOf($when->at)) : '';
        $at = implode(
            ', ',
            array_map(
                fn (array $reading): string => Plain::number($reading[1]->value)." {$reading[0]->unit->value}",
                $readings,
            ),
        );
        $judgements = array_map(
            fn (array $reading): Judgement => $this->logReading->judge(
                $reading[0],
                $reading[1]->value,
                $when,
                $reading[1]->typed,
            ),
            $readings,
        );
        $suggestions = [];
        foreach ($judgements as $index => $judgement) {
            foreach ($judgement->suggestions() as $suggestion) {
                $suggestions[] = self::lineWith($machine, $readings, $index, $suggestion, $line->dayWords);
            }
        }

        return new LinePreview(
            "{$machine->name} at {$at}{$day}. ".implode(' ', array_column($judgements, 'why')),
            $suggestions,
            array_filter($judgements, fn (Judgement $judgement): bool => ! $judgement->isPlausible()) !== [],
        );
    }

    public function write(LogLine $line, Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $entry = Entry::write($machine, EntryKind::Reading, $note->circumstances, ['uuid' => $note->id]);
        foreach ($this->readings($line, $machine) as [, $given]) {
            ($this->logReading)($machine, $given, $entry, $note->circumstances, 'text');
        }
        event(new FactsChanged([$machine->id], byReadingAlone: true));

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /**
     * @return list<array{Meter, GivenReading}> each meter meant, and what it showed
     *
     * @throws Refusal if the machine has no such meter
     */
    private function readings(LogLine $line, Machine $machine): array
    {
        $when = When::read($line->day?->format('Y-m-d'), $this->yard, 'text');

        return array_map(function (LoggedValue $logged) use ($machine, $when): array {
            $meter = $machine->meterAt($when->at, $logged->unit?->limit())
                ?? throw Refusal::field('text', "{$machine->name} has no such meter.");
            if ($logged->unit !== null && $logged->unit !== $meter->unit) {
                throw Refusal::field('text', "{$machine->name}'s meter counts {$meter->unit->value}.");
            }
            $last = $logged->isGain ? $this->logReading->lastBefore($meter, $when) : null;
            $value = $logged->isGain
                ? $logged->value->plus($last->value ?? BigDecimal::of($meter->shown_when_fitted))
                : $logged->value;

            return [$meter, new GivenReading($value, $logged->typed, $meter->unit->limit())];
        }, $line->values);
    }

    /**
     * The line with one of its values as it was probably meant.
     *
     * @param  list<array{Meter, GivenReading}>  $readings
     */
    private static function lineWith(
        Machine $machine,
        array $readings,
        int $index,
        BigDecimal $meant,
        string $dayWords,
    ): string {
        $values = array_map(
            fn (array $reading, int $at): string => ($at === $index ? $meant : $reading[1]->value)
                .(count($readings) === 1 ? '' : " {$reading[0]->unit->value}"),
            $readings,
            array_keys($readings),
        );

        return implode(' ', array_filter([mb_strtolower($machine->name), ...$values, $dayWords]));
    }
}
