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
use Core\LogLine\LoggedPour;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\Measure\Plain;
use Core\Meter\Judgement;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The one-line log: tells what a line means before it is written. */
final readonly class LogLineController
{
    public function __construct(private LineRead $lineRead, private LogReading $logReading, private Yard $yard)
    {
    }

    public function preview(Request $request): JsonResponse
    {
        $text = $request->validate(['text' => ['present', 'nullable', 'string', 'max:200']])['text'] ?? '';
        try {
            $line = $this->lineRead->parse($text);
        } catch (NotUnderstood $not) {
            return $this->notUnderstood($not->getMessage(), $not->suggestions);
        }
        $machine = Machine::query()->with('meters')->findOrFail($line->machineId);
        if ($line->pour !== null) {
            return $this->pour($line, $line->pour, $machine);
        }
        try {
            $readings = $this->lineRead->readings($line, $machine);
        } catch (Refusal $refusal) {
            return $this->notUnderstood($refusal->problem->errors['text'][0] ?? $refusal->problem->detail);
        }
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

    private function pour(LogLine $line, LoggedPour $pour, Machine $machine): JsonResponse
    {
        try {
            $compartment = $this->lineRead->compartment($line, $pour, $machine);
        } catch (NotUnderstood $not) {
            return $this->notUnderstood($not->getMessage(), $not->suggestions);
        }
        $name = Plain::within($compartment->name);
        $day = $line->day === null ? '' : ' on '.Plain::day($line->day);

        return new JsonResponse([
            'understood' => true,
            'sentence' => $pour->isOut
                ? "{$pour->amount->display()} drained from {$machine->name}'s {$name}{$day}."
                : "{$machine->name}'s {$name} topped up with {$pour->amount->display()}{$day}.",
            'suggestions' => [],
            'machine_id' => $machine->id,
            'asks' => false,
        ]);
    }

    /** @param  list<string>  $suggestions */
    private function notUnderstood(string $sentence, array $suggestions = []): JsonResponse
    {
        return new JsonResponse(
            [
                'understood' => false,
                'sentence' => $sentence,
                'suggestions' => $suggestions,
                'machine_id' => null,
                'asks' => false,
            ],
        );
    }

    /**
     * The line with one of its values as it was probably meant.
     *
     * @param  list<array{Meter, GivenReading}>  $readings
     */
    private function lineWith(
        Machine $machine,
        array $readings,
        int $index,
        BigDecimal $meant,
        string $dayWords,
    ): string {
        $values = array_map(
            fn (array $reading, int $at): string => ($at === $index ? $meant : $reading[1]->value).(count($readings) === 1 ? '' : " {$reading[0]->unit->value}"),
            $readings,
            array_keys($readings),
        );

        return implode(' ', array_filter([mb_strtolower($machine->name), ...$values, $dayWords]));
    }
}
