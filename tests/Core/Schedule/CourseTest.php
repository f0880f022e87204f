<?php

declare(strict_types=1);

namespace Tests\Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Machine\Point;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Leeway;
use Core\Schedule\Rule;
use Core\Schedule\StandingOf;
use Core\Schedule\StandingWords;
use Core\Schedule\State;
use Eris\Attributes\ErisShrink;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;

/** The contract's definition of a standing, held against listing the points one by one. */
#[ErisShrink(10)]
final class CourseTest extends TestCase
{
    use TestTrait;

    /**
     * "Chart: points are the first values, then multiples of every; a service at h satisfies every point up to h +
     * early × every; next is the smallest point not satisfied"; amended: "a first point's windows are shares of the
     * first point itself".
     */
    public function test_the_charts_next_point_is_the_smallest_of_the_list_not_satisfied(): void
    {
        $this->forAll(
            Generators::choose(5, 400),
            Generators::seq(Generators::choose(1, 300)),
            Generators::choose(0, 30_000),
            Generators::elements('0', '0.05', '0.1', '0.3'),
        )
            ->then(function (int $every, array $firsts, int $doneTenths, string $early): void {
                $rule = new Rule(
                    Interval::ofHours($every),
                    array_map(Interval::ofHours(...), $firsts),
                    Anchor::Chart,
                    new Leeway(BigDecimal::of($early)),
                );
                $done = BigDecimal::ofUnscaledValue($doneTenths, 1);
                $reach = fn (int $interval): BigDecimal => $done->plus(BigDecimal::of($early)->multipliedBy($interval));
                sort($firsts);
                $points = array_filter($firsts, fn (int $first): bool => $reach($first)->isLessThan($first));
                for ($multiple = $every; $multiple <= 4_000; $multiple += $every) {
                    if (
                        $multiple > (int) ($firsts === [] ? 0 : max($firsts))
                        && $reach($every)->isLessThan($multiple)
                    ) {
                        $points[] = $multiple;
                    }
                }
                $expected = array_values($points)[0];

                self::assertSame((string) $expected, (string) self::next($rule, '0', (string) $done));
            });
    }

    public function test_from_done_the_interval_follows_the_service_unless_a_first_point_comes_sooner(): void
    {
        $this->forAll(
            Generators::choose(5, 400),
            Generators::choose(1, 300),
            Generators::choose(0, 5_000),
        )->then(function (int $every, int $first, int $doneTenths): void {
            $done = BigDecimal::ofUnscaledValue($doneTenths, 1);
            $satisfied = $done->plus(BigDecimal::of($first)->multipliedBy('0.1'));
            $expected = $satisfied->isLessThan($first)
                ? BigDecimal::min($first, $done->plus($every))
                : $done->plus($every);

            self::assertTrue(
                self::next(
                    new Rule(Interval::ofHours($every), [Interval::ofHours($first)]),
                    '0',
                    (string) $done,
                )->isEqualTo($expected),
            );
        });
    }

    /** "Nearing: within early before the point. Due: from the point to late after it. Past: beyond." */
    public function test_states_follow_the_windows_for_any_shares(): void
    {
        $this->forAll(
            Generators::choose(10, 500),
            Generators::choose(0, 10_000),
            Generators::elements('0', '0.05', '0.1', '0.5', '1'),
            Generators::elements('0', '0.1', '0.2'),
        )
            ->then(function (int $every, int $nowTenths, string $early, string $late): void {
                $now = BigDecimal::ofUnscaledValue($nowTenths, 1);
                $standing = StandingOf::rule(
                    new Rule(
                        Interval::ofHours($every),
                        [],
                        Anchor::FromDone,
                        new Leeway(BigDecimal::of($early), BigDecimal::of($late)),
                    ),
                    new Point(BigDecimal::zero()),
                    [],
                    new Point($now),
                );
                $left = BigDecimal::of($every)->minus($now);
                $expected = match (true) {
                    $left->isGreaterThan(BigDecimal::of($early)->multipliedBy($every)) => State::Fresh,
                    $left->isGreaterThan(0) => State::Nearing,
                    $left->isGreaterThanOrEqualTo(BigDecimal::of($late)->multipliedBy($every)->negated()) => State::Due,
                    default => State::Past,
                };
                self::assertSame($expected, $standing->state);
            });
    }

    public function test_the_dimension_in_the_worse_state_limits_and_then_the_one_used_up_further(): void
    {
        $this->forAll(
            Generators::choose(0, 2_000),
            Generators::choose(0, 30_000),
        )->then(function (int $hours, int $km): void {
            $standing = StandingOf::rule(new Rule(
                new Interval(BigDecimal::of(100), BigDecimal::of(1600)),
            ), new Point(BigDecimal::zero(), BigDecimal::zero()), [],
                new Point(BigDecimal::ofUnscaledValue($hours, 1), BigDecimal::ofUnscaledValue($km, 1)));
            foreach ($standing->points as $point) {
                self::assertGreaterThanOrEqual($point->state->rank(), $standing->state->rank());
                if ($point->state === $standing->state) {
                    self::assertFalse($point->shareUsed()->isGreaterThan($standing->shareUsed()));
                }
            }
        });
    }

    /**
     * Handbook, section 4: doing a task at each of its points in turn, every point of the chart comes up once and none
     * is lost.
     */
    public function test_no_point_is_lost_or_doubled_on_any_sequence_of_early_late_and_skipped_services(): void
    {
        $this->forAll(
            Generators::choose(20, 200),
            Generators::vector(12, Generators::choose(-9, 25)),
        )->then(function (int $every, array $slips): void {
            $rule = new Rule(Interval::ofHours($every), [], Anchor::Chart);
            $done = '0';
            $served = [];
            foreach ($slips as $percent) {
                $next = self::next($rule, '0', $done);
                $served[] = $next->toInt();
                $done = (string) $next->plus(BigDecimal::of($every)->multipliedBy($percent)->dividedBy(100, 2));
            }
            self::assertSame(range($every, 12 * $every, $every), $served);
        });
    }

    public function test_an_odometer_that_nobody_read_is_told_and_the_rest_is_judged(): void
    {
        $standing = StandingOf::rule(
            new Rule(new Interval(BigDecimal::of(25), BigDecimal::of(400))),
            new Point(BigDecimal::zero(), BigDecimal::zero()),
            [],
            new Point(BigDecimal::of(24)),
        );

        self::assertSame([State::Nearing, 'hours'], [$standing->state, $standing->limiting?->limit->value]);
        self::assertSame(['Nobody has read the odometer, so the distance cannot be judged.'], $standing->notes);
    }

    public function test_a_service_whose_hours_nobody_wrote_down_is_told(): void
    {
        $rule = new Rule(new Interval(BigDecimal::of(100), null, 12));
        $standing = StandingOf::rule(
            $rule,
            null,
            [new Point(date: new \DateTimeImmutable('2026-01-01'))],
            new Point(BigDecimal::of(900), null, new \DateTimeImmutable('2026-05-01')),
        );

        self::assertSame(['date', State::Unknown], [$standing->limiting?->limit->value, $standing->state]);
        self::assertStringContainsString('hours at the last service are not on record', $standing->notes[0]);
        self::assertStringContainsString('are not on record', StandingWords::why($standing));
    }

    private static function next(Rule $rule, string $start, string $done): BigDecimal
    {
        return StandingOf::rule(
            $rule,
            new Point(BigDecimal::of($start)),
            [new Point(BigDecimal::of($done))],
            new Point(BigDecimal::of($done)),
        )->points['hours']->at->stripTrailingZeros();
    }
}
