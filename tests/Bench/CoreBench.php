<?php

declare(strict_types=1);

namespace Tests\Bench;

use Brick\Math\BigDecimal;
use Core\Machine\Point;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Rule;
use Core\Schedule\StandingOf;
use Core\Schedule\StandingWords;

/** How many standings the core computes in a second, and what memory that takes. */
final class CoreBench
{
    private const STANDINGS = 25_000;

    public function run(): void
    {
        $start = new Point(BigDecimal::zero(), BigDecimal::zero(), new \DateTimeImmutable('2023-01-01T00:00:00Z'));
        $now = new Point(
            BigDecimal::of('1204.3'),
            BigDecimal::of('18650'),
            new \DateTimeImmutable('2026-05-14T00:00:00Z'),
        );
        $done = [
            new Point(
                BigDecimal::of('1101.7'),
                BigDecimal::of('16900'),
                new \DateTimeImmutable('2025-11-02T00:00:00Z'),
            ),
        ];
        $rules = [
            new Rule(Interval::ofHours(100)),
            new Rule(Interval::ofHours(400), [Interval::ofHours(50)], Anchor::Chart),
            new Rule(new Interval(BigDecimal::of(25), BigDecimal::of(400))),
            new Rule(new Interval(BigDecimal::of(200), null, 12)),
            new Rule(new Interval(months: 24), [], Anchor::Chart),
        ];
        memory_reset_peak_usage();
        $began = hrtime(true);
        $standings = [];
        for ($count = 0; $count < self::STANDINGS; $count++) {
            $standings[] = StandingOf::rule($rules[$count % count($rules)], $start, $done, $now);
        }
        $told = hrtime(true);
        foreach ($standings as $standing) {
            StandingWords::why($standing);
        }
        printf(
            "core     %s standings in %.2f s (aim: 1), their reasons in %.2f s more (aim: 2), peak memory %.1f MB\n",
            number_format(self::STANDINGS),
            ($told - $began) / 1e9,
            (hrtime(true) - $told) / 1e9,
            memory_get_peak_usage() / 2 ** 20,
        );
    }
}
