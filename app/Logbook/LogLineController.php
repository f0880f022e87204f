<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Refusal;
use App\People\Person;
use App\Yard\Machine;
use App\Yard\Meter;
use App\Yard\Yard;
use App\Yard\YardLine;
use Brick\Math\BigDecimal;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\LogLine\Parser;
use Core\Measure\Plain;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** The one-line log: tells what a line means, and carries it out. */
final readonly class LogLineController
{
    public function __construct(private LogReading $logReading, private Yard $yard)
    {
    }

    public function preview(Request $request): JsonResponse
    {
        $text = $request->validate(['text' => ['present', 'nullable', 'string', 'max:200']])['text'] ?? '';
        try {
            $line = $this->parse($text);
        } catch (NotUnderstood $not) {
            return $this->notUnderstood($not->getMessage(), $not->suggestions);
        }
        $machine = Machine::query()->with('meters')->findOrFail($line->machineId);
        try {
            [$meter, $when, $value] = $this->reading($line, $machine);
        } catch (Refusal $refusal) {
            return $this->notUnderstood($refusal->problem->errors['text'][0] ?? $refusal->problem->detail);
        }
        $judgement = $this->logReading->judge($meter, $value, $when);
        $day = $when->dayOnly ? ' on '.Plain::day($this->yard->dayOf($when->at)) : '';
        $sentence = "{$machine->name} at ".Plain::number($value)." {$meter->unit->value}{$day}. {$judgement->why}";
        $suggestion = $judgement->suggestion === null ? [] : [mb_strtolower($machine->name).' '.$judgement->suggestion];

        return new JsonResponse(['understood' => true, 'sentence' => $sentence, 'suggestions' => $suggestion, 'machine_id' => $machine->id, 'asks' => ! $judgement->isPlausible()]);
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['text' => ['required', 'string', 'max:200'], ...Circumstances::rules()]);
        try {
            $line = $this->parse($given['text']);
        } catch (NotUnderstood $not) {
            throw Refusal::field('text', $not->getMessage());
        }
        $machine = Machine::lockForWriting((int) $line->machineId);
        if (Gate::denies('log', $machine)) {
            throw new AuthorizationException;
        }
        [$meter, , $value] = $this->reading($line, $machine);
        $circumstances = Circumstances::of($request, $line->day?->format('Y-m-d'));
        $entry = ($this->logReading)($machine, new GivenReading($value, $given['text'], $meter->unit->isDistance()), $circumstances, field: 'text');
        $person = $request->user();
        assert($person instanceof Person);

        return new JsonResponse(['entry' => EntryShape::of($entry, $person), 'line' => YardLine::rewrite($machine)->line], 201);
    }

    /** @param  list<string>  $suggestions */
    private function notUnderstood(string $sentence, array $suggestions = []): JsonResponse
    {
        return new JsonResponse(['understood' => false, 'sentence' => $sentence, 'suggestions' => $suggestions, 'machine_id' => null, 'asks' => false]);
    }

    /** @throws NotUnderstood */
    private function parse(string $text): LogLine
    {
        $names = Machine::query()->where('retired', false)->orderBy('name')->pluck('name', 'id')->mapWithKeys(fn (string $name, int $id): array => [(string) $id => $name]);

        return (new Parser($names->all(), $this->yard->today()))->parse($text);
    }

    /** @return array{Meter, When, BigDecimal} the meter meant, the moment, and what it showed */
    private function reading(LogLine $line, Machine $machine): array
    {
        $when = When::read($line->day?->format('Y-m-d'), $this->yard, 'text');
        $meter = $machine->meterAt($when->at, $line->unit?->isDistance()) ?? throw Refusal::field('text', "{$machine->name} has no such meter.");
        if ($line->unit !== null && $line->unit !== $meter->unit) {
            throw Refusal::field('text', "{$machine->name}'s meter counts {$meter->unit->value}.");
        }
        $last = $line->isGain ? $this->logReading->lastBefore($meter, $when) : null;

        return [$meter, $when, $line->isGain ? $line->value->plus($last->value ?? BigDecimal::of($meter->shown_when_fitted)) : $line->value];
    }
}
