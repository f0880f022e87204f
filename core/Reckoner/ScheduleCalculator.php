<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Procedure\Hold;
use Core\Procedure\Timing\Impossible;
use Core\Procedure\Timing\TimedStep;
use Core\Procedure\Timing\Timetable;
use Core\Procedure\Timing\Weights;
use Core\Procedure\Timing\Workload;

/** When each step of some work begins, so that it ends soonest. */
final class ScheduleCalculator implements Calculator
{
    private const MOST_STEPS = 500;

    /** A week without a pause. */
    private const MOST_MINUTES = 10_080;

    private const MOST_PEOPLE = 100;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $steps = $this->steps($given);
        $holds = $this->holds($given);
        $people = $given->optionalWholeNumber('people', 'how many people', self::MOST_PEOPLE) ?? 1;
        $resources = [];
        if ($given->has('resources')) {
            $counts = $given->within('resources', 'the resources');
            foreach ($counts->names() as $name) {
                $resources[$name] = $counts->optionalWholeNumber($name, 'how many there are', self::MOST_PEOPLE) ?? 1;
            }
        }
        $place = $given->has('weights')
            ? $given->within('weights', 'what counts beside the minutes')->optionalWholeNumber('place', 'what a change of place counts for', self::MOST_MINUTES) ?? 0
            : null;
        $given->complete();
        $goesRound = $place !== null || array_filter($steps, fn (TimedStep $step): bool => $step->block !== '') !== [];
        try {
            $work = new Workload($steps, $holds, $resources, $people);
            $timetable = $goesRound ? Timetable::roundTheMachine($work, new Weights($place ?? 0)) : Timetable::shortest($work);
        } catch (Impossible $impossible) {
            $given->fault($impossible->field, $impossible->getMessage());
            $given->complete();
            throw $impossible;
        }
        $isShortest = $timetable->length === $timetable->lowerBound ? ', which nothing can better' : '';

        return new Answer([
            'starts' => (object) $timetable->starts,
            'length' => $timetable->length,
            'lower_bound' => $timetable->lowerBound,
            'order' => $timetable->order,
        ], count($steps)." steps end after {$timetable->length} min{$isShortest}; no order ends before {$timetable->lowerBound} min.", [
            'common practice',
        ]);
    }

    /** @return list<TimedStep> */
    private function steps(Fields $given): array
    {
        $steps = $keys = [];
        $rows = $given->rows('steps', 'the steps');
        if (count($rows) > self::MOST_STEPS) {
            $given->fault('steps', 'At most '.self::MOST_STEPS.' at once.');
            $rows = [];
        } elseif ($rows === []) {
            $given->fault('steps', 'Say what is to be done.');
        }
        foreach ($rows as $row) {
            $key = trim((string) $row->text('key', 'the key'));
            if (isset($keys[$key])) {
                $row->fault('key', "\"{$key}\" is there already: keys are unique.");
            }
            $keys[$key] = true;
            $minutes = $row->has('minutes')
                ? $row->optionalWholeNumber('minutes', 'how long it takes', self::MOST_MINUTES)
                : null;
            if (! $row->has('minutes')) {
                $row->fault('minutes', 'Say how many minutes it takes.');
            }
            foreach (['act', 'at', 'says', 'cautions', 'needs', 'shut', 'only_if', 'covers', 'pieces', 'pair', 'amount', 'answers'] as $name) {
                $row->passOver($name);
            }
            $steps[] = new TimedStep(
                $key,
                $minutes ?? 0,
                $row->has('attended') ? $row->flag('attended', 'whether it takes a person') : true,
                array_values($row->texts('after', 'what it waits for')),
                array_values($row->texts('uses', 'what it uses')),
                trim((string) $row->optionalText('place', 'where it is done')),
                trim((string) $row->optionalText('block', 'of what it is one block')),
            );
        }

        return $steps;
    }

    /** @return list<Hold> */
    private function holds(Fields $given): array
    {
        return array_map(fn (Fields $row): Hold => new Hold(
            trim((string) $row->text('resource', 'the resource')),
            trim((string) $row->text('from', 'the step it begins with')),
            trim((string) $row->text('to', 'the step it ends with')),
        ), $given->rows('holds', 'the holds'));
    }
}
