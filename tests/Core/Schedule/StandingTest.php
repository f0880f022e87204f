<?php

declare(strict_types=1);

namespace Tests\Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Meter\Limit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Leeway;
use Core\Schedule\Provenance;
use Core\Schedule\Rule;
use Core\Schedule\RuleSource;
use Core\Schedule\Severity;
use Core\Schedule\Standing;
use Core\Schedule\StandingOf;
use Core\Schedule\StandingWords;
use Core\Schedule\State;
use Core\Schedule\Tightening;
use Eris\Attributes\ErisShrink;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The worked cases are the calculators' contract (reckon) and the trade handbook, section 4: common practice, no
 * source.
 */
#[ErisShrink(10)]
final class StandingTest extends TestCase
{
    use TestTrait;

    #[DataProvider('chart')]
    public function test_by_the_chart_a_service_satisfies_the_points_its_early_window_reaches(
        string $done,
        string $next,
        string $runsFor,
        int $notes,
    ): void {
        $standing = StandingOf::rule(self::every(400, Anchor::Chart), self::at('0'), [self::at($done)], self::at('771'));

        self::assertSame($next, (string) $standing->points['hours']->at);
        self::assertSame($runsFor, (string) $standing->runsFor());
        self::assertCount($notes, $standing->notes);
    }

    /** @return iterable<string, array{string, string, string, int}> */
    public static function chart(): iterable
    {
        yield 'done at 362: 360 is reached, so 400 counts as done; 438 is not over 440' => ['362', '800', '438', 0];
        yield 'done at 360: exactly on the window\'s edge; 440 is not over 440' => ['360', '800', '440', 0];
        yield 'done at 359: not early enough to count' => ['359', '400', '41', 0];
        yield 'done late at 430' => ['430', '800', '370', 0];
        yield 'done very late, past a whole point' => ['765', '1200', '435', 0];
    }

    /** Handbook, section 4: hours, distance and date, whichever comes first; the calculators' contract, amended. */
    public function test_a_first_point_met_in_one_dimension_is_met_in_all(): void
    {
        $rule = new Rule(new Interval(BigDecimal::of(100), null, 12), [new Interval(BigDecimal::of(50), null, 1)]);
        $start = new Point(BigDecimal::zero(), null, new \DateTimeImmutable('2026-01-01T00:00:00Z'));
        $after = fn (string $hours, string $day): Point => new Point(
            BigDecimal::of($hours),
            null,
            new \DateTimeImmutable("{$day}T00:00:00Z"),
        );
        $byMonth = StandingOf::rule($rule, $start, [$after('12', '2026-02-01')], $after('20', '2026-02-10'));
        $byHours = StandingOf::rule($rule, $start, [$after('50', '2026-01-12')], $after('55', '2026-01-20'));
        $byNeither = StandingOf::rule($rule, $start, [$after('12', '2026-01-10')], $after('20', '2026-01-20'));

        self::assertSame(
            ['112', '2027-02-01'],
            [(string) $byMonth->points['hours']->at, $byMonth->dueDate()?->format('Y-m-d')],
        );
        self::assertSame(
            ['150', '2027-01-12'],
            [(string) $byHours->points['hours']->at, $byHours->dueDate()?->format('Y-m-d')],
        );
        self::assertSame(
            ['50', '2026-02-01'],
            [(string) $byNeither->points['hours']->at, $byNeither->dueDate()?->format('Y-m-d')],
        );
    }

    public function test_by_the_chart_a_first_point_met_by_its_date_is_left_behind_in_hours_too(): void
    {
        $rule = new Rule(
            new Interval(BigDecimal::of(200)),
            [new Interval(BigDecimal::of(300), null, 6)],
            Anchor::Chart,
        );
        $start = new Point(BigDecimal::zero(), null, new \DateTimeImmutable('2026-01-01T00:00:00Z'));
        $done = new Point(BigDecimal::of(80), null, new \DateTimeImmutable('2026-07-01T00:00:00Z'));

        self::assertSame('400', (string) StandingOf::rule($rule, $start, [$done], $done)->points['hours']->at);
    }

    /** A tenth of a first point of 20 h is 2 h, not the 20 h that a tenth of the interval of 200 h is. */
    #[DataProvider('firstWindows')]
    public function test_the_windows_of_a_first_point_are_shares_of_that_first_point(string $hours, State $state): void
    {
        self::assertSame(
            $state,
            StandingOf::rule(
                new Rule(Interval::ofHours(200), [Interval::ofHours(20)]),
                self::at('0'),
                [],
                self::at($hours),
            )->state,
        );
    }

    /** @return iterable<array{string, State}> */
    public static function firstWindows(): iterable
    {
        yield ['17.9', State::Fresh];
        yield ['18', State::Nearing];
        yield ['20', State::Due];
        yield ['22', State::Due];
        yield ['22.1', State::Past];
    }

    public function test_a_service_well_before_a_first_point_does_not_meet_it(): void
    {
        self::assertSame(
            '20',
            (string) StandingOf::rule(
                new Rule(Interval::ofHours(200), [Interval::ofHours(20)], Anchor::Chart),
                self::at('0'),
                [self::at('5')],
                self::at('6'),
            )->points['hours']->at,
        );
    }

    public function test_what_cannot_be_judged_is_not_fresh(): void
    {
        $rule = new Rule(new Interval(BigDecimal::of(100), null, 12));
        $done = new Point(BigDecimal::of(400));
        $standing = fn (string $hours): Standing => StandingOf::rule(
            $rule,
            null,
            [$done],
            new Point(BigDecimal::of($hours), null, new \DateTimeImmutable('2026-05-14T00:00:00Z')),
        );

        self::assertSame(
            [State::Unknown, ['The day of the last service is not on record, so only the rest is judged.']],
            [$standing('410')->state, $standing('410')->notes],
        );
        self::assertSame(
            [State::Nearing, State::Due, State::Past],
            [$standing('495')->state, $standing('505')->state, $standing('520')->state],
            'what can be judged is, where it presses',
        );
    }

    public function test_a_service_ahead_of_the_meter_is_noted(): void
    {
        $standing = StandingOf::rule(self::every(100), self::at('0'), [self::at('620')], self::at('600'));

        self::assertSame(
            ['A service is recorded at 620 h, and the meter stands at 600 h: one of the two is wrong.'],
            $standing->notes,
        );
        self::assertSame([], StandingOf::rule(self::every(100), self::at('0'), [self::at('600')], self::at('600'))->notes);
        self::assertSame(
            ['A service is recorded for 15 May 2026, which has not come yet.'],
            StandingOf::rule(
                new Rule(new Interval(months: 6)),
                null,
                [self::on('2026-05-15')],
                self::on('2026-05-14'),
            )->notes,
        );
    }

    public function test_every_400_from_done(): void
    {
        self::assertSame(
            '760',
            (string) StandingOf::rule(
                self::every(400),
                self::at('0'),
                [self::at('360')],
                self::at('371'),
            )->points['hours']->at,
        );
    }

    public function test_a_first_service_comes_once_and_then_the_interval_begins(): void
    {
        $rule = new Rule(Interval::ofHours(100), [Interval::ofHours(25)]);
        $due = fn (array $done): string => (string) StandingOf::rule(
            $rule,
            self::at('0'),
            array_map(self::at(...), $done),
            self::at('30'),
        )->points['hours']->at;

        self::assertSame('25', $due([]));
        self::assertSame('126', $due(['26']));
        self::assertSame('226', $due(['26', '126']));
    }

    public function test_by_the_chart_the_first_points_stand_before_the_multiples(): void
    {
        $rule = new Rule(Interval::ofHours(250), [Interval::ofHours(50)], Anchor::Chart);
        $due = fn (string $done): string => (string) StandingOf::rule(
            $rule,
            self::at('0'),
            [self::at($done)],
            self::at('30'),
        )->points['hours']->at;

        self::assertSame('50', $due('10'));
        self::assertSame('250', $due('48'));
        self::assertSame('500', $due('240'));
    }

    #[DataProvider('windows')]
    public function test_states_change_at_the_edges_of_the_windows(string $now, State $state): void
    {
        self::assertSame($state, StandingOf::rule(self::every(100), self::at('0'), [], self::at($now))->state);
    }

    /** @return iterable<string, array{string, State}> */
    public static function windows(): iterable
    {
        yield 'long before' => ['40', State::Fresh];
        yield 'just outside the early window' => ['89.9', State::Fresh];
        yield 'on its edge' => ['90', State::Nearing];
        yield 'just before the point' => ['99.9', State::Nearing];
        yield 'on the point' => ['100', State::Due];
        yield 'on the late edge' => ['110', State::Due];
        yield 'beyond it' => ['110.1', State::Past];
    }

    /** Handbook section 3: book intervals then read "25 h or 400 km, whichever first". */
    public function test_whichever_comes_first_limits(): void
    {
        $rule = new Rule(new Interval(BigDecimal::of(25), BigDecimal::of(400)));
        $start = new Point(BigDecimal::zero(), BigDecimal::zero());
        $byDistance = StandingOf::rule($rule, $start, [], new Point(BigDecimal::of(10), BigDecimal::of(390)));
        $byHours = StandingOf::rule($rule, $start, [], new Point(BigDecimal::of(26), BigDecimal::of(100)));

        self::assertSame(['km', State::Nearing], [$byDistance->limiting?->limit->value, $byDistance->state]);
        self::assertSame(['hours', State::Due], [$byHours->limiting?->limit->value, $byHours->state]);
    }

    /** Handbook section 4: brake fluid every 2 years. */
    public function test_brake_fluid_by_24_months(): void
    {
        $standing = StandingOf::rule(
            new Rule(new Interval(months: 24)),
            null,
            [self::on('2024-03-31')],
            self::on('2026-04-10'),
        );

        self::assertSame('2026-03-31', $standing->dueDate()?->format('Y-m-d'));
        self::assertSame(State::Due, $standing->state);
        self::assertSame('-10', (string) $standing->limiting?->remaining);
    }

    public function test_months_end_where_the_month_ends(): void
    {
        self::assertSame('2025-02-28', Day::addMonths(new \DateTimeImmutable('2025-01-31'), 1)->format('Y-m-d'));
        self::assertSame(
            '2024-02-29',
            Day::addMonths(new \DateTimeImmutable('2023-02-28'), 12)->modify('+1 day')->format('Y-m-d'),
        );
        self::assertSame('2025-02-28', Day::addMonths(new \DateTimeImmutable('2024-02-29'), 12)->format('Y-m-d'));
    }

    public function test_what_was_never_recorded_is_unknown_and_not_fine(): void
    {
        self::assertSame(State::Unknown, StandingOf::rule(self::every(50), null, [], self::at('900'))->state);
    }

    public function test_a_known_beginning_counts_as_the_last_time(): void
    {
        self::assertSame(
            '350',
            (string) StandingOf::rule(self::every(50), self::at('300'), [], self::at('310'))->points['hours']->at,
        );
    }

    public function test_done_once_it_does_not_come_again(): void
    {
        $rule = new Rule(new Interval, [Interval::ofHours(50)]);

        self::assertSame(State::Nearing, StandingOf::rule($rule, self::at('0'), [], self::at('46'))->state);
        $done = StandingOf::rule($rule, self::at('0'), [self::at('49')], self::at('900'));
        self::assertSame([State::Fresh, null], [$done->state, $done->limiting]);
    }

    public function test_looser_than_the_book_is_said_and_tighter_is_not(): void
    {
        $rule = fn (int $own): Rule => new Rule(
            Interval::ofHours($own),
            from: new Provenance(book: Interval::ofHours(100)),
        );

        self::assertStringContainsString(
            'Looser than the book',
            implode(StandingOf::rule($rule(150), self::at('0'), [], self::at('1'))->notes),
        );
        self::assertSame([], StandingOf::rule($rule(50), self::at('0'), [], self::at('1'))->notes);
        $notKeepers = new Rule(Interval::ofHours(150), from: new Provenance(RuleSource::Book, Interval::ofHours(100)));
        self::assertSame([], StandingOf::rule($notKeepers, self::at('0'), [], self::at('1'))->notes, 'the keeper has loosened nothing');
        self::assertFalse((new Interval(months: 6))->isLooserThan(new Interval(months: 6)));
        self::assertTrue((new Interval(months: 7))->isLooserThan(new Interval(months: 6)));
    }

    public function test_months_are_shortened_to_whole_ones_and_never_to_none(): void
    {
        $months = fn (int $months): ?int => (new Tightening(Limit::Date, BigDecimal::of('0.5'), Severity::Dust, new Interval(months: $months)))->result->months;

        self::assertSame([2, 3, 1], [$months(5), $months(6), $months(1)]);
    }

    public function test_a_chart_by_months_says_where_it_has_no_beginning_to_count_from(): void
    {
        $rule = new Rule(new Interval(months: 6), [], Anchor::Chart);
        $notes = fn (?string $beginning): string => implode(' ', StandingOf::rule(
            $rule,
            $beginning === null ? null : new Point(date: new \DateTimeImmutable($beginning)),
            [new Point(date: new \DateTimeImmutable('2026-02-10'))],
            new Point(date: new \DateTimeImmutable('2026-03-01')),
        )->notes);

        self::assertStringContainsString('The chart has no beginning date', $notes(null));
        self::assertStringNotContainsString('no beginning date', $notes('2020-01-01'));
    }

    public function test_an_oil_that_would_run_too_long_is_told(): void
    {
        $rule = new Rule(Interval::ofHours(400), [], Anchor::Chart, new Leeway(BigDecimal::of('0.2')));
        $standing = StandingOf::rule($rule, self::at('0'), [self::at('325')], self::at('330'));

        self::assertSame('475', (string) $standing->runsFor());
        self::assertSame(['Runs for 475 h until then, over the 440 h allowed.'], $standing->notes);
    }

    public function test_it_says_why_with_its_numbers(): void
    {
        $why = StandingWords::why(StandingOf::rule(self::every(100), null, [self::at('498.4')], self::at('612.6')));

        self::assertSame('Due at 598.4 h, 100 h after 498.4 h. Past by 14.2 h, allowed 10 h.', $why);
    }

    public function test_a_rule_that_never_falls_due_is_none(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new Rule(new Interval);
    }

    public function test_the_order_in_which_services_arrive_never_changes_the_outcome(): void
    {
        $this->forAll(
            Generators::seq(Generators::choose(0, 5000)),
            Generators::choose(0, 6000),
            Generators::elements(Anchor::FromDone, Anchor::Chart),
            Generators::choose(20, 500),
        )
            ->then(function (array $done, int $now, Anchor $anchor, int $every): void {
                $points = array_map(fn (int $tenths): Point => self::at((string) ($tenths / 10)), $done);
                $rule = self::every($every, $anchor);
                $one = StandingOf::rule($rule, self::at('0'), $points, self::at((string) ($now / 10)));
                shuffle($points);
                $other = StandingOf::rule($rule, self::at('0'), $points, self::at((string) ($now / 10)));
                self::assertEquals(
                    [$one->state, StandingWords::why($one), $one->notes],
                    [$other->state, StandingWords::why($other), $other->notes],
                );
            });
    }

    public function test_more_hours_never_make_a_rule_fresher(): void
    {
        $this->forAll(
            Generators::choose(0, 9000),
            Generators::choose(0, 4000),
            Generators::choose(0, 4000),
            Generators::elements(Anchor::FromDone, Anchor::Chart),
            Generators::choose(10, 500),
        )
            ->then(function (int $done, int $now, int $more, Anchor $anchor, int $every): void {
                $at = fn (int $tenths): Standing => StandingOf::rule(
                    self::every($every, $anchor),
                    self::at('0'),
                    [self::at((string) ($done / 10))],
                    self::at((string) ($tenths / 10)),
                );
                self::assertGreaterThanOrEqual($at($now)->state->rank(), $at($now + $more)->state->rank());
                self::assertFalse($at($now + $more)->shareUsed()->isLessThan($at($now)->shareUsed()));
            });
    }

    public function test_a_later_service_never_brings_a_point_forward(): void
    {
        $this->forAll(
            Generators::choose(0, 9000),
            Generators::choose(0, 4000),
            Generators::elements(Anchor::FromDone, Anchor::Chart),
            Generators::choose(10, 500),
        )
            ->then(function (int $done, int $later, Anchor $anchor, int $every): void {
                $next = fn (int $tenths): BigDecimal => StandingOf::rule(
                    self::every($every, $anchor),
                    self::at('0'),
                    [self::at((string) ($tenths / 10))],
                    self::at('1'),
                )->points['hours']->at;
                self::assertFalse($next($done + $later)->isLessThan($next($done)));
                self::assertTrue(
                    $next($done)->isGreaterThan((string) ($done / 10)),
                    'a point lies ahead of the service that came before it',
                );
            });
    }

    private static function every(int $hours, Anchor $anchor = Anchor::FromDone): Rule
    {
        return new Rule(Interval::ofHours($hours), [], $anchor);
    }

    private static function at(string $hours): Point
    {
        return new Point(BigDecimal::of($hours));
    }

    private static function on(string $day): Point
    {
        return new Point(date: new \DateTimeImmutable("{$day}T00:00:00Z"));
    }
}
