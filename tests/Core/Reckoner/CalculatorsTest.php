<?php

declare(strict_types=1);

namespace Tests\Core\Reckoner;

use Core\Form\BadInput;
use Core\Reckoner\Catalogue;
use Core\Reckoner\UnknownCalculator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The calculators' contract: names, fields and the worked cases printed there. */
final class CalculatorsTest extends TestCase
{
    public function test_convert(): void
    {
        self::assertSame(
            ['value' => '1.892706', 'unit' => 'L', 'display' => '1.89 L (2 qt)'],
            self::reckon('convert', ['quantity' => '2 qt', 'to' => 'L'])['result'],
        );
        self::assertSame(
            '1.66',
            self::reckon(
                'convert',
                ['quantity' => ['value' => '1.75', 'unit' => 'us_qt'], 'to' => 'L', 'places' => 2],
            )['result']['value'],
        );
        self::assertSame('-37', self::reckon('convert', ['quantity' => '-34.6 °F', 'to' => 'degC'])['result']['value']);
    }

    public function test_countdown(): void
    {
        $answer = self::reckon('countdown', ['meter' => 31.2, 'next_due' => 50]);

        self::assertSame([18.8, 18, 49.2], [$answer['remaining'], $answer['set'], $answer['rings_at']]);
        self::assertStringContainsString('20 would ring at 51.2', $answer['why']);
        self::assertSame(
            [0, 'act'],
            array_values(
                array_intersect_key(
                    self::reckon('countdown', ['meter' => '51,2', 'next_due' => 50]),
                    ['set' => 1, 'verdict' => 1],
                ),
            ),
        );
    }

    public function test_reading(): void
    {
        $answer = self::reckon(
            'reading',
            ['previous' => ['value' => 24.6, 'at' => '2026-05-08'], 'next' => ['value' => 412.6, 'at' => '2026-05-14']],
        );

        self::assertSame(
            [false, 'too_fast', 388, null, [41.6, 42.6]],
            [$answer['plausible'], $answer['kind'], $answer['gained'], $answer['suggestion'], $answer['suggestions']],
        );
        self::assertSame(
            'future',
            self::reckon(
                'reading',
                ['previous' => ['value' => 1, 'at' => '2026-05-08'], 'next' => ['value' => 2, 'at' => '2031-01-01']],
            )['kind'],
        );
    }

    public function test_standing(): void
    {
        $answer = self::reckon('standing', [
            'rule' => [
                'first' => [],
                'every' => ['hours' => 400],
                'anchor' => 'chart',
                'early' => 0.10,
                'late' => 0.10,
                'source' => 'keeper',
                'book' => ['hours' => 300],
            ],
            'start' => ['hours' => 0, 'km' => null, 'date' => null], 'done' => [
                ['hours' => 362, 'km' => null, 'date' => '2026-04-02'],
            ], 'now' => ['hours' => 371, 'km' => null, 'date' => '2026-05-14'],
        ]);

        self::assertSame(['state' => 'fresh', 'due' => [
            'hours' => 800,
            'km' => null,
            'date' => null,
        ], 'remaining' => [
            'hours' => 429,
            'km' => null,
            'days' => null,
        ], 'limiting' => 'hours', 'runs_for' => ['hours' => 438],
            'share_used' => 0.020548, 'notes' => [
                'Looser than the book, which says every 300 h.',
            ]], array_diff_key($answer, ['why' => 1, 'sources' => 1]));
        self::assertSame(
            'unknown',
            self::reckon(
                'standing',
                ['rule' => ['every' => ['hours' => 50]], 'start' => null, 'done' => [], 'now' => ['hours' => 900]],
            )['state'],
        );
    }

    public function test_forecast(): void
    {
        $readings = array_map(
            fn (int $week): array => [
                'date' => gmdate('Y-m-d', 1_700_000_000 + 7 * 86400 * $week),
                'hours' => 100 + 10 * $week,
            ],
            range(0, 80),
        );
        $answer = self::reckon(
            'forecast',
            ['readings' => $readings, 'due_hours' => '940', 'today' => $readings[80]['date']],
        );

        self::assertSame([10, 'good'], [$answer['rate_per_week'], $answer['confidence']]);
        self::assertEqualsWithDelta(
            28 * 86400,
            strtotime($answer['p50']) - strtotime($readings[80]['date']),
            2 * 86400,
            '40 h at 10 h a week',
        );
        self::assertTrue($answer['p10'] < $answer['p50'] && $answer['p50'] < $answer['p90']);
        $stale = self::reckon(
            'forecast',
            ['readings' => $readings, 'due_hours' => 940, 'today' => gmdate('Y-m-d', 1_700_000_000 + 7 * 86400 * 83)],
        );
        self::assertStringContainsString('Nobody has read this meter for 21 days', $stale['why']);
        self::assertSame(
            [null, 'none'],
            [
                ($none = self::reckon('forecast', ['readings' => [['date' => '2026-01-01', 'hours' => 5]], 'due_hours' => 9, 'today' => '2026-02-01']))['p50'],
                $none['confidence'],
            ],
        );
        self::assertSame(
            '2026-05-20',
            self::reckon(
                'forecast',
                [
                    'readings' => [['date' => '2026-05-01', 'hours' => 5], ['date' => '2026-05-14', 'hours' => 50]],
                    'due_hours' => 20,
                    'today' => '2026-05-20',
                ],
            )['p90'],
            'it is reached',
        );
    }

    public function test_chart(): void
    {
        $answer = self::reckon(
            'chart',
            [
                'rules' => [
                    ['name' => 'Oil', 'first' => [['hours' => 50]], 'every' => ['hours' => 200], 'anchor' => 'chart'],
                    ['name' => 'Air', 'first' => [], 'every' => ['hours' => 100], 'anchor' => 'from_done'],
                ],
                'from' => 50,
                'to' => 200,
            ],
        );

        self::assertSame(
            [
                ['at' => 50, 'tasks' => ['Oil']],
                ['at' => 100, 'tasks' => ['Air']],
                ['at' => 200, 'tasks' => ['Oil', 'Air']],
            ],
            $answer['columns'],
        );
    }

    public function test_chart_read(): void
    {
        $answer = self::reckon('chart-read', ['text' => "Task,50,100\nGrease,X,X\nBelt,C,C"]);
        self::assertSame(
            ['Grease', ['hours' => '50'], 'letter:C'],
            [$answer['rows'][0]['task'], (array) $answer['rows'][0]['every'], $answer['questions'][0]['id']],
        );

        $grid = self::reckon(
            'chart-read',
            [
                'headings' => ['first 50', '100', '200'],
                'rows' => [['task' => 'Oil', 'cells' => ['replace', '', 'replace']]],
                'answers' => ['far_end' => 'every'],
            ],
        );
        self::assertSame('every 200 h, first at 50 h', $grid['rows'][0]['in_words']);
        $recurring = self::reckon(
            'chart-read',
            [
                'headings' => ['first 25', '50', '100', '150', '200', 'yearly'],
                'rows' => [
                    ['task' => 'Oil', 'cells' => ['replace', '', 'replace', '', '', 'replace'], 'recurs' => true],
                ],
            ],
        );
        self::assertSame(
            [[true, false, true, false, true, true], 1],
            [$recurring['rows'][0]['marks'], $recurring['rows'][0]['line']],
            'one mark at 100 h stands for every 100 h',
        );
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  list<string>  $fields
     */
    #[DataProvider('bad')]
    public function test_bad_input_is_refused_beside_its_field(string $name, array $given, array $fields): void
    {
        try {
            self::reckon($name, $given);
            self::fail('It was answered.');
        } catch (BadInput $bad) {
            self::assertSame($fields, array_keys($bad->errors));
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, list<string>}> */
    public static function bad(): iterable
    {
        yield 'nothing given' => ['convert', [], ['quantity', 'to']];
        yield 'wrong kind' => ['convert', ['quantity' => '3 psi', 'to' => 'L'], ['to']];
        yield 'negative' => ['convert', ['quantity' => '-3 L', 'to' => 'us_qt'], ['quantity']];
        yield 'not a number' => ['convert', ['quantity' => 'NaN L', 'to' => 'us_qt'], ['quantity']];
        yield 'unknown unit' => [
            'convert',
            ['quantity' => ['value' => 3, 'unit' => 'bucket'], 'to' => 'L'],
            ['quantity'],
        ];
        yield 'places beyond reason' => ['convert', ['quantity' => '1 L', 'to' => 'mL', 'places' => 99], ['places']];
        yield 'a list for a number' => ['countdown', ['meter' => [1], 'next_due' => true], ['meter', 'next_due']];
        yield 'no step' => ['countdown', ['meter' => 1, 'next_due' => 2, 'step' => 0], ['step']];
        yield 'out of order' => [
            'reading',
            ['previous' => ['value' => 1, 'at' => '2026-05-14'], 'next' => ['value' => 2, 'at' => '2026-05-08']],
            ['next.at'],
        ];
        yield 'no such day' => ['reading', ['next' => ['value' => 2, 'at' => '2026-02-30']], ['next.at']];
        yield 'no readings' => ['forecast', ['due_hours' => 5, 'today' => '2026-05-14'], ['readings']];
        yield 'a meter that went back' => [
            'forecast',
            [
                'readings' => [['date' => '2026-05-01', 'hours' => 50], ['date' => '2026-05-08', 'hours' => 5]],
                'due_hours' => 60,
                'today' => '2026-05-14',
            ],
            ['readings'],
        ];
        yield 'a reading still to come' => [
            'forecast',
            ['readings' => [['date' => '2026-05-20', 'hours' => 50]], 'due_hours' => 60, 'today' => '2026-05-14'],
            ['readings'],
        ];
        yield 'a chart without rules' => ['chart', ['from' => 0, 'to' => 100], ['rules']];
        yield 'a chart backwards' => [
            'chart',
            ['rules' => [['name' => 'Oil', 'every' => ['hours' => 50]]], 'from' => 100, 'to' => 0],
            ['to'],
        ];
        yield 'too many columns' => [
            'chart',
            ['rules' => [['name' => 'Oil', 'every' => ['hours' => '0.01']]], 'from' => 0, 'to' => 1000],
            ['to'],
        ];
        yield 'a table of nothing' => ['chart-read', ['text' => "\n"], ['text']];
        yield 'fields without headings' => [
            'chart-read',
            ['headings' => ['50'], 'rows' => [['task' => 'Oil', 'cells' => ['X', 'X']]]],
            ['rows.0.cells'],
        ];
        yield 'a part of the year that is none' => [
            'standing',
            ['rule' => ['windows' => [['from' => '13-01', 'to' => '04-15']]], 'now' => ['date' => '2026-05-14']],
            ['rule.windows.0.from', 'rule.every'],
        ];
        yield 'a rule of nothing' => ['standing', ['rule' => ['every' => []], 'now' => ['hours' => 1]], ['rule.every']];
        yield 'nowhere to stand' => [
            'standing',
            ['rule' => ['every' => ['hours' => 50, 'months' => 12]], 'now' => ['km' => 1]],
            ['now.hours', 'now.date'],
        ];
        yield 'an anchor of his own' => [
            'standing',
            ['rule' => ['every' => ['hours' => 50], 'anchor' => 'moon'], 'now' => ['hours' => 1]],
            ['rule.anchor'],
        ];
        yield 'an interval of less than nothing' => [
            'standing',
            ['rule' => ['every' => ['hours' => -50]], 'now' => ['hours' => 1]],
            ['rule.every.hours', 'rule.every'],
        ];
        yield 'a window wider than the interval' => [
            'standing',
            ['rule' => ['every' => ['hours' => 50], 'early' => 3], 'now' => ['hours' => 1]],
            ['rule.early'],
        ];
    }

    public function test_every_answer_says_why_and_on_whose_word(): void
    {
        foreach ([['convert', ['quantity' => '1 L', 'to' => 'mL']], ['countdown', ['meter' => 1, 'next_due' => 9]], [
            'reading',
            ['next' => ['value' => 1, 'at' => '2026-05-14']],
        ],
            [
                'standing',
                ['rule' => ['every' => ['hours' => 9]], 'start' => ['hours' => 0], 'now' => ['hours' => 1]],
            ]] as [$name, $given]) {
            $answer = self::reckon($name, $given);
            self::assertMatchesRegularExpression('/\d.*\.$/', $answer['why']);
            self::assertNotEmpty($answer['sources']);
        }
    }

    public function test_an_unknown_calculator_is_named(): void
    {
        $this->expectException(UnknownCalculator::class);
        self::reckon('soothsay', []);
    }

    public function test_the_command_gives_the_same_answer_and_refuses_with_exit_code_2(): void
    {
        [$code, $out] = self::command('countdown', '{"meter":31.2,"next_due":50}');
        self::assertSame(
            [0, self::reckon('countdown', ['meter' => 31.2, 'next_due' => 50])],
            [$code, json_decode($out, true)],
        );

        [$code, $out, $err] = self::command('convert', '{"quantity":"3 psi","to":"L"}');
        self::assertSame(
            [2, '', 422, ['to']],
            [$code, $out, json_decode($err, true)['status'], array_keys(json_decode($err, true)['errors'])],
        );

        self::assertSame(404, json_decode(self::command('soothsay', '{}')[2], true)['status']);
        self::assertSame(2, self::command('convert', 'not json')[0]);
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private static function reckon(string $name, array $given): array
    {
        return Catalogue::reckon($name, $given, new \DateTimeImmutable('2026-06-01T12:00:00Z'));
    }

    /** @return array{int, string, string} exit code, standard output, standard error */
    private static function command(string $name, string $json): array
    {
        $process = proc_open(
            [dirname(__DIR__, 3).'/jardinier', 'reckon', $name, $json],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
        );
        [$out, $err] = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

        return [proc_close($process), $out, $err];
    }
}
