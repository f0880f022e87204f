<?php

declare(strict_types=1);

namespace Tests\Core\Supply;

use Brick\Math\BigDecimal;
use Core\Supply\Need\OrderTime;
use Core\Supply\Stock\ShelfLife;
use Core\Supply\Stock\StockLevel;
use Core\Supply\Waste\Waste;
use Core\Supply\Waste\WasteKind;
use Core\Supply\Waste\WasteTally;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What stands on the shelf, from where it is poured, how long it keeps, and what waits to be taken away. */
final class StockTest extends TestCase
{
    public function test_a_count_stands_and_what_came_and_went_since_is_added(): void
    {
        $level = fn (?string $counted, string $in, string $out): StockLevel => StockLevel::of(
            $counted === null ? null : BigDecimal::of($counted),
            BigDecimal::of($in),
            BigDecimal::of($out),
        );

        self::assertSame('3.7', (string) $level('4', '0.5', '0.8')->left);
        self::assertTrue($level(null, '5', '5.1')->isBelowNothing());
        self::assertSame('0', (string) $level(null, '5', '5.1')->usable());
        self::assertFalse($level(null, '5', '5')->isBelowNothing());
    }

    #[TestWith([null, 12, null, null, false])]
    #[TestWith(['2025-05-13', 12, null, '2026-05-13', true])]
    #[TestWith(['2025-05-14', 12, null, '2026-05-14', false])]
    #[TestWith(['2025-05-14', 12, '2026-01-31', '2026-01-31', true])]
    #[TestWith(['2026-01-31', 1, '2027-01-01', '2026-02-28', true])]
    #[TestWith([null, 12, '2026-05-13', '2026-05-13', true])]
    public function test_it_keeps_until_the_day_printed_on_it_or_so_long_after_it_was_opened(
        ?string $opened,
        ?int $months,
        ?string $printed,
        ?string $until,
        bool $isOver,
    ): void {
        $day = fn (?string $day): ?\DateTimeImmutable => $day === null ? null : new \DateTimeImmutable("{$day}T00:00:00Z");
        $life = ShelfLife::of($day($opened), $months, $day($printed), new \DateTimeImmutable('2026-05-14T00:00:00Z'));

        self::assertSame([$until, $isOver], [$life->until?->format('Y-m-d'), $life->isOver]);
    }

    public function test_what_ran_out_counts_and_where_nobody_measured_it_what_was_poured_in_its_place(): void
    {
        $waste = fn (string $occasion, string $day, ?string $out, ?string $in): Waste => new Waste(
            WasteKind::Oil,
            $occasion,
            new \DateTimeImmutable($day),
            $out === null ? null : BigDecimal::of($out),
            $in === null ? null : BigDecimal::of($in),
        );
        $all = [
            $waste('before', '2026-01-01', '9', null),
            $waste('a', '2026-02-01', '1.8', null),
            $waste('a', '2026-02-01', null, '2.0'),
            $waste('b', '2026-02-02', null, '3.5'),
            $waste('c', '2026-02-03', null, null),
        ];
        $tally = WasteTally::of(WasteKind::Oil, $all, new \DateTimeImmutable('2026-01-15'), BigDecimal::of('0.5'));

        self::assertSame('5.8', (string) $tally->amount, '1.8 and 3.5, and half a litre left of before');
        self::assertSame(1, $tally->unmeasured);
        self::assertStringContainsString('Of 1 occasion nobody wrote down how much.', $tally->why);
        self::assertSame('14.8', (string) WasteTally::of(WasteKind::Oil, [...$all, $waste('d', '2026-03-01', '0.5', null)], null, null)->amount);
    }

    #[TestWith(['2026-06-01', 10, '2026-05-22', false])]
    #[TestWith(['2026-05-20', 6, '2026-05-14', true])]
    #[TestWith(['2026-05-16', 6, '2026-05-10', true])]
    #[TestWith(['2026-04-01', 3, '2026-05-11', true])]
    #[TestWith(['2026-06-01', null, null, false])]
    public function test_it_is_ordered_so_early_that_it_is_here_in_time(string $needed, ?int $days, ?string $by, bool $isNow): void
    {
        $time = OrderTime::of(
            new \DateTimeImmutable("{$needed}T00:00:00Z"),
            $days,
            new \DateTimeImmutable('2026-05-14T00:00:00Z'),
        );

        self::assertSame([$by, $isNow], [$time->by?->format('Y-m-d'), $time->isNow], $time->why);
    }
}
