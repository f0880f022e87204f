<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Refusal;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Yard;
use App\Notes\When;
use Brick\Math\BigDecimal;
use Core\LogLine\LoggedValue;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\LogLine\Parser;

/** The one-line log, read against the machines of this yard. */
final readonly class LineRead
{
    public function __construct(private LogReading $logReading, private Yard $yard)
    {
    }

    /** @throws NotUnderstood */
    public function parse(string $text): LogLine
    {
        $names = Machine::query()->where('retired', false)
            ->orderBy('name')
            ->pluck('name', 'id')
            ->mapWithKeys(fn (string $name, int $id): array => [(string) $id => $name]);

        return (new Parser($names->all(), $this->yard->today()))->parse($text);
    }

    /**
     * @return non-empty-list<array{Meter, GivenReading}> each meter meant, and what it showed
     *
     * @throws Refusal if the machine has no such meter
     */
    public function readings(LogLine $line, Machine $machine): array
    {
        $when = When::read($line->day?->format('Y-m-d'), $this->yard, 'text');

        return array_map(function (LoggedValue $logged) use ($machine, $when): array {
            $meter = $machine->meterAt($when->at, $logged->unit?->isDistance())
                ?? throw Refusal::field('text', "{$machine->name} has no such meter.");
            if ($logged->unit !== null && $logged->unit !== $meter->unit) {
                throw Refusal::field('text', "{$machine->name}'s meter counts {$meter->unit->value}.");
            }
            $last = $logged->isGain ? $this->logReading->lastBefore($meter, $when) : null;
            $value = $logged->isGain
                ? $logged->value->plus($last->value ?? BigDecimal::of($meter->shown_when_fitted))
                : $logged->value;

            return [$meter, new GivenReading($value, $logged->typed, $meter->unit->isDistance())];
        }, $line->values);
    }
}
