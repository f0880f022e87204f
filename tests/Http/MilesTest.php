<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Machines\Yard;
use App\People\Role;

/** A yard that counts in miles, and machines kept by their odometer. */
final class MilesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Yard::query()->firstOrFail()->update(['distance_unit' => 'mi']);
    }

    public function test_a_truck_in_miles_has_its_chart_its_band_and_its_reminder_in_miles(): void
    {
        $machine = $this->truck();
        $chart = $this->getJson("/api/machines/{$machine}/chart")->assertOk();
        self::assertSame(['mi', ['5,000 mi', 'every 12 months']], [$chart->json('unit'), $chart->json('headings')]);

        $sheet = $this->sheet($machine);
        $stake = $sheet['line']['rail']['stakes'][0];
        self::assertSame(['mi', '5000'], [$sheet['line']['rail']['unit'], $stake['at']]);
        self::assertEqualsWithDelta(150, (float) $sheet['line']['per_week'], 20);
        self::assertTrue(
            (float) $stake['band'][0] < 5000 && (float) $stake['band'][1] > 5000,
            implode(' ', $stake['band']),
        );
        self::assertSame(['500', '500'], [$sheet['countdown']['remaining'], $sheet['countdown']['set']]);

        $this->tell($machine, 'reminder', ['set' => '600'])
            ->assertCreated()
            ->assertJsonPath('entry.in_words', "The machine's own reminder set to 600 at 4500 mi");
        self::assertSame(
            "The machine's own reminder rings at 5,100 mi, 100 mi after the rulebook's 5,000 mi.",
            $this->sheet($machine)['reminder']['disagrees'],
        );
    }

    public function test_marks_in_miles_come_back_as_miles(): void
    {
        $machine = $this->truck();
        $read = $this->postJson(
            '/api/reckon/chart-read',
            ['unit' => 'mi', 'text' => "Task\tfirst 600\t3000\t6000\t9000\nBrake pads\tI\tI\tI\tI"],
        )->assertOk();
        self::assertSame(
            [['mi' => '3000'], [['mi' => '600']]],
            [$read->json('rows.0.every'), $read->json('rows.0.first')],
        );

        $this->putJson(
            "/api/machines/{$machine}/chart",
            [
                'rows' => [
                    ['spots' => ['pads']] + array_intersect_key(
                        $read->json('rows.0'),
                        ['task' => 1, 'kind' => 1, 'first' => 1, 'every' => 1, 'anchor' => 1],
                    ),
                ],
            ],
        )->assertOk();
        self::assertSame(
            'every 3,000 mi, first at 600 mi',
            array_column($this->sheet($machine)['rules'], 'in_words', 'task')['Brake pads'],
        );
    }

    public function test_severity_shortens_miles_too(): void
    {
        $machine = $this->truck();
        $this->patchJson(
            "/api/machines/{$machine}",
            ['severities' => [['severity' => 'short_cold_runs']]],
            ['If-Match' => '"1"'],
        )->assertOk();

        self::assertSame(
            '5,000 mi × 0.5 for short cold runs makes 2,500 mi. 12 months × 0.5 for short cold runs makes 6 months.',
            $this->sheet($machine)['rules'][0]['tightened'],
        );
    }

    public function test_consequences_are_told_in_miles(): void
    {
        $machine = $this->truck();
        $told = $this->getJson('/api/rules/'.$this->ruleId($machine).'/consequences?distance=4600')
            ->assertOk()
            ->json('consequences.0.in_words');

        self::assertSame('Next at 9,600 mi.', $told);
    }

    private function truck(): int
    {
        $this->as(Role::Keeper);
        $id = $this->postJson('/api/machines', ['name' => 'Pochard', 'class' => 'small_truck', 'place' => 'House', 'history' => 'new', 'at' => '2025-10-01', 'began_on' => '2025-10-01',
            'meters' => [['unit' => 'mi', 'value' => '0']], 'rules' => [
                [
                    'task' => 'Engine oil',
                    'kind' => 'replace',
                    'spots' => ['engine_oil'],
                    'every' => ['mi' => '5000', 'months' => 12],
                ],
            ]])->assertCreated()->json('id');
        foreach (range(1, 30) as $week) {
            $day = (new \DateTimeImmutable('2025-10-01'))->modify("+{$week} weeks")->format('Y-m-d');
            $this->tell(
                $id,
                'reading',
                ['value' => (string) (150 * $week), 'meter' => 'distance', 'at' => $day],
            )->assertCreated();
        }

        return $id;
    }
}
