<?php

declare(strict_types=1);

namespace Tests\Core\Forecast;

use Brick\Math\BigDecimal;
use Core\Forecast\WeeklyUse;
use Core\Meter\Reading;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;

final class WeeklyUseTest extends TestCase
{
    use TestTrait;

    public function test_it_is_what_was_gained_spread_over_the_days(): void
    {
        self::assertSame('9.00', (string) self::use('100', '172', 56)->perWeek);
        self::assertSame('0.25', (string) self::use('100', '102', 56)->perWeek);
    }

    public function test_a_few_days_are_taken_for_a_week(): void
    {
        self::assertSame('6.00', (string) self::use('100', '106', 2)->perWeek, 'three days of work do not make a year of it');
    }

    public function test_without_readings_nothing_is_run(): void
    {
        $none = WeeklyUse::between(null, null, self::now());

        self::assertTrue($none->isIdle());
        self::assertNull($none->daysUntil(BigDecimal::one()));
        self::assertSame('0.00', (string) $none->in(30));
    }

    public function test_a_meter_that_went_back_counts_for_nothing(): void
    {
        self::assertTrue(self::use('500', '3', 56)->isIdle());
    }

    public function test_the_calendar_runs_seven_days_a_week(): void
    {
        self::assertSame(41, WeeklyUse::daily()->daysUntil(BigDecimal::of(41)));
        self::assertSame('12.00', (string) WeeklyUse::daily()->in(12));
    }

    public function test_what_is_run_until_a_point_never_passes_it(): void
    {
        $this->forAll(Generators::choose(1, 400), Generators::choose(1, 5_000))->then(function (int $perWeek, int $tenths): void {
            $use = self::use('0', (string) $perWeek, 7);
            $left = BigDecimal::ofUnscaledValue($tenths, 1);
            $days = $use->daysUntil($left);
            self::assertNotNull($days);
            self::assertFalse($use->perWeek->multipliedBy($days)->isGreaterThan($left->multipliedBy(7)), 'not later than the point');
            self::assertTrue($use->perWeek->multipliedBy($days + 1)->isGreaterThan($left->multipliedBy(7)), 'and not a day too soon');
        });
    }

    private static function use(string $earlier, string $latest, int $days): WeeklyUse
    {
        return WeeklyUse::between(new Reading(BigDecimal::of($earlier), self::now()->modify("-{$days} days")), new Reading(BigDecimal::of($latest), self::now()->modify('-1 day')), self::now());
    }

    private static function now(): \DateTimeImmutable
    {
        return new \DateTimeImmutable('2026-11-16T00:00:00Z');
    }
}
