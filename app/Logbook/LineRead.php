<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Refusal;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Notes\When;
use Brick\Math\BigDecimal;
use Core\LogLine\LoggedPour;
use Core\LogLine\LoggedValue;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\LogLine\Parser;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\SpotKind;
use Core\Machine\SpotWords;
use Core\Machine\TaskKind;
use Core\Measure\Plain;

/** The one-line log, read against the machines of this yard. */
final readonly class LineRead
{
    /** Of several compartments, how many are offered. */
    private const MOST_ASKED = 6;

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
     * The compartment that a pour's words mean.
     *
     * @throws NotUnderstood if there is none, or more than one
     */
    public function compartment(LogLine $line, LoggedPour $pour, Machine $machine): Spot
    {
        $compartments = $machine->spots()->where('kind', SpotKind::Compartment)->get();
        $likely = SpotWords::likeliest(
            $pour->where,
            TaskKind::CheckLevel,
            array_values($compartments->map(fn (Spot $spot): CoreSpot => $spot->toCore())->all()),
        );
        if ($likely === []) {
            $likely = array_values($compartments->filter(
                fn (Spot $spot): bool => str_contains(mb_strtolower($spot->name), mb_strtolower($pour->where)),
            )->map(fn (Spot $spot): CoreSpot => $spot->toCore())->all());
        }
        if (count($likely) === 1) {
            return $compartments->firstOrFail(fn (Spot $spot): bool => $spot->key === $likely[0]->key);
        }
        $asked = array_column($likely === [] ? $compartments->all() : $likely, 'name');
        throw new NotUnderstood(
            $likely === []
                ? Plain::quoted($pour->where)." is no fluid of {$machine->name}."
                : Plain::quoted($pour->where).' may be '.Plain::either(array_map(Plain::within(...), $asked)).'.',
            array_map(fn (string $name): string => implode(' ', array_filter([
                mb_strtolower($machine->name),
                ($pour->isOut ? '-' : '+').$pour->typed,
                Plain::within($name),
                $line->dayWords,
            ])), array_slice($asked, 0, self::MOST_ASKED)),
        );
    }

    /**
     * @return list<array{Meter, GivenReading}> each meter meant, and what it showed
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
