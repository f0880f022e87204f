<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Inspect\CheckLibrary;
use Core\Inspect\Occasion;
use Core\Inspect\QuickLimit;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A limit made ready for where there is no signal says the same as the instrument that it was made from. */
final class QuickLimitTest extends TestCase
{
    /** @param  list<string>  $entered  by each of the limit's fields, as typed */
    #[DataProvider('measurements')]
    public function test_the_ready_made_limit_says_what_the_instrument_says(string $key, array $entered): void
    {
        $check = CheckLibrary::check($key);
        $limit = $check->quickLimit() ?? self::fail("{$key} has no ready-made limit.");
        $values = array_combine(array_keys($limit->fields), $entered);
        $sum = 0;
        foreach ($values as $name => $typed) {
            $sum += $limit->fields[$name] * Quantity::parse($typed, $limit->unit)->value
                ->multipliedBy(QuickLimit::PER_UNIT)
                ->toScale(0)
                ->toInt();
        }
        $band = array_values(
            array_filter($limit->bands, fn (array $band): bool => $band[0] === null || abs($sum) < $band[0]),
        )[0];

        self::assertSame(
            $check->judge($values, new Occasion(new \DateTimeImmutable('2026-05-14')))->verdict,
            $band[1],
            implode(', ', $entered),
        );
        self::assertNotSame('', $band[2]);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function measurements(): iterable
    {
        foreach (['0.49', '0.5', '0.51', '1.49', '1.5', '8'] as $left) {
            yield "pads {$left}" => ['pads', [$left]];
        }
        foreach (['0.12', '1/8', '3/8', '0.38', '1'] as $left) {
            yield "adjuster {$left}" => ['adjuster', [$left]];
        }
        foreach (['31/64', '1/2', '5/8', '3/4', '49/64', '2'] as $gap) {
            yield "equalizer {$gap}" => ['equalizer', [$gap]];
        }
        foreach ([['1 3/4', '1 3/8'], ['1 3/4', '1 1/2'], ['1 3/4', '1 5/8'], ['1', '1'], ['1 1/4', '1']] as $belt) {
            yield 'belt '.implode(' to ', $belt) => ['belt', $belt];
        }
    }

    public function test_what_takes_more_than_adding_and_comparing_has_none(): void
    {
        self::assertNull(CheckLibrary::check('battery')->quickLimit());
        self::assertNull(CheckLibrary::check('leaks')->quickLimit());
        self::assertNull(
            CheckLibrary::check('pads')->with(['limits' => ['least' => 'thin']])->quickLimit(),
            'a limit that cannot be read',
        );
    }

    public function test_a_bound_between_whole_small_units_is_still_told_apart(): void
    {
        $third = Quantity::parse('1/3 in');

        self::assertSame([2134, 2134], [QuickLimit::below($third, Unit::Inch), QuickLimit::above($third, Unit::Inch)]);
    }
}
