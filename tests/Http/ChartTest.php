<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Rulebook\Rule;

/** The column chart: shown, written as a whole, taken along as CSV and pasted back. */
final class ChartTest extends TestCase
{
    private const RULES = [
        ['task' => 'Grease', 'kind' => 'lubricate', 'every' => ['hours' => 50]],
        [
            'task' => 'Engine oil',
            'kind' => 'replace',
            'spots' => ['engine_oil'],
            'every' => ['hours' => 200, 'months' => 12],
            'first' => [['hours' => 50]],
            'anchor' => 'chart',
        ],
        [
            'task' => 'Blades',
            'kind' => 'clean',
            'spots' => ['blades'],
            'windows' => [['name' => 'spring', 'from' => '03-01', 'to' => '04-15']],
        ],
        ['task' => 'Separator', 'kind' => 'clean', 'spots' => ['fuel_filter'], 'condition' => 'water shows'],
    ];

    public function test_a_rulebook_is_shown_as_columns_with_marks_at_the_crossings(): void
    {
        $chart = $this->getJson('/api/machines/'.$this->machine(['rules' => self::RULES]).'/chart')->assertOk();

        self::assertSame(
            ['first 50 h', '50 h', '100 h', '150 h', '200 h', 'every 12 months', 'spring 03-01 to 04-15'],
            $chart->json('headings'),
        );
        self::assertSame(['Grease' => '-****--', 'Engine oil' => '*---**-', 'Blades' => '------*'],
            collect($chart->json('rows'))->mapWithKeys(
                fn (array $row): array => [
                    $row['task'] => implode('', array_map(fn (bool $mark): string => $mark ? '*' : '-', $row['marks'])),
                ],
            )->all());
        self::assertSame(['Separator'], array_column($chart->json('beside'), 'task'));
    }

    public function test_rows_are_added_changed_and_taken_out_together(): void
    {
        $machine = $this->machine(['rules' => self::RULES]);
        [$grease, , $blades] = array_column($this->getJson("/api/machines/{$machine}/chart")->json('rows'), 'rule_id');
        $chart = $this->putJson("/api/machines/{$machine}/chart", ['rows' => [
            ['task' => 'engine OIL', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => '100']],
            ['rule_id' => $grease, 'task' => 'Grease all points', 'kind' => 'lubricate'],
            ['task' => 'Belt', 'kind' => 'inspect', 'spots' => ['deck_belt'], 'every' => ['hours' => '100']],
        ], 'remove' => [$blades]])->assertOk();

        self::assertSame(
            [
                'Grease all points' => 'every 50 h',
                'engine OIL' => 'every 100 h, first at 50 h',
                'Belt' => 'every 100 h',
            ],
            array_column($chart->json('rows'), 'in_words', 'task'),
        );
        self::assertSame(
            'Chart: 1 added, 2 changed, 1 taken out.',
            $this->getJson("/api/machines/{$machine}/entries?kind=rule_changed")->json('data.0.note'),
        );

        $undone = $this->putJson(
            "/api/machines/{$machine}/chart",
            ['rows' => [['rule_id' => $blades, 'task' => 'Blades', 'kind' => 'clean', 'spots' => ['blades']]]],
        )->assertOk();
        self::assertContains(
            'Blades',
            array_column($undone->json('rows'), 'task'),
            'what was taken out can be put back',
        );
    }

    public function test_one_bad_row_saves_nothing(): void
    {
        $machine = $this->machine(['rules' => self::RULES]);
        $before = Rule::query()->count();
        foreach ([['task' => 'Belt', 'kind' => 'inspect', 'spots' => ['deck_belt']], ['task' => 'Belt', 'kind' => 'dance', 'spots' => ['deck_belt'], 'every' => ['hours' => 5]], ['task' => 'Belt', 'kind' => 'inspect', 'spots' => ['deck_belt'], 'every' => ['hours' => '-5']], ['rule_id' => 999_999, 'task' => 'Belt', 'kind' => 'inspect', 'spots' => ['deck_belt']]] as $bad) {
            $this->putJson(
                "/api/machines/{$machine}/chart",
                [
                    'rows' => [
                        ['task' => 'Chain', 'kind' => 'adjust', 'spots' => ['levers'], 'every' => ['hours' => 25]],
                        $bad,
                    ],
                ],
            )->assertUnprocessable();
        }
        self::assertSame($before, Rule::query()->count());
    }

    public function test_a_mark_that_loosens_the_book_under_warranty_asks_for_the_reason_and_keeps_what_the_book_says(): void
    {
        $machine = $this->machine(
            [
                'warranty' => ['until' => '2028-01-01'],
                'rules' => [
                    [
                        'task' => 'Oil',
                        'kind' => 'replace',
                        'spots' => ['engine_oil'],
                        'every' => ['hours' => 100],
                        'source' => 'book',
                    ],
                ],
            ],
        );
        $row = [
            'rule_id' => $this->ruleId($machine),
            'task' => 'Oil',
            'kind' => 'replace',
            'spots' => ['engine_oil'],
            'every' => ['hours' => 200],
        ];
        $this->putJson("/api/machines/{$machine}/chart", ['rows' => [$row]])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['rows.0.loosened_because']]);
        $this->putJson(
            "/api/machines/{$machine}/chart",
            ['rows' => [$row], 'loosened_because' => 'Agreed with the dealer'],
        )->assertOk();

        $oil = $this->sheet($machine)['rules'][0];
        self::assertSame(
            ['keeper', ['hours' => '100'], 'every 200 h'],
            [$oil['source'], $oil['book'], $oil['in_words']],
        );
        self::assertStringContainsString('Reason: agreed with the dealer', $oil['warranty']);
    }

    public function test_the_chart_survives_the_way_through_csv_to_another_machine(): void
    {
        $heron = $this->machine(['rules' => array_slice(self::RULES, 0, 3)]);
        $csv = $this->get("/api/machines/{$heron}/chart.csv")->assertOk();
        self::assertSame('attachment; filename="heron-rulebook.csv"', $csv->headers->get('Content-Disposition'));
        $read = $this->postJson('/api/reckon/chart-read', ['text' => $csv->getContent()])->assertOk()->json();
        self::assertSame([], $read['questions']);

        $teal = $this->machine(['name' => 'Teal', 'rules' => []]);
        $suggested = $this->postJson(
            "/api/machines/{$teal}/spot-suggestions",
            [
                'tasks' => array_map(
                    fn (array $row): array => ['words' => $row['task'], 'kind' => $row['kind']],
                    $read['rows'],
                ),
            ],
        )
            ->assertOk()
            ->json('suggestions');
        self::assertSame([true, false, false], array_column($suggested, 'all_points'));
        $rows = array_map(
            fn (array $row, array $meant): array => [
                ...array_diff_key($row, ['contained_in' => 1, 'in_words' => 1]),
                'spots' => $meant['spots'],
            ],
            $read['rows'],
            $suggested,
        );
        $this->putJson("/api/machines/{$teal}/chart", ['rows' => $rows])->assertOk();
        $words = fn (int $machine): array => array_column(
            $this->getJson("/api/machines/{$machine}/chart")->json('rows'),
            'in_words',
            'task',
        );
        self::assertSame($words($heron), $words($teal));
        self::assertSame($csv->getContent(), $this->get("/api/machines/{$teal}/chart.csv")->getContent());
    }

    public function test_a_malformed_table_gets_a_clear_message_and_saves_nothing(): void
    {
        $this->machine();
        $before = Rule::query()->count();
        foreach (['' => 'The table is missing', 'Oil 50 100' => 'headings', "Task\tapples\nOil\tX" => 'No heading is an interval', "Task\t50\nOil\t" => 'No row has a mark'] as $text => $message) {
            $this->postJson('/api/reckon/chart-read', ['text' => " {$text}"])->assertUnprocessable();
            self::assertStringContainsString(
                $message,
                $this->postJson('/api/reckon/chart-read', ['text' => " {$text}"])->json('errors.text.0'),
            );
        }
        self::assertSame($before, Rule::query()->count());
    }
}
