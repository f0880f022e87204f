<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Brick\Math\BigDecimal;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Schedule\Anchor;
use Core\Schedule\DatedCourse;
use Core\Schedule\Interval;
use Core\Schedule\Leeway;
use Core\Schedule\Rule;
use Core\Schedule\StandingOf;
use Eris\Attributes\ErisShrink;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;

/** Dates are held against PHP's own calendar, which is not what reckons them. */
#[ErisShrink(10)]
final class DayTest extends TestCase
{
    use TestTrait;

    public function test_days_are_numbered_like_the_calendar_library_counts_them(): void
    {
        $first = new \DateTimeImmutable('1970-01-01T00:00:00Z');
        $this->forAll(Generators::choose(-25_000, 80_000))->then(function (int $number) use ($first): void {
            $day = $first->modify("{$number} days");
            self::assertSame($number, Day::number($day));
            self::assertSame($day->format('Y-m-d'), Day::of($number)->format('Y-m-d'));
        });
    }

    public function test_adding_months_keeps_the_day_or_ends_with_the_month(): void
    {
        $this->forAll(
            Generators::choose(0, 40_000),
            Generators::choose(1, 240),
        )->then(function (int $number, int $months): void {
            $day = Day::of($number);
            $sum = Day::addMonths($day, $months);
            $month = $day->modify('first day of this month')->modify("+{$months} months");
            self::assertSame($month->format('Y-m'), $sum->format('Y-m'));
            self::assertSame(min((int) $day->format('j'), (int) $month->format('t')), (int) $sum->format('j'));
            self::assertSame($months, Day::monthsBetween($day, $sum));
        });
    }

    /** The next point by the chart, found by trying every point from the first on. */
    public function test_the_chart_by_months_agrees_with_counting_point_by_point(): void
    {
        $this->forAll(
            Generators::choose(15_000, 20_000),
            Generators::choose(0, 6_000),
            Generators::choose(1, 36),
            Generators::elements('0', '0.1', '0.25'),
        )
            ->then(function (int $start, int $later, int $months, string $early): void {
                $rule = new Rule(new Interval(months: $months), [], Anchor::Chart, new Leeway(BigDecimal::of($early)));
                $found = (new DatedCourse($rule))->next(
                    Day::of($start),
                    Day::of($start + $later),
                    Day::of($start + $later + 5),
                );
                $previous = $start;
                for ($count = 1; ; $count++) {
                    $point = Day::number(Day::addMonths(Day::of($start), $count * $months));
                    if (BigDecimal::of($early)->multipliedBy($point - $previous)->plus($start + $later)->isLessThan($point)) {
                        break;
                    }
                    $previous = $point;
                }
                self::assertSame($point, $found?->at->toInt());
            });
    }

    public function test_months_by_the_chart_without_a_beginning_are_counted_from_the_last_service(): void
    {
        $rule = new Rule(new Interval(months: 6), [], Anchor::Chart);
        $point = (new DatedCourse($rule))->next(
            null,
            new \DateTimeImmutable('2026-02-10'),
            new \DateTimeImmutable('2026-03-01'),
        );

        self::assertSame('2026-08-10', Day::of($point?->at->toInt() ?? 0)->format('Y-m-d'));
    }

    public function test_a_first_month_comes_before_the_interval(): void
    {
        $rule = new Rule(new Interval(months: 12), [new Interval(months: 1)]);
        $start = new Point(date: new \DateTimeImmutable('2026-01-15'));
        $due = fn (?string $done): ?string => StandingOf::rule(
            $rule,
            $start,
            $done === null ? [] : [new Point(date: new \DateTimeImmutable($done))],
            $start,
        )->dueDate()?->format('Y-m-d');

        self::assertSame('2026-02-15', $due(null));
        self::assertSame('2027-02-13', $due('2026-02-13'));
    }
}
