<?php

declare(strict_types=1);

namespace Tests\Bench;

use Core\Reckoner\Catalogue;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Containers for many jobs out of many sizes, and how it grows with the jobs. */
final readonly class ContainersBench
{
    private const NEEDS = 30;

    private const SIZES = [
        '300 mL',
        '500 mL',
        '946 mL',
        '1 qt',
        '1 L',
        '2 L',
        '1 gal',
        '5 L',
        '2.5 gal',
        '10 L',
        '5 gal',
        '60 L',
    ];

    public function run(): void
    {
        foreach (['without prices' => false, 'with prices' => true] as $how => $isPriced) {
            $one = $this->seconds(self::NEEDS, $isPriced);
            $twice = $this->seconds(2 * self::NEEDS, $isPriced);
            printf(
                "shelf    containers for %d needs of one fluid in %d sizes %s: %.3f s (aim: well under 1), twice the needs %.2f times, peak memory %.0f MB\n",
                self::NEEDS,
                count(self::SIZES),
                $how,
                $one,
                $twice / $one,
                memory_get_peak_usage() / 2 ** 20,
            );
        }
    }

    private function seconds(int $needs, bool $isPriced): float
    {
        $chance = new Randomizer(new Mt19937(7));
        $given = [
            'needs' => array_map(
                fn (): array => ['fluid' => 'x', 'amount' => $chance->getInt(3, 80).'00 mL'],
                range(1, $needs),
            ),
            'sizes' => array_map(
                fn (string $size): array => [
                    'fluid' => 'x',
                    'size' => $size,
                    ...$isPriced ? ['price' => $chance->getInt(3, 200)] : [],
                ],
                self::SIZES,
            ),
        ];
        memory_reset_peak_usage();
        $began = hrtime(true);
        Catalogue::reckon('containers', $given, new \DateTimeImmutable('2026-05-14'));

        return (hrtime(true) - $began) / 1e9;
    }
}
