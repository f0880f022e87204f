<?php

declare(strict_types=1);

namespace Tests\Core\Upkeep;

use Core\Upkeep\Rotation;
use PHPUnit\Framework\TestCase;

final class RotationTest extends TestCase
{
    public function test_of_three_years_of_nights_7_days_4_weeks_and_12_months_are_kept(): void
    {
        $night = new \DateTimeImmutable('2026-11-25 02:10', new \DateTimeZone('Europe/Berlin'));
        $kept = [];
        // Kept as it goes, night after night: what one night throws away no later one can keep.
        for ($days = 3 * 365; $days >= 0; $days--) {
            $made = $night->modify("-{$days} days");
            $kept[$made->format('Y-m-d')] = $made;
            $kept = array_intersect_key($kept, array_flip(Rotation::kept($kept)));
        }
        krsort($kept);
        self::assertSame(
            ['2026-11-25', '2026-11-24', '2026-11-23', '2026-11-22', '2026-11-21', '2026-11-20', '2026-11-19'],
            array_slice(array_keys($kept), 0, 7),
        );
        // The Sundays of the three full weeks before, and the last night of each of the eleven months before.
        foreach (['2026-11-15', '2026-11-08', '2026-10-31', '2026-09-30', '2026-02-28', '2025-12-31'] as $day) {
            self::assertArrayHasKey($day, $kept, implode(' ', array_keys($kept)));
        }
        self::assertLessThanOrEqual(7 + 4 + 12, count($kept));
        self::assertGreaterThanOrEqual(7 + 2 + 11, count($kept));
    }

    public function test_of_one_day_the_last_is_kept_and_days_without_one_count_for_nothing(): void
    {
        $at = fn (string $moment): \DateTimeImmutable => new \DateTimeImmutable($moment);
        self::assertSame(['evening', 'june'], Rotation::kept([
            'june' => $at('2026-06-01 02:10'),
            'morning' => $at('2026-11-25 02:10'),
            'evening' => $at('2026-11-25 19:00'),
        ]));
        self::assertSame([], Rotation::kept([]));
    }
}
