<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Inspect\Check;
use Core\Inspect\CheckChange;
use Core\Inspect\CheckList;
use Core\Inspect\LimitSource;
use Core\Inspect\Measurement;
use Core\Inspect\Measuring;
use Core\Inspect\Occasion;
use Core\Inspect\RoundKind;
use Core\Inspect\Turn;
use Core\Machine\MachineClass;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Schedule\YearWindow;
use Core\Starter\Starters;
use PHPUnit\Framework\TestCase;

final class CheckListTest extends TestCase
{
    public function test_every_class_has_its_rounds_and_every_check_says_where_how_and_what_is_fine(): void
    {
        $day = new \DateTimeImmutable('2026-11-20');
        foreach (MachineClass::cases() as $class) {
            $sheet = Starters::for($class)->checkList();
            foreach (RoundKind::ofChecks() as $round) {
                self::assertNotEmpty($sheet->ofRound($round, $day), "{$class->value} {$round->value}");
            }
            self::assertGreaterThan(
                count($sheet->ofRound(RoundKind::Daily, $day)),
                count($sheet->ofRound(RoundKind::Weekly, $day)),
            );
            foreach ($sheet->checks as $check) {
                self::assertNotContains(
                    '',
                    [$check->title, $check->manner->place, $check->manner->how, $check->manner->fine],
                    "{$class->value} {$check->key}",
                );
            }
        }
    }

    public function test_every_starting_limit_can_be_measured_against(): void
    {
        foreach (MachineClass::cases() as $class) {
            foreach (Starters::for($class)->checkList()->checks as $check) {
                try {
                    $check->measuring->by?->instrument()
                        ->judge(
                            new Fields([]),
                            new Fields($check->measuring->limits, 'limits.'),
                            new Occasion(new \DateTimeImmutable, Quantity::parse('-10 °C')),
                        );
                } catch (BadInput $refused) {
                    self::assertSame(
                        [],
                        preg_grep('/^limits\./', array_keys($refused->errors)),
                        "{$class->value} {$check->key}",
                    );
                }
                self::assertSame(LimitSource::CommonPractice, $check->measuring->source);
            }
        }
    }

    public function test_what_can_kill_stands_the_machine_down(): void
    {
        foreach (['seat_switch', 'leaks', 'brakes', 'front_boots', 'chute'] as $key) {
            $sheets = array_filter(
                array_map(
                    fn (MachineClass $class): ?Check => Starters::for($class)->checkList()->find($key),
                    MachineClass::cases(),
                ),
            );
            self::assertNotEmpty($sheets);
            foreach ($sheets as $check) {
                self::assertContains(Verdict::StandDown, array_column($check->degrees(), 'verdict'), $key);
            }
        }
    }

    public function test_the_machines_limit_wins_over_the_classs_and_that_over_common_practice(): void
    {
        $sheet = Starters::for(MachineClass::Tractor)->checkList()->changed(
            [new CheckChange('belt', ['limits' => ['deflection' => '10 mm', 'force' => '98 N']])],
            LimitSource::MachineClass,
        );
        self::assertSame(LimitSource::MachineClass, $sheet->find('belt')?->measuring->source);

        $own = $sheet->changed(
            [
                new CheckChange('belt', ['limits' => ['deflection' => '9 mm', 'force' => '98 N']]),
                new CheckChange('leaks', ['place' => 'Under the loader valve']),
            ],
            LimitSource::Machine,
        );
        self::assertSame(
            [LimitSource::Machine, '9 mm'],
            [$own->find('belt')?->measuring->source, $own->find('belt')->measuring->limits['deflection']],
        );
        self::assertSame('Under the loader valve', $own->find('leaks')?->manner->place);
        self::assertSame(LimitSource::CommonPractice, $own->find('tyre_pressure')?->measuring->source);
    }

    public function test_checks_are_added_dropped_and_moved(): void
    {
        $sheet = new CheckList([new Check('a', 'A'), new Check('b', 'B'), new Check('c', 'C')]);
        $keys = fn (CheckList $sheet): array => array_column($sheet->checks, 'key');

        self::assertSame(
            ['a', 'c'],
            $keys($sheet->changed([new CheckChange('b', dropped: true)], LimitSource::Machine)),
        );
        self::assertSame(
            ['c', 'a', 'b'],
            $keys($sheet->changed([new CheckChange('c', position: -1)], LimitSource::Machine)),
        );
        self::assertSame(
            ['a', 'x', 'b', 'c'],
            $keys($sheet->changed([new CheckChange('x', ['title' => 'Step'], position: 0.5)], LimitSource::Machine)),
        );
        self::assertSame(
            ['a', 'b', 'c', 'x'],
            $keys($sheet->changed([new CheckChange('x', ['title' => 'Step'])], LimitSource::Machine)),
        );
        self::assertSame(
            ['a', 'b', 'c'],
            $keys($sheet->changed([new CheckChange('gone', ['how' => 'Look.'])], LimitSource::Machine)),
        );
    }

    public function test_a_check_for_the_cold_months_is_asked_for_in_them_alone(): void
    {
        $check = new Check('frost', 'Frost',
            turn: new Turn(rounds: [RoundKind::Weekly], window: YearWindow::between('10-01', '03-31')),
        );

        self::assertTrue($check->isAsked(RoundKind::Weekly, new \DateTimeImmutable('2026-12-24')));
        self::assertTrue(
            $check->isAsked(RoundKind::BeforeSeason, new \DateTimeImmutable('2026-12-24')),
            'a bigger round contains the smaller',
        );
        self::assertFalse($check->isAsked(RoundKind::Daily, new \DateTimeImmutable('2026-12-24')));
        self::assertFalse($check->isAsked(RoundKind::Weekly, new \DateTimeImmutable('2026-07-01')));
    }

    /** Handbook, section 17: an engine that is read only within minutes of a run is not dipped in the morning round. */
    public function test_what_is_read_only_within_minutes_of_a_run_is_not_asked_in_the_morning(): void
    {
        $day = new \DateTimeImmutable('2026-05-14');
        $stick = new Check('engine_oil', 'Engine oil',
            measuring: new Measuring(Measurement::Level, ['engine' => 'off', 'wait_minutes' => '2', 'latest_minutes' => '5']),
        );

        self::assertFalse($stick->isAsked(RoundKind::Daily, $day));
        self::assertTrue($stick->isAsked(RoundKind::Weekly, $day), 'in a bigger round there is time for a run');
        self::assertTrue($stick->with(['limits' => ['engine' => 'off']])->isAsked(RoundKind::Daily, $day));
    }

    public function test_verdicts_rank_fit_watch_act_stand_down(): void
    {
        self::assertSame(Verdict::StandDown, Verdict::hardest(Verdict::Act, Verdict::StandDown, Verdict::Watch));
        self::assertSame(Verdict::Fit, Verdict::hardest());
        self::assertFalse(Verdict::Watch->isWorseThan(Verdict::Watch));
    }
}
