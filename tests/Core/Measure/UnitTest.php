<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Measure\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class UnitTest extends TestCase
{
    #[DataProvider('published')]
    public function test_factors_are_those_of_nist_sp_811_to_every_digit_printed_there(
        string $unit,
        string $value,
        int $digits,
    ): void {
        $published = BigDecimal::of($value);
        $decimals = $digits - 1 - (int) floor(log10($published->toFloat()));

        self::assertTrue(
            Unit::from($unit)->factor()->toScale(max(0, $decimals), RoundingMode::HALF_UP)->isEqualTo($published),
            $unit,
        );
    }

    /** @return iterable<string, array{string, string, int}> */
    public static function published(): iterable
    {
        foreach (file(dirname(__DIR__, 2).'/Reference/nist-sp-811-units.csv', FILE_IGNORE_NEW_LINES) as $line) {
            if (! str_starts_with($line, '#')) {
                [$unit, , $value, $digits] = explode(',', $line);
                yield $unit => [$unit, $value, (int) $digits];
            }
        }
    }

    #[DataProvider('words')]
    public function test_words_people_write_are_understood(string $word, ?Unit $unit): void
    {
        self::assertSame($unit, Unit::fromWord($word));
    }

    /** @return iterable<array{string, Unit|null}> */
    public static function words(): iterable
    {
        yield ['qt', Unit::UsQuart];
        yield ['imp qt', Unit::ImperialQuart];
        yield ['Imperial gallons', Unit::ImperialGallon];
        yield ['fl. oz.', Unit::UsFluidOunce];
        yield ['imp fl oz', Unit::ImperialFluidOunce];
        yield ['ft-lb', Unit::FootPound];
        yield ['ft·lbf', Unit::FootPound];
        yield ['in-lb', Unit::InchPound];
        yield ['in·lb', Unit::InchPound];
        yield ['N·m', Unit::NewtonMetre];
        yield ['Nm', Unit::NewtonMetre];
        yield ['°C', Unit::DegreeCelsius];
        yield ['litres', Unit::Litre];
        yield ['ML', Unit::Millilitre];
        yield ['PSI', Unit::PoundPerSquareInch];
        yield ['inches', Unit::Inch];
        yield ['furlong', null];
    }
}
