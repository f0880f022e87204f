<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Core\Inspect\StraightLine;
use Core\Inspect\StudentT;
use PHPUnit\Framework\TestCase;

/** The fit against published, certified values. */
final class StraightLineTest extends TestCase
{
    public function test_the_certified_values_of_norris_to_every_digit(): void
    {
        $line = StraightLine::through(
            array_map(
                fn (array $row): array => [BigDecimal::of($row['x']), BigDecimal::of($row['y'])],
                self::rows('nist-norris'),
            ),
        );

        self::assertNotNull($line);
        self::assertSame(36, $line->count);
        self::assertEqualsWithDelta(1.00211681802045, $line->slope->toFloat(), 5e-15);
        self::assertEqualsWithDelta(-0.262323073774029, $line->intercept->toFloat(), 5e-16);
        self::assertEqualsWithDelta(0.884796396144373, $line->residualDeviation()?->toFloat(), 5e-16);
    }

    public function test_students_t_by_the_published_table(): void
    {
        foreach (self::rows('student-t') as $row) {
            foreach (['0.90', '0.95', '0.975', '0.99'] as $probability) {
                self::assertEqualsWithDelta(
                    (float) $row[$probability],
                    (new StudentT((int) $row['freedom']))->quantile((float) $probability),
                    5.01e-4,
                    "{$row['freedom']} degrees of freedom, {$probability}",
                );
            }
        }
    }

    public function test_the_band_comes_to_the_limit_exactly_where_the_tenths_are_told(): void
    {
        $line = StraightLine::through(self::points([[0, 8], [100, 7.1], [200, 6.2], [300, 5], [400, 4.3]]));
        [$p10, $p90] = $line->reachesBetween(BigRational::of(3), 0.9);
        $at = fn (float $x): float => $line->intercept->toFloat() + $line->slope->toFloat() * $x;

        self::assertEqualsWithDelta(3, $at($p10) - $line->predictionReach($p10, 0.9), 1e-9);
        self::assertEqualsWithDelta(3, $at($p90) + $line->predictionReach($p90, 0.9), 1e-9);
        self::assertLessThan($line->reaches(BigRational::of(3))->toFloat(), $p10);
    }

    public function test_two_points_give_a_line_without_a_spread_and_one_x_gives_none(): void
    {
        $line = StraightLine::through(self::points([[0, 8], [100, 7]]));

        self::assertSame('-1/100', (string) $line->slope);
        self::assertNull($line->residualDeviation());
        self::assertNull($line->reachesBetween(BigRational::of(3), 0.9));
        self::assertNull(StraightLine::through(self::points([[100, 8], [100, 7]])));
        self::assertNull(StraightLine::through([]));
    }

    public function test_points_that_scatter_widely_tell_no_hours(): void
    {
        $line = StraightLine::through(self::points([[0, 8], [100, 3], [200, 9], [300, 5]]));

        self::assertNull($line->reachesBetween(BigRational::of(1), 0.9));
    }

    /**
     * @param  list<array{int|float, int|float}>  $points
     * @return list<array{BigDecimal, BigDecimal}>
     */
    private static function points(array $points): array
    {
        return array_map(
            fn (array $point): array => [BigDecimal::of((string) $point[0]), BigDecimal::of((string) $point[1])],
            $points,
        );
    }

    /** @return list<array<string, string>> */
    public static function rows(string $table): array
    {
        $lines = array_values(
            array_filter(
                file(dirname(__DIR__, 2)."/Reference/{$table}.csv", FILE_IGNORE_NEW_LINES),
                fn (string $line): bool => $line[0] !== '#',
            ),
        );
        $names = explode(',', array_shift($lines));

        return array_map(fn (string $line): array => array_combine($names, explode(',', $line)), $lines);
    }
}
