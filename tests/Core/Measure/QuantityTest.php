<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Brick\Math\BigRational;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;
use Eris\Attributes\ErisShrink;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

#[ErisShrink(10)]
final class QuantityTest extends TestCase
{
    use TestTrait;

    #[DataProvider('written')]
    public function test_amounts_are_read_as_people_write_them(string $written, string $value, Unit $unit): void
    {
        $quantity = Quantity::parse($written);

        self::assertSame($unit, $quantity->unit);
        self::assertTrue($quantity->value->isEqualTo($value), "{$written} was read as {$quantity->value}");
    }

    /** @return iterable<string, array{string, string, Unit}> */
    public static function written(): iterable
    {
        foreach ([[
            '1 3/4 qt',
            '7/4',
            Unit::UsQuart,
        ], ['1¾ qt', '7/4', Unit::UsQuart], [
            '1-3/4 qt',
            '7/4',
            Unit::UsQuart,
        ], ['½ in', '1/2', Unit::Inch], ['0.5in', '1/2', Unit::Inch], [
            '22 ft-lb',
            '22',
            Unit::FootPound,
        ],
            [
                '180 in-lb',
                '180',
                Unit::InchPound,
            ], ['400 mL', '400', Unit::Millilitre], ['350ml', '350', Unit::Millilitre], [
                '-12 °C',
                '-12',
                Unit::DegreeCelsius,
            ], ['−12°C', '-12', Unit::DegreeCelsius],
            ['1,75 L', '7/4', Unit::Litre], [
                '3 imp gal',
                '3',
                Unit::ImperialGallon,
            ], [
                '1,204.3 h',
                '1204.3',
                Unit::Hour,
            ], [
                '1.204,3 h',
                '1204.3',
                Unit::Hour,
            ], ['3/8"', '3/8', Unit::Inch], ["3''", '3', Unit::Inch], ["1'6\"", '3/2', Unit::Foot], [
                '6 ft 2 in',
                '37/6',
                Unit::Foot,
            ], ["5'", '5', Unit::Foot], [
                "1' 6 1/2”",
                '37/24',
                Unit::Foot,
            ],
            ['1 h 30 min', '3/2', Unit::Hour], ['1 ½ qt', '3/2', Unit::UsQuart], ['2 MPa', '2', Unit::Megapascal], [
                '1.5 kgf/cm²',
                '3/2',
                Unit::KilogramForcePerSquareCentimetre,
            ], ['60 N·cm', '60', Unit::NewtonCentimetre],
            [
                '70 cL',
                '70',
                Unit::Centilitre,
            ], ['5 dl', '5', Unit::Decilitre], ['30 thou', '30', Unit::Thou], [
                '15/16 in',
                '15/16',
                Unit::Inch,
            ], ['9/8 in', '9/8', Unit::Inch], ['0.125 in', '1/8', Unit::Inch], ['.5 L', '1/2', Unit::Litre]] as $case) {
            yield $case[0] => $case;
        }
    }

    #[DataProvider('unreadable')]
    public function test_what_is_no_amount_is_refused_with_a_reason(string $written, string $reason): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage($reason);
        Quantity::parse($written);
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'nothing' => ['', 'missing'];
        yield 'no unit' => ['12', 'unit is missing'];
        yield 'no number' => ['some oil', 'is not an amount'];
        yield 'unknown unit' => ['3 buckets', 'not a unit known here'];
        yield 'divides by zero' => ['3/0 in', 'divides by zero'];
        yield 'two ways, by the comma' => ['1,204 L', 'Write 1204 or 1.2040.'];
        yield 'two ways, by the dot' => ['2.500 mL', 'Write 2500 or 2.5.'];
        yield 'a distance two ways' => ['8.120 km', 'Write 8120 or 8.12.'];
        yield 'a space that may be lost' => ['13/4 qt', 'Write 1 3/4 or 3 1/4.'];
        yield 'a space that may be lost before an even share' => ['12/4 qt', 'Write 1 2/4 or 3.'];
        yield 'grains or grams' => ['5 gr', 'grams or grains'];
        yield 'more inches than a foot has, with a volume\'s unit' => ["1'6 L", 'is not a number'];
        yield 'less than nothing' => ['-3 L', 'less than nothing'];
        yield 'below absolute zero' => ['-300 °C', 'below absolute zero'];
        yield 'not a number at all' => ['NaN L', 'is not an amount'];
        yield 'endless' => [str_repeat('9', 400).' L', 'too long'];
    }

    public function test_long_junk_is_not_echoed_whole(): void
    {
        foreach ([str_repeat('junk ', 200), '3 '.str_repeat('z', 500), str_repeat('4 x', 200).' L'] as $junk) {
            try {
                Quantity::parse($junk);
                self::fail('It should have been refused.');
            } catch (Unreadable $refused) {
                self::assertLessThan(160, mb_strlen($refused->getMessage()), $refused->getMessage());
            }
        }
    }

    /** Definitions of NIST SP 811: 1 MPa is 10 bar, 1 kgf/cm² is 98.0665 kPa, 1 thou a thousandth of an inch. */
    public function test_the_rarer_units_are_what_their_definitions_say(): void
    {
        self::assertTrue(Quantity::parse('1 MPa')->to(Unit::Bar)->value->isEqualTo(10));
        self::assertTrue(Quantity::parse('1 kgf/cm2')->to(Unit::Kilopascal)->value->isEqualTo('98.0665'));
        self::assertTrue(Quantity::parse('1000 thou')->to(Unit::Inch)->value->isEqualTo(1));
        self::assertTrue(Quantity::parse('100 N·cm')->to(Unit::NewtonMetre)->value->isEqualTo(1));
        self::assertTrue(Quantity::parse('100 cL')->to(Unit::Litre)->value->isEqualTo(1));
        self::assertTrue(Quantity::parse('10 dL')->to(Unit::Litre)->value->isEqualTo(1));
    }

    public function test_a_bare_number_takes_the_unit_that_stands_beside_the_field(): void
    {
        self::assertSame(Unit::Litre, Quantity::parse('1,8', Unit::Litre)->unit);
    }

    public function test_us_and_imperial_quarts_differ_by_a_fifth(): void
    {
        $share = Quantity::of(1, Unit::ImperialQuart)->si()->dividedBy(Quantity::of(1, Unit::UsQuart)->si());

        self::assertEqualsWithDelta(1.2, $share->toFloat(), 0.001);
    }

    public function test_other_kinds_are_not_converted(): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage('is a pressure, not a volume');
        Quantity::parse('30 psi')->to(Unit::Litre);
    }

    /** Fixed points of both scales: water freezes at 0 °C and 32 °F, and the scales meet at −40. */
    public function test_temperatures_convert_by_their_fixed_points(): void
    {
        self::assertTrue(Quantity::parse('0 °C')->to(Unit::DegreeFahrenheit)->value->isEqualTo(32));
        self::assertTrue(Quantity::parse('212 °F')->to(Unit::DegreeCelsius)->value->isEqualTo(100));
        self::assertTrue(Quantity::parse('-40 °C')->to(Unit::DegreeFahrenheit)->value->isEqualTo(-40));
    }

    #[DataProvider('shown')]
    public function test_it_is_shown_in_both_systems(string $written, string $shown): void
    {
        self::assertSame($shown, Quantity::parse($written)->display());
    }

    /** @return iterable<array{string, string}> */
    public static function shown(): iterable
    {
        yield ['2 qt', '2 qt (1.89 L)'];
        yield ['13 mm', '13 mm (0.512 in)'];
        yield ['24 in-lb', '24 in·lbf (2.7 N·m)'];
        yield ['12.8 V', '12.8 V'];
        yield ['0.030 in', '0.03 in (0.76 mm)'];
        yield ['1.5 g', '1.5 g (0.053 oz)'];
        yield ['14.5 g', '14.5 g (0.51 oz)'];
        yield ['30 thou', '30 thou (0.76 mm)'];
    }

    public function test_converting_there_and_back_is_exact(): void
    {
        $units = Unit::cases();
        $this->forAll(
            Generators::choose(0, count($units) - 1),
            Generators::choose(0, count($units) - 1),
            Generators::choose(0, 10_000_000),
            Generators::choose(1, 64),
        )
            ->then(function (int $one, int $other, int $numerator, int $denominator) use ($units): void {
                if ($units[$one]->dimension() !== $units[$other]->dimension()) {
                    $this->addToAssertionCount(1);

                    return;
                }
                $quantity = Quantity::of(BigRational::nd($numerator, $denominator), $units[$one]);
                self::assertTrue($quantity->to($units[$other])->to($units[$one])->value->isEqualTo($quantity->value));
            });
    }

    public function test_sums_across_units_lose_nothing(): void
    {
        $sum = Quantity::parse('1 gal')->plus(Quantity::parse('1 qt'))->minus(Quantity::parse('1 gal'));

        self::assertTrue($sum->to(Unit::UsQuart)->value->isEqualTo(1));
        self::assertSame(1, Quantity::parse('1 imp qt')->compareTo(Quantity::parse('1 qt')));
    }
}
