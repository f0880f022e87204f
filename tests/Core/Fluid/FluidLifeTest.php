<?php

declare(strict_types=1);

namespace Tests\Core\Fluid;

use Brick\Math\BigDecimal;
use Core\Fluid\AcceptedLoss;
use Core\Fluid\DrainedAgainstPoured;
use Core\Fluid\FluidLife;
use Core\Fluid\FluidMove;
use Core\Machine\ActKind;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class FluidLifeTest extends TestCase
{
    public function test_it_tells_what_is_in_it_since_when_what_was_added_and_what_is_missing(): void
    {
        $life = FluidLife::of([
            self::move(ActKind::Changed, 100, '4 qt', 'Old 30', new: true),
            self::move(ActKind::ToppedUp, 150, '0.5 qt'),
            self::move(ActKind::Drained, 200, '4.3 qt'),
            self::move(ActKind::Changed, 200, '4 qt', 'Orchard 10W-30', new: true),
            self::move(ActKind::ToppedUp, 240, '0.2 qt'),
            self::move(ActKind::ToppedUp, 300, '0.3 qt'),
        ], BigDecimal::of(340), Quantity::parse('4.2 qt'), Unit::UsQuart);

        self::assertSame(['Orchard 10W-30', '140'], [$life->fluid, (string) $life->hours]);
        self::assertSame('0.5 qt (0.47 L)', $life->added->display());
        // 1 qt in the 200 h from the first change to the last top-up; 40 h since it was last full.
        self::assertSame('0.2', (string) $life->missing?->rounded());
        self::assertStringContainsString('0.5 qt (0.47 L) per 100 h, and was last full 40 h ago', $life->why);
        self::assertFalse($life->lastDrained?->asks, '4.3 of 4.5 qt: the rest stays in the rags');
        self::assertStringContainsString('came out of 4.5 qt', (string) $life->lastDrained?->why);
    }

    public function test_a_level_read_at_full_begins_the_reckoning_of_what_is_missing_anew(): void
    {
        $moves = [
            self::move(ActKind::Changed, 0, '4 qt', new: true),
            self::move(ActKind::ToppedUp, 100, '1 qt'),
            self::move(ActKind::Measured, 150, null, full: true),
        ];

        self::assertSame(
            '0.1',
            (string) FluidLife::of($moves, BigDecimal::of(160), null, Unit::UsQuart)->missing?->rounded(),
        );
    }

    public function test_never_more_is_missing_than_it_holds(): void
    {
        $moves = [self::move(ActKind::Changed, 0, '1 qt', new: true), self::move(ActKind::ToppedUp, 10, '1 qt')];

        self::assertSame(
            '1',
            (string) FluidLife::of(
                $moves,
                BigDecimal::of(900),
                Quantity::parse('1 qt'),
                Unit::UsQuart,
            )->missing?->rounded(),
        );
    }

    public function test_without_top_ups_or_hours_nothing_is_made_up(): void
    {
        foreach ([[], [self::move(ActKind::Changed, 10, '4 qt', new: true)], [self::move(ActKind::ToppedUp, null, '1 qt')]] as $moves) {
            self::assertNull(FluidLife::of($moves, BigDecimal::of(50))->missing);
        }
        self::assertNull(
            FluidLife::of([self::move(ActKind::ToppedUp, 5, '1 qt')], BigDecimal::of(50))->since,
            'nobody knows when it was new',
        );
    }

    /** Row 14: the second, low drain is forgotten, and gallons of old oil stay inside. */
    public function test_a_tenth_that_stays_inside_is_right(): void
    {
        $asks = fn (string $drained): bool => DrainedAgainstPoured::compare(Quantity::parse($drained), Quantity::parse('10 L'))->asks;

        self::assertSame([false, true, false, true], [$asks('9 L'), $asks('8.99 L'), $asks('11 L'), $asks('11.01 L')]);
    }

    public function test_less_drained_than_went_in_asks_for_a_second_drain_and_more_asks_for_water(): void
    {
        $drained = fn (string $out): ?\Core\Fluid\DrainedAgainstPoured => FluidLife::of([
            self::move(ActKind::Drained, 10, '2 gal', occasion: 'a'),
            self::move(ActKind::Filled, 10, '8 gal', occasion: 'a', new: true),
            self::move(ActKind::Drained, 400, $out, occasion: 'b'),
        ], BigDecimal::of(400))->lastDrained;

        self::assertStringContainsString('second, low drain still shut', (string) $drained('4.5 gal')?->why);
        self::assertTrue($drained('4.5 gal')?->asks);
        self::assertStringContainsString('water or fuel', (string) $drained('9.5 gal')?->why);
        self::assertFalse($drained('7.5 gal')?->asks);
        self::assertNull(
            FluidLife::of([self::move(ActKind::Drained, 5, '2 gal')], BigDecimal::of(9))->lastDrained,
            'nobody knows what had gone in',
        );
    }

    private static function move(
        ActKind $kind,
        ?int $hours,
        ?string $amount,
        ?string $fluid = null,
        bool $new = false,
        bool $full = false,
        ?string $occasion = null,
    ): FluidMove {
        return new FluidMove(
            $kind,
            $occasion ?? (string) $hours,
            new \DateTimeImmutable('2026-01-01'),
            $hours === null ? null : BigDecimal::of($hours),
            $amount === null ? null : Quantity::parse($amount)->to(Unit::Litre)->rounded(12),
            $fluid,
            $new,
            $full,
        );
    }

    /** @param  list<array{string, string}>  $topUps */
    #[TestWith(['0.5 L', '2026-01-01', [], false])]
    #[TestWith(['0.5 L', '2026-01-01', [['2026-07-02', '0.25 L']], false])]
    #[TestWith(['0.5 L', '2026-01-01', [['2026-07-02', '0.32 L']], true])]
    #[TestWith(['0.5 L', '2026-01-01', [['2026-01-10', '0.3 L']], false])]
    #[TestWith(['0.5 L', '2026-01-01', [['2026-01-10', '0.6 L']], true])]
    #[TestWith(['1 qt', '2026-01-01', [['2026-03-01', '200 mL'], ['2026-05-01', '180 mL']], false])]
    #[TestWith(['1 qt', '2026-01-01', [['2026-03-01', '200 mL'], ['2026-05-01', '300 mL']], true])]
    public function test_an_accepted_seep_has_grown_where_more_goes_in_than_it_usually_loses(
        string $aYear,
        string $from,
        array $topUps,
        bool $grown,
    ): void {
        $loss = AcceptedLoss::of(Quantity::parse($aYear), new \DateTimeImmutable($from), array_map(
            fn (array $topUp): array => [new \DateTimeImmutable($topUp[0]), Quantity::parse($topUp[1])],
            $topUps,
        ));

        self::assertSame($grown, $loss->hasGrown, $loss->why);
    }
}
