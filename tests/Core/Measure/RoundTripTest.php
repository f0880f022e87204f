<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Brick\Math\BigDecimal;
use Core\Measure\Dimension;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;
use Eris\Attributes\ErisShrink;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is shown can be typed back. */
#[ErisShrink(10)]
final class RoundTripTest extends TestCase
{
    use TestTrait;

    #[DataProvider('units')]
    public function test_every_units_symbol_and_id_are_understood_as_itself(Unit $unit): void
    {
        self::assertSame($unit, Unit::fromWord($unit->symbol()), $unit->symbol());
        self::assertSame($unit, Unit::fromWord($unit->value), $unit->value);
    }

    #[DataProvider('units')]
    public function test_a_shown_amount_typed_back_is_the_same_to_the_digits_shown(Unit $unit): void
    {
        foreach (['1234.5', '0.03', '14.5'] as $typed) {
            $shown = explode(' (', Quantity::of($typed, $unit)->display())[0];
            self::assertSame(
                $typed,
                (string) Quantity::parse($shown)->rounded(),
                "nothing that was typed is lost: {$shown}",
            );
        }
    }

    #[DataProvider('units')]
    public function test_the_other_systems_unit_measures_the_same_thing(Unit $unit): void
    {
        $counterpart = $unit->counterpart();
        if ($counterpart === null) {
            self::assertContains($unit->dimension(), [Dimension::Voltage, Dimension::Current, Dimension::Time]);

            return;
        }
        self::assertSame($unit->dimension(), $counterpart->dimension());
        self::assertNotSame($unit, $counterpart);
    }

    /** @return iterable<string, array{Unit}> */
    public static function units(): iterable
    {
        foreach (Unit::cases() as $unit) {
            yield $unit->value => [$unit];
        }
    }

    public function test_numbers_as_they_stand_in_sentences_are_read_back_off_a_meter(): void
    {
        $this->forAll(Generators::choose(0, 999_999_999))->then(function (int $hundredths): void {
            $value = BigDecimal::ofUnscaledValue($hundredths, 2);
            self::assertTrue(WrittenNumber::ofMeter(Plain::number($value))->isEqualTo($value), Plain::number($value));
        });
    }

    public function test_fractions_are_exact_however_they_are_written(): void
    {
        $this->forAll(
            Generators::choose(0, 99),
            Generators::choose(0, 63),
            Generators::choose(1, 64),
        )->then(function (int $whole, int $numerator, int $denominator): void {
            $written = WrittenNumber::parse("{$whole} {$numerator}/{$denominator}");
            self::assertTrue($written->multipliedBy($denominator)->isEqualTo($whole * $denominator + $numerator));
            self::assertTrue(WrittenNumber::parse("{$whole}-{$numerator}/{$denominator}")->isEqualTo($written));
        });
    }

    #[DataProvider('ambiguous')]
    public function test_what_can_be_read_two_ways_is_asked(string $written, string $one, string $other): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage("Write {$one} or {$other}.");
        WrittenNumber::parse($written);
    }

    /** @return iterable<array{string, string, string}> */
    public static function ambiguous(): iterable
    {
        yield ['1,204', '1204', '1.2040'];
        yield ['1.204', '1204', '1.2040'];
        yield ['12,500', '12500', '12.5'];
    }

    public function test_a_comma_before_three_digits_off_a_meter_sets_thousands_apart(): void
    {
        self::assertTrue(WrittenNumber::ofMeter('18,073')->isEqualTo(18073));
        self::assertTrue(WrittenNumber::ofMeter('+1,204')->isEqualTo(1204));
        self::assertTrue(WrittenNumber::ofMeter('412,6')->isEqualTo('412.6'));
        self::assertTrue(WrittenNumber::ofMeter('1,018,073')->isEqualTo(1018073));
    }

    public function test_days_and_counts_in_words(): void
    {
        $day = new \DateTimeImmutable('2026-11-05');

        self::assertSame(
            ['5 November 2026', '5 November', '5 November 2026'],
            [
                Plain::day($day),
                Plain::nearDay($day, new \DateTimeImmutable('2026-01-01')),
                Plain::nearDay($day, new \DateTimeImmutable('2027-01-01')),
            ],
        );
        self::assertSame(
            ['1 day', '0 days', '1,200 days'],
            [Plain::count(1, 'day'), Plain::count(0, 'day'), Plain::count(1200, 'day')],
        );
        self::assertSame('öl and filter', Plain::within('Öl and filter'));
    }
}
