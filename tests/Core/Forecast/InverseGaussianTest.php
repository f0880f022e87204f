<?php

declare(strict_types=1);

namespace Tests\Core\Forecast;

use Core\Forecast\InverseGaussian;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InverseGaussianTest extends TestCase
{
    /**
     * Source: NIST Digital Library of Mathematical Functions, 7.2.3 for the definition; values computed with mpmath 1.3
     * at 30 digits.
     */
    #[DataProvider('scaledTails')]
    public function test_the_scaled_tail_is_right_to_twelve_figures(float $x, float $value): void
    {
        self::assertEqualsWithDelta(1.0, InverseGaussian::scaledErfc($x) / $value, 1e-12);
    }

    /** @return iterable<array{float, float}> */
    public static function scaledTails(): iterable
    {
        yield from [[0.0, 1.0], [0.1, 0.8964569799691266], [0.5, 0.6156903441929259], [1.0, 0.427583576155807], [1.79, 0.2798209992952112],
            [1.81, 0.2773097015343172],
            [2.5, 0.2108063640611436],
            [5.0, 0.1107046377330686],
            [10.0, 0.05614099274382259],
            [30.0, 0.01879588886141675]];
    }

    /** Source: Abramowitz and Stegun, Handbook of Mathematical Functions, table 26.1 (values from memory). */
    public function test_the_normal_shares_are_those_of_the_tables(): void
    {
        foreach (['0' => 0.5, '1' => 0.8413447461, '-1' => 0.1586552539, '1.281551566' => 0.9, '1.959963985' => 0.975, '-3' => 0.0013498980] as $z => $share) {
            $tail = exp(-$z ** 2 / 2) * InverseGaussian::scaledErfc(abs((float) $z) / M_SQRT2) / 2;
            self::assertEqualsWithDelta($share, $z < 0 ? $tail : 1 - $tail, 1e-9);
        }
    }

    public function test_the_closed_form_agrees_with_the_integrated_density(): void
    {
        $lines = array_filter(
            (array) file(dirname(__DIR__, 2).'/Reference/inverse-gaussian.csv'),
            fn (string|false $line): bool => $line !== false && is_numeric($line[0]),
        );
        self::assertCount(48, $lines);
        foreach ($lines as $line) {
            [$mean, $shape, $time, $share] = array_map(floatval(...), explode(',', $line));
            self::assertEqualsWithDelta(
                $share,
                (new InverseGaussian($mean, $shape))->distribution($time),
                1e-11,
                "mean {$mean}, shape {$shape}, time {$time}",
            );
        }
    }

    public function test_a_quantile_undoes_the_distribution(): void
    {
        foreach ([[1, 1], [1, 0.01], [3, 5], [200, 3], [12, 40_000]] as [$mean, $shape]) {
            $passage = new InverseGaussian($mean, $shape);
            foreach ([0.001, 0.1, 0.5, 0.9, 0.999] as $share) {
                self::assertEqualsWithDelta(
                    $share,
                    $passage->distribution($passage->quantile($share)),
                    1e-8,
                    "mean {$mean}, shape {$shape}",
                );
            }
        }
    }

    /**
     * Whether a path has crossed between two looks is drawn exactly, from the Brownian bridge between them:
     * exp(−2·below·below/(σ²·dt)).
     */
    public function test_a_hundred_thousand_wandering_paths_pass_when_the_closed_form_says(): void
    {
        [$paths, $looks, $drift, $variance, $level] = [100_000, 8, 9.0, 60.0, 40.0];
        mt_srand(20_261_123);
        $chance = fn (): float => (mt_rand() + 0.5) / (mt_getrandmax() + 1);
        $between = 1.25;
        $passed = array_fill(1, $looks, 0);
        for ($path = 0; $path < $paths; $path++) {
            $at = 0.0;
            for ($look = 1; $look <= $looks; $look++) {
                $normal = sqrt(-2 * log($chance())) * cos(2 * M_PI * $chance());
                $next = $at + $drift * $between + sqrt($variance * $between) * $normal;
                if (
                    $next >= $level
                    || $chance() < exp(-2 * ($level - $at) * ($level - $next) / ($variance * $between))
                ) {
                    $passed[$look]++;
                    break;
                }
                $at = $next;
            }
        }
        $expected = InverseGaussian::firstPassage($level, $drift, $variance);
        $sofar = 0;
        foreach ($passed as $look => $count) {
            $sofar += $count;
            $share = $expected->distribution($look * $between);
            $sampling = sqrt($share * (1 - $share) / $paths);
            self::assertEqualsWithDelta($share, $sofar / $paths, 4 * $sampling + 1e-9, "by look {$look}");
        }
    }

    public function test_a_mean_or_shape_of_nothing_is_refused(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new InverseGaussian(0, 1);
    }
}
