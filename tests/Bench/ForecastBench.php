<?php

declare(strict_types=1);

namespace Tests\Bench;

use Core\Forecast\MeterHistory;
use Core\Forecast\Usage;

/** What forecasting every rule of 1,000 machines takes, and how it grows with the readings. */
final class ForecastBench
{
    private const MACHINES = 1_000;

    private const RULES_EACH = 25;

    private const YEARS = 3;

    public function run(): void
    {
        memory_reset_peak_usage();
        $few = $this->seconds(self::MACHINES, readingsAWeek: 3);
        printf("forecast %s rules of %s machines, %d years with 3 readings a week each, in %.2f s: %.2f ms a machine, peak memory %.1f MB\n",
            number_format(
                self::MACHINES * self::RULES_EACH,
            ),
            number_format(self::MACHINES),
            self::YEARS,
            $few,
            1000 * $few / self::MACHINES,
            memory_get_peak_usage() / 2 ** 20);
        [$once, $tenfold] = [$this->seconds(100, readingsAWeek: 7), $this->seconds(100, readingsAWeek: 70)];
        printf(
            "forecast ten times the readings take %.2f times as long (aim: at most 3)\n",
            $tenfold / $once,
        );
    }

    private function seconds(int $machines, int $readingsAWeek): float
    {
        $seconds = 0.0;
        for ($machine = 0; $machine < $machines; $machine++) {
            $pairs = self::readings($machine, $readingsAWeek);
            $began = hrtime(true);
            $usage = Usage::learn(MeterHistory::ofPairs($pairs));
            for ($rule = 1; $rule <= self::RULES_EACH; $rule++) {
                $usage?->passage($pairs[count($pairs) - 1][1] + 8.0 * $rule);
            }
            $seconds += (hrtime(true) - $began) / 1e9;
        }

        return $seconds;
    }

    /** @return list<array{int, float}> a season's use, more in summer */
    private static function readings(int $machine, int $readingsAWeek): array
    {
        mt_srand($machine);
        $run = 100.0;
        $pairs = [];
        for ($count = 0; $count < self::YEARS * 52 * $readingsAWeek; $count++) {
            $day = 19_600 + intdiv($count * 7, $readingsAWeek);
            $run += mt_rand(0, 20) / 10 * (1.1 + sin($day / 58.1)) / $readingsAWeek * 7;
            $pairs[] = [$day, $run];
        }

        return $pairs;
    }
}
