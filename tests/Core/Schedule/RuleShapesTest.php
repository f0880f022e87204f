<?php

declare(strict_types=1);

namespace Tests\Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Chart\ColumnChart;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Meter\Limit;
use Core\Schedule\Anchor;
use Core\Schedule\Call;
use Core\Schedule\Consequence;
use Core\Schedule\Interval;
use Core\Schedule\Provenance;
use Core\Schedule\Rule;
use Core\Schedule\RuleSource;
use Core\Schedule\StandingOf;
use Core\Schedule\StandingWords;
use Core\Schedule\State;
use Core\Schedule\YearWindow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rules of every shape that handbook section 4 names. */
final class RuleShapesTest extends TestCase
{
    private const SEQUENCES = 60;

    #[DataProvider('springs')]
    public function test_every_spring_is_due_from_its_first_day_and_past_after_its_last(
        string $today,
        ?string $done,
        State $state,
        string $why,
    ): void {
        $standing = StandingOf::rule(
            self::spring(),
            null,
            $done === null ? [] : [new Point(date: self::day($done))],
            new Point(date: self::day($today)),
        );

        self::assertSame([$state, $why], [$standing->state, StandingWords::why($standing)]);
    }

    /** @return iterable<string, array{string, string|null, State, string}> */
    public static function springs(): iterable
    {
        yield 'long before' => [
            '2025-12-01',
            '2025-04-02',
            State::Fresh,
            'Due in spring, 1 March to 15 April, last done on 2 April. Begins in 90 days.',
        ];
        yield 'soon' => [
            '2026-02-10',
            '2025-04-02',
            State::Nearing,
            'Due in spring, 1 March to 15 April, last done on 2 April 2025. Begins in 19 days.',
        ];
        yield 'in it' => [
            '2026-04-10',
            '2025-04-02',
            State::Due,
            'Due in spring, 1 March to 15 April, last done on 2 April 2025. Ends in 5 days.',
        ];
        yield 'its last day' => [
            '2026-04-15',
            '2025-04-02',
            State::Due,
            'Due in spring, 1 March to 15 April, last done on 2 April 2025. Today is its last day.',
        ];
        yield 'over' => [
            '2026-04-16',
            '2025-04-02',
            State::Past,
            'Due in spring, 1 March to 15 April, last done on 2 April 2025. Ended 1 day ago.',
        ];
        yield 'done a little early' => [
            '2026-04-16',
            '2026-02-10',
            State::Fresh,
            'Due in spring, 1 March to 15 April, last done on 10 February. Begins in 319 days.',
        ];
        yield 'done too early to count' => [
            '2026-03-02',
            '2026-01-10',
            State::Due,
            'Due in spring, 1 March to 15 April, last done on 10 January. Ends in 44 days.',
        ];
        yield 'done late' => [
            '2026-06-01',
            '2026-05-20',
            State::Fresh,
            'Due in spring, 1 March to 15 April, last done on 20 May. Begins in 273 days.',
        ];
        yield 'nobody knows' => [
            '2026-03-02',
            null,
            State::Unknown,
            'Nobody knows when this was last done. Say when, or do it now.',
        ];
    }

    public function test_twice_a_year_may_be_two_parts_of_it_and_one_may_run_over_new_year(): void
    {
        $rule = new Rule(
            new Interval,
            windows: [
                YearWindow::between('11-15', '01-15', 'before storage'),
                YearWindow::between('03-01', '04-15', 'spring'),
            ],
        );
        $due = fn (string $done): ?string => ($point = StandingOf::rule($rule, null, [new Point(date: self::day($done))], new Point(date: self::day($done)))->limiting) === null
            ? null
            : Day::of($point->at->toInt())->format('Y-m-d');

        self::assertSame('2026-11-15', $due('2026-03-20'));
        self::assertSame('2027-03-01', $due('2026-11-20'));
        self::assertSame('2027-03-01', $due('2027-01-10'), 'late in the window that opened last year');
        self::assertSame('before storage, 15 November to 15 January', $rule->windows[0]->inWords());
        self::assertTrue(
            $rule->windows[0]->holds(self::day('2026-12-31')) && $rule->windows[0]->holds(self::day('2027-01-15')),
        );
        self::assertFalse($rule->windows[0]->holds(self::day('2027-01-16')));
        self::assertSame(Day::number(self::day('2027-02-28')), YearWindow::between('02-29', '03-10')->opening(2027));
    }

    public function test_a_rule_by_condition_waits_until_a_check_says_so(): void
    {
        $rule = new Rule(new Interval, condition: 'water shows in the bowl');
        $now = new Point(BigDecimal::of(100), null, self::day('2026-05-14'));

        $quiet = StandingOf::rule($rule, null, [], $now);
        self::assertSame(
            [State::Fresh, 'Only when a check says so: water shows in the bowl. None has.'],
            [$quiet->state, StandingWords::why($quiet)],
        );
        $called = StandingOf::rule($rule, null, [], $now, [], new Call(self::day('2026-05-12'), 'water in the bowl'));
        self::assertSame(
            [State::Due, 'A check on 12 May 2026 called for it: water in the bowl.'],
            [$called->state, StandingWords::why($called)],
        );
    }

    public function test_a_check_makes_due_what_its_hours_had_left_fresh_but_never_makes_it_less_urgent(): void
    {
        $rule = new Rule(Interval::ofHours(100));
        $at = fn (int $hours): State => StandingOf::rule(
            $rule,
            null,
            [new Point(BigDecimal::zero())],
            new Point(BigDecimal::of($hours), null, self::day('2026-05-14')),
            [],
            new Call(self::day('2026-05-12'), 'dust inside'),
        )->state;

        self::assertSame([State::Due, State::Past], [$at(10), $at(150)]);
    }

    /** Handbook, section 12: early at 362 of 400, both schools; handbook section 4 gives 440 h and 760. */
    public function test_both_anchors_show_what_follows_before_one_is_chosen(): void
    {
        $service = new Point(BigDecimal::of(360));
        [$fromDone, $chart] = Consequence::ofBoth(
            new Rule(Interval::ofHours(400), from: new Provenance(RuleSource::Book)),
            new Point(BigDecimal::zero()),
            [$service],
            $service,
        );

        self::assertSame("Next at 760 h. It will then have run 400 h, just the book's interval.", $fromDone->inWords());
        self::assertSame("Next at 800 h. It will then have run 440 h, 40 h over the book's 400 h.", $chart->inWords());
        self::assertSame([Anchor::FromDone, Anchor::Chart], [$fromDone->anchor, $chart->anchor]);
    }

    public function test_where_the_date_comes_first_the_hours_are_told_beside_it(): void
    {
        $rule = new Rule(new Interval(BigDecimal::of(200), months: 12), from: new Provenance(book: Interval::ofHours(250)));
        $told = fn (int $hours): string => Consequence::ofBoth(
            $rule,
            null,
            [new Point(BigDecimal::of(300), null, self::day('2026-01-10'))],
            new Point(BigDecimal::of($hours), null, self::day('2026-07-10')),
        )[0]->inWords();

        self::assertSame(
            "Next on 10 January 2027, or at 500 h if that comes first. By those hours it will have run 200 h, 50 h short of the book's 250 h.",
            $told(310),
        );
        self::assertSame("Next at 500 h. It will then have run 200 h, 50 h short of the book's 250 h.", $told(470));
    }

    public function test_a_skipped_point_is_passed_over_and_the_hours_it_will_have_run_are_told(): void
    {
        foreach ([[Anchor::Chart, 1200], [Anchor::FromDone, 1200]] as [$anchor, $next]) {
            $standing = StandingOf::rule(
                new Rule(Interval::ofHours(400), anchor: $anchor),
                null,
                [new Point(BigDecimal::of(400))],
                new Point(BigDecimal::of(790)),
                [new Point(BigDecimal::of(800))],
            );

            self::assertTrue($standing->limiting?->at->isEqualTo($next));
            self::assertSame(['Runs for 800 h until then, over the 440 h allowed.'], $standing->notes);
        }
    }

    public function test_what_was_skipped_before_it_was_next_done_no_longer_counts(): void
    {
        $rule = new Rule(Interval::ofHours(100));
        $with = StandingOf::rule(
            $rule,
            null,
            [new Point(BigDecimal::of(250))],
            new Point(BigDecimal::of(260)),
            [new Point(BigDecimal::of(200))],
        );

        self::assertTrue($with->limiting?->at->isEqualTo(350));
    }

    /**
     * Every shape, sequence after sequence: the points asked for never go back, each one of the chart is met by exactly
     * one service or skip or lies behind
     * a late one, and the order in which things were written down does not matter.
     */
    #[DataProvider('shapes')]
    public function test_no_point_is_lost_or_doubled_on_any_sequence_of_early_late_and_skipped_services(Rule $rule): void
    {
        mt_srand(3);
        for ($sequence = 0; $sequence < self::SEQUENCES; $sequence++) {
            $start = new Point(BigDecimal::zero(), BigDecimal::zero(), self::day('2020-01-01'));
            [$done, $skipped, $asked] = [[], [], []];
            $now = $start;
            for ($turn = 0; $turn < 12; $turn++) {
                $standing = StandingOf::rule($rule, $start, $done, $now, $skipped);
                $due = $standing->limiting;
                if ($due === null) {
                    self::assertTrue(
                        $rule->every->isEmpty() && $rule->windows === [],
                        'only a rule without an end comes to its end',
                    );
                    break;
                }
                $asked[] = $due->at->toFloat();
                $slip = mt_rand(-90, 250) / 1000 * $due->early->toFloat() * 10;
                $reached = max($due->at->toFloat() + $slip, (float) (string) $now->along($due->limit));
                $event = self::along($due->limit, $reached);
                if (mt_rand(0, 3) === 0) {
                    $skipped[] = self::along($due->limit, $due->at->toFloat());
                } else {
                    $done[] = $event;
                }
                $now = $event;
            }
            $rising = $asked;
            sort($rising);
            self::assertSame($rising, $asked, 'the points never go back');
            self::assertCount(count($asked), array_unique($asked), 'none is asked for twice');
            $this->assertWholeChartIsMet($rule, $asked, $done);
            shuffle($done);
            shuffle($skipped);
            self::assertEquals(
                StandingOf::rule($rule, $start, array_reverse($done), $now, array_reverse($skipped))->limiting,
                StandingOf::rule($rule, $start, $done, $now, $skipped)->limiting,
            );
        }
    }

    /** @return iterable<string, array{Rule}> */
    public static function shapes(): iterable
    {
        $hours = fn (int $hours): Interval => Interval::ofHours($hours);
        yield 'recurring' => [new Rule($hours(50))];
        yield 'recurring by the chart' => [new Rule($hours(50), anchor: Anchor::Chart)];
        yield 'first point, then recurring' => [new Rule($hours(250), [$hours(100)])];
        yield 'two first points by the chart' => [new Rule($hours(400), [$hours(50), $hours(120)], Anchor::Chart)];
        yield 'only first points' => [new Rule(new Interval, [$hours(20), $hours(50)])];
        yield 'by distance' => [new Rule(new Interval(km: BigDecimal::of(1600)), anchor: Anchor::Chart)];
        yield 'by months' => [new Rule(new Interval(months: 6))];
        yield 'by months on the chart' => [new Rule(new Interval(months: 24), anchor: Anchor::Chart)];
        yield 'every spring' => [self::spring()];
        yield 'spring and autumn' => [
            new Rule(
                new Interval,
                windows: [YearWindow::between('09-15', '10-31'), YearWindow::between('03-01', '04-15')],
            ),
        ];
    }

    #[DataProvider('shapes')]
    public function test_a_standing_never_grows_less_urgent_while_nothing_is_done(Rule $rule): void
    {
        $start = new Point(BigDecimal::zero(), BigDecimal::zero(), self::day('2020-01-01'));
        $rank = -1;
        for ($step = 0; $step < 300; $step++) {
            $standing = StandingOf::rule(
                $rule,
                $start,
                [],
                new Point(
                    BigDecimal::of(2 * $step),
                    BigDecimal::of(20 * $step),
                    Day::of(Day::number(self::day('2020-01-01')) + 4 * $step),
                ),
            );
            self::assertGreaterThanOrEqual($rank, $standing->state->rank());
            $rank = $standing->state->rank();
        }
    }

    /**
     * @param  list<float>  $asked
     * @param  list<Point>  $done
     */
    private function assertWholeChartIsMet(Rule $rule, array $asked, array $done): void
    {
        $limit = $rule->every->km !== null ? Limit::Distance : Limit::Hours;
        if ($rule->anchor !== Anchor::Chart || $rule->every->length($limit) === null) {
            return;
        }
        $early = $rule->every->length($limit)->multipliedBy($rule->leeway->early)->toFloat();
        foreach (ColumnChart::points($rule, BigDecimal::zero(), BigDecimal::of(sprintf('%.3F', max($asked))), $limit) as $point) {
            $behindLate = array_filter(
                $done,
                fn (Point $service): bool => $service->along($limit)?->toFloat() + $early >= $point->toFloat(),
            );
            self::assertTrue(in_array($point->toFloat(), $asked, true) || $behindLate !== [], "{$point} was lost");
        }
        foreach ($asked as $at) {
            self::assertContains(
                $at,
                array_map(
                    fn (BigDecimal $point): float => $point->toFloat(),
                    iterator_to_array(
                        ColumnChart::points(
                            $rule,
                            BigDecimal::zero(),
                            BigDecimal::of(sprintf('%.3F', $at + 1)),
                            $limit,
                        ),
                        false,
                    ),
                ),
            );
        }
    }

    private static function along(Limit $limit, float $position): Point
    {
        return match ($limit) {
            Limit::Hours => new Point(hours: BigDecimal::of(sprintf('%.3F', $position))),
            Limit::Distance => new Point(km: BigDecimal::of(sprintf('%.3F', $position))),
            Limit::Date => new Point(date: Day::of((int) round($position))),
        };
    }

    private static function spring(): Rule
    {
        return new Rule(new Interval, windows: [YearWindow::between('03-01', '04-15', 'spring')]);
    }

    private static function day(string $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable("{$day}T00:00:00Z");
    }
}
