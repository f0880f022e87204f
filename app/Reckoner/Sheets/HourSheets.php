<?php

declare(strict_types=1);

namespace App\Reckoner\Sheets;

use App\Reckoner\Sheets\SheetField as Ask;
use Core\Measure\Plain;

/** Hours, dates and what falls due. */
final class HourSheets
{
    private const ANCHORS = ['from_done' => 'from the day it was done', 'chart' => "by the chart's multiples"];

    /** @return list<CalculatorSheet> */
    public static function all(): array
    {
        return [self::countdown(), self::reading(), self::standing(), self::forecast(), self::chart(), self::chartRead()];
    }

    private static function countdown(): CalculatorSheet
    {
        return new CalculatorSheet(
            'countdown',
            "What to set on the machine's own countdown",
            ['reminder', 'hours until maintenance', 'reset', 'remaining'],
            [
                Ask::number('meter', 'Meter shows, h', '31.2'),
                Ask::number('next_due', 'Next due at, h', '50'),
                Ask::number('step', 'Its display goes in steps of', '1')->beginsWith('1'),
            ],
            fn (array $answer): array => [
                "Set {$answer['set']}",
                [['Left', "{$answer['remaining']} h"], ['It rings at', "{$answer['rings_at']} h"]],
            ],
            into: ['note' => 'reminder', 'from' => 'set', 'words' => "the machine's own reminder"],
        );
    }

    private static function reading(): CalculatorSheet
    {
        return new CalculatorSheet(
            'reading',
            'Whether a reading can be right',
            ['mistyped hours', 'lower than last', 'too fast', 'lost decimal point'],
            [
                Ask::set('previous', 'It showed', Ask::number('value', 'h', '24.6'), Ask::day('at', 'on')),
                Ask::set('next', 'Then it showed', Ask::number('value', 'h', '412.6'), Ask::day('at', 'on')),
                Ask::number('max_per_day', 'It gains a day at most, h', '24'),
                Ask::number('per_week', 'It gains a week usually, h'),
            ],
            fn (array $answer): array => [
                match (true) {
                    $answer['plausible'] => 'It can be right',
                    $answer['suggestion'] !== null => "Perhaps {$answer['suggestion']}",
                    default => 'It can hardly be right',
                },
                [['Gained', $answer['gained'] === null ? Words::NONE : "{$answer['gained']} h"]],
            ],
            into: ['note' => 'reading', 'from' => 'next', 'words' => 'the reading'],
        );
    }

    private static function standing(): CalculatorSheet
    {
        return new CalculatorSheet(
            'standing',
            'When it comes next',
            ['next due', 'interval', 'early service', 'past due', 'how much is left'],
            [
                Ask::set(
                    'rule',
                    'The rule',
                    Ask::set('every', 'Every', ...self::interval()),
                    Ask::rows('first', 'First at', 'first point', ...self::interval()),
                    Ask::choice('anchor', 'The next is counted', self::ANCHORS),
                    Ask::number('early', 'Early window, share', '0.10'),
                    Ask::number('late', 'Late window, share', '0.10'),
                ),
                Ask::rows('done', 'Done', 'time', ...self::point()),
                Ask::set('start', 'New at', ...self::point()),
                Ask::set('now', 'Now', ...self::point()),
            ],
            fn (array $answer): array => [
                $answer['state'].(self::at($answer['due']) === '' ? '' : ', next at '.self::at($answer['due'])),
                [
                    ['Left', self::at($answer['remaining']) ?: Words::NONE],
                    ['That runs for', isset($answer['runs_for']['hours']) ? "{$answer['runs_for']['hours']} h" : Words::NONE],
                    ...array_map(fn (string $note): array => ['Mind', $note], $answer['notes']),
                ],
            ],
        );
    }

    private static function forecast(): CalculatorSheet
    {
        return new CalculatorSheet(
            'forecast',
            'On which day it will be due',
            ['when will it reach', 'hours a week', 'forecast', 'season'],
            [
                Ask::rows('readings', 'Readings', 'reading', Ask::day('date', 'On'), Ask::number('hours', 'h'))->beginsWith(2),
                Ask::number('due_hours', 'Due at, h'),
                Ask::day('today', 'Today'),
                Ask::rows('resting', 'It stands each year', 'part', Ask::text('from', 'from', '11-01'), Ask::text('to', 'to', '02-28')),
            ],
            fn (array $answer): array => [
                $answer['p50'] ?? 'Nobody can tell',
                [
                    ['Probably between', ($answer['p10'] ?? Words::NONE).' and '.($answer['p90'] ?? Words::NONE)],
                    ['It runs', $answer['rate_per_week'] === null ? Words::NONE : "{$answer['rate_per_week']} h a week"],
                    ['That is', $answer['confidence']],
                ],
            ],
        );
    }

    private static function chart(): CalculatorSheet
    {
        return new CalculatorSheet(
            'chart',
            'What falls due together',
            ['column chart', 'schedule', 'at 400 h', 'service plan'],
            [
                Ask::rows(
                    'rules',
                    'Tasks',
                    'task',
                    Ask::text('name', 'Task'),
                    Ask::set('every', 'Every', ...self::interval()),
                    Ask::rows('first', 'First at', 'first point', ...self::interval()),
                    Ask::choice('anchor', 'Counted', array_reverse(self::ANCHORS)),
                ),
                Ask::number('from', 'From, h', '0'),
                Ask::number('to', 'to, h', '400'),
            ],
            fn (array $answer): array => [
                Plain::count(count($answer['columns']), 'column'),
                array_map(fn (array $column): array => ["{$column['at']} h", implode(', ', $column['tasks'])], $answer['columns']),
            ],
        );
    }

    private static function chartRead(): CalculatorSheet
    {
        return new CalculatorSheet(
            'chart-read',
            "What a book's chart says",
            ['paste a schedule', 'maintenance table', 'marks', 'interval chart'],
            [
                Ask::text('text', 'The table')->inLines(),
                Ask::choice('unit', 'Bare headings are', ['h' => 'hours', 'km' => 'kilometres', 'mi' => 'miles']),
            ],
            fn (array $answer): array => [
                Plain::count(count($answer['rows']), 'task').', '.count($answer['questions']).' to ask',
                [
                    ...array_map(fn (array $row): array => [$row['task'], $row['in_words']], $answer['rows']),
                    ...array_map(fn (array $question): array => ['Asked', $question['ask']], $answer['questions']),
                ],
            ],
            'A table as it stands in the manual, with tabs, semicolons or commas between its fields. What can be meant two ways is asked.',
        );
    }

    /** @return list<SheetField> */
    private static function interval(): array
    {
        return [Ask::number('hours', 'h'), Ask::number('km', 'km'), Ask::number('months', 'months')];
    }

    /** @return list<SheetField> */
    private static function point(): array
    {
        return [Ask::number('hours', 'h'), Ask::number('km', 'km'), Ask::day('date', 'on')];
    }

    /** @param  array<string, mixed>|object|null  $point  of what it gives: hours, kilometres, a date */
    private static function at(array|object|null $point): string
    {
        $given = array_filter((array) $point, fn (mixed $value): bool => $value !== null);

        return implode(', ', array_map(fn (string $name, mixed $value): string => match ($name) {
            'date' => (string) $value,
            'hours' => "{$value} h",
            default => "{$value} {$name}",
        }, array_keys($given), array_values($given)));
    }
}
