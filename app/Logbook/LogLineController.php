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
use Core\LogLine\LoggedValue;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\LogLine\Parser;
use Core\Measure\Plain;
use Core\Meter\Judgement;
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
            $readings = $this->readings($line, $machine);
        } catch (Refusal $refusal) {
            return $this->notUnderstood($refusal->problem->errors['text'][0] ?? $refusal->problem->detail);
        }
        $when = When::read($line->day?->format('Y-m-d'), $this->yard, 'text');
        $day = $when->dayOnly ? ' on '.Plain::day($this->yard->dayOf($when->at)) : '';
        $at = implode(', ', array_map(fn (array $reading): string => Plain::number($reading[1]->value)." {$reading[0]->unit->value}", $readings));
        $judgements = array_map(fn (array $reading): Judgement => $this->logReading->judge($reading[0], $reading[1]->value, $when, $reading[1]->typed), $readings);
        $suggestions = [];
        foreach ($judgements as $index => $judgement) {
            foreach ($judgement->suggestions() as $suggestion) {
                $suggestions[] = $this->lineWith($machine, $readings, $index, $suggestion, $line->dayWords);
            }
        }

        return new JsonResponse([
            'understood' => true,
            'sentence' => "{$machine->name} at {$at}{$day}. ".implode(' ', array_column($judgements, 'why')),
            'suggestions' => $suggestions,
            'machine_id' => $machine->id,
            'asks' => array_filter($judgements, fn (Judgement $judgement): bool => ! $judgement->isPlausible()) !== [],
        ]);
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
        $circumstances = Circumstances::of($request, $line->day?->format('Y-m-d'));
        $entry = null;
        foreach ($this->readings($line, $machine) as [, $given]) {
            $written = ($this->logReading)($machine, $given, $circumstances, $entry === null ? [] : ['part_of_id' => $entry->id], 'text');
            $entry ??= $written;
        }
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

    /**
     * @return non-empty-list<array{Meter, GivenReading}> each meter meant, and what it showed
     *
     * @throws Refusal if the machine has no such meter
     */
    private function readings(LogLine $line, Machine $machine): array
    {
        $when = When::read($line->day?->format('Y-m-d'), $this->yard, 'text');

        return array_map(function (LoggedValue $logged) use ($machine, $when): array {
            $meter = $machine->meterAt($when->at, $logged->unit?->isDistance()) ?? throw Refusal::field('text', "{$machine->name} has no such meter.");
            if ($logged->unit !== null && $logged->unit !== $meter->unit) {
                throw Refusal::field('text', "{$machine->name}'s meter counts {$meter->unit->value}.");
            }
            $last = $logged->isGain ? $this->logReading->lastBefore($meter, $when) : null;
            $value = $logged->isGain ? $logged->value->plus($last->value ?? BigDecimal::of($meter->shown_when_fitted)) : $logged->value;

            return [$meter, new GivenReading($value, $logged->typed, $meter->unit->isDistance())];
        }, $line->values);
    }

    /**
     * The line with one of its values as it was probably meant.
     *
     * @param  non-empty-list<array{Meter, GivenReading}>  $readings
     */
    private function lineWith(Machine $machine, array $readings, int $index, BigDecimal $meant, string $dayWords): string
    {
        $values = array_map(fn (array $reading, int $at): string => ($at === $index ? $meant : $reading[1]->value).(count($readings) === 1 ? '' : " {$reading[0]->unit->value}"), $readings, array_keys($readings));

        return implode(' ', array_filter([mb_strtolower($machine->name), ...$values, $dayWords]));
    }
}
