<?php

declare(strict_types=1);

namespace Tests\Core\Supply;

use Core\Form\BadInput;
use Core\Reckoner\Catalogue;
use Core\Supply\Cover;
use Core\Supply\CoverItem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Containers: against brute force, by their properties, and in the trade handbook's cases. */
final class ContainersTest extends TestCase
{
    private const PROBLEMS = 2_000;

    public function test_two_thousand_random_problems_come_out_as_by_brute_force(): void
    {
        $chance = new Randomizer(new Mt19937(9));
        for ($problem = 0; $problem < self::PROBLEMS; $problem++) {
            $priced = $chance->getInt(0, 1) === 1;
            $items = [];
            for ($sizes = $chance->getInt(1, 4); $sizes > 0; $sizes--) {
                $volume = $chance->getInt(1, 20) * $chance->getInt(1, 3);
                $counted = $chance->getInt(0, 3) === 0;
                $items[] = new CoverItem(
                    $volume,
                    $counted ? 0 : ($priced ? $chance->getInt(1, 30) : $volume),
                    $counted ? $chance->getInt(1, 3) : null,
                );
            }
            $target = $chance->getInt(0, 60);
            $spared = min($target, $chance->getInt(0, 2) === 0 ? $chance->getInt(1, 4) : 0);
            $short = $priced ? 0 : 1;
            $found = Cover::of($target, $spared, $items, $priced);
            $best = self::bruteForce($target, $spared, $items, $short);
            self::assertSame(
                $best ?? self::rank($found, $target, $items, $short),
                self::rank($found, $target, $items, $short),
                json_encode([$target, $spared, $items, $found], JSON_THROW_ON_ERROR),
            );
            foreach ($items as $index => $item) {
                self::assertLessThanOrEqual($item->most ?? PHP_INT_MAX, $found[$index]);
            }
        }
    }

    /** Row 8: a bottle 2 mL too small makes somebody open a second one. */
    public function test_946_for_948_millilitres_opens_no_second_bottle_and_says_why(): void
    {
        $plan = self::plan([['gear', '948 mL']], [['gear', '946 mL']]);

        self::assertSame(1, $plan['buy'][0]['count']);
        self::assertSame('2', $plan['short_by'][0]['amount']['value']);
        self::assertStringContainsString('less than what stays in the housing', $plan['why']);
    }

    /** Row 8, the other way round: one bottle too few for an axle. */
    public function test_four_quart_bottles_are_right_for_a_drained_one_and_one_too_few_for_a_dry_one(): void
    {
        self::assertSame(4, self::plan([['oil', '3.8 qt']], [['oil', '1 qt']])['buy'][0]['count']);
        self::assertSame(5, self::plan([['oil', '4.2 qt']], [['oil', '1 qt']])['buy'][0]['count']);
    }

    /** Row 22: a filters-only change drinks 1 3/4 gal. */
    public function test_what_runs_out_with_the_filters_is_bought_before(): void
    {
        $plan = self::plan([['tractor fluid', '1 3/4 gal']], [['tractor fluid', '2.5 gal'], ['tractor fluid', '1 qt']]);

        self::assertSame(
            [['1', 7]],
            array_map(fn (array $buy): array => [$buy['size']['value'], $buy['count']], $plan['buy']),
            'nothing over',
        );
        self::assertSame([], $plan['left_over']);
    }

    public function test_a_jug_serves_several_axles_and_a_litre_bottle_leaves_the_rest_for_the_next(): void
    {
        $axles = self::plan(
            [['gear', '0.9 gal'], ['gear', '0.8 gal'], ['GEAR', '0.8 gal']],
            [['gear', '2.5 gal'], ['gear', '1 gal']],
        );
        self::assertSame(
            [['2.5', 1]],
            array_map(fn (array $buy): array => [$buy['size']['value'], $buy['count']], $axles['buy']),
        );
        self::assertSame('0.6', self::plan([['gear', '0.4 L']], [['gear', '1 L']])['left_over'][0]['amount']['value']);
    }

    public function test_what_is_open_goes_first_then_what_stands_unopened_then_what_is_bought(): void
    {
        $plan = Catalogue::reckon('containers', [
            'needs' => [['fluid' => 'oil', 'amount' => '8 L']],
            'open' => [['fluid' => 'oil', 'amount' => '1.5 L']],
            'have' => [['fluid' => 'oil', 'size' => '5 L', 'count' => 1]],
            'sizes' => [
                ['fluid' => 'oil', 'size' => '1 L', 'price' => '9'],
                ['fluid' => 'oil', 'size' => '5 L', 'price' => '30'],
            ],
        ], new \DateTimeImmutable);

        self::assertSame([1, 2, 18], [$plan['use'][0]['count'], $plan['buy'][0]['count'], $plan['cost']]);
    }

    public function test_where_nothing_can_be_had_it_says_what_is_lacking(): void
    {
        $plan = self::plan([['oil', '3 L']], []);

        self::assertSame([[], '3'], [$plan['buy'], $plan['short_by'][0]['amount']['value']]);
    }

    public function test_never_short_beyond_the_tolerance_an_open_bottle_never_costs_more_and_two_lists_never_less_than_one(): void
    {
        $chance = new Randomizer(new Mt19937(23));
        for ($round = 0; $round < 120; $round++) {
            $isPriced = $round % 2 === 0;
            $sizes = array_map(
                fn (string $size): array => [
                    'fluid' => 'x',
                    'size' => $size,
                    ...$isPriced ? ['price' => $chance->getInt(3, 60)] : [],
                ],
                $chance->pickArrayKeys(
                    array_flip(['1 qt', '1 L', '946 mL', '1 gal', '2.5 gal', '5 L', '20 L', '300 mL']),
                    $chance->getInt(1, 4),
                ),
            );
            $need = fn (): array => ['fluid' => 'x', 'amount' => $chance->getInt(2, 90).'00 mL'];
            [$one, $other] = [$need(), $need()];
            $reckon = fn (array $needs, array $open = []): array => Catalogue::reckon(
                'containers',
                ['needs' => $needs, 'sizes' => $sizes, 'open' => $open],
                new \DateTimeImmutable,
            );
            $price = fn (array $plan): float => $isPriced
                ? (float) $plan['cost']
                : (float) ($plan['left_over'][0]['amount']['value'] ?? 0);
            $together = $reckon([$one, $other]);
            $needed = (float) $one['amount'] + (float) $other['amount'];
            self::assertLessThanOrEqual(
                $needed * 0.01 + 1e-6,
                (float) ($together['short_by'][0]['amount']['value'] ?? 0),
            );
            self::assertLessThanOrEqual($price($reckon([$one])) + $price($reckon([$other])) + 1e-6, $price($together));
            if ($isPriced) {
                self::assertLessThanOrEqual(
                    $price($together),
                    $price($reckon([$one, $other], [['fluid' => 'x', 'amount' => '700 mL']])),
                );
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        $need = ['needs' => [['fluid' => 'oil', 'amount' => '1 L']]];
        yield 'half the prices' => [
            [
                ...$need,
                'sizes' => [['fluid' => 'oil', 'size' => '1 L', 'price' => 5], ['fluid' => 'oil', 'size' => '5 L']],
            ],
            'sizes',
        ];
        yield 'a size of nothing' => [[...$need, 'sizes' => [['fluid' => 'oil', 'size' => '0 L']]], 'sizes.0.size'];
        yield 'a unit of the wrong kind' => [['needs' => [['fluid' => 'oil', 'amount' => '1 psi']]], 'needs.0.amount'];
        yield 'no need' => [['sizes' => []], 'needs'];
        yield 'all of it spared' => [[...$need, 'tolerance' => 1], 'tolerance'];
    }

    /** @param  array<string, mixed>  $given */
    #[DataProvider('bad')]
    public function test_what_cannot_be_is_refused_beside_its_field(array $given, string $field): void
    {
        try {
            Catalogue::reckon('containers', $given, new \DateTimeImmutable);
            self::fail('it was answered');
        } catch (BadInput $bad) {
            self::assertSame([$field], array_keys($bad->errors));
        }
    }

    /**
     * @param  list<array{string, string}>  $needs
     * @param  list<array{string, string}>  $sizes
     * @return array<string, mixed>
     */
    private static function plan(array $needs, array $sizes): array
    {
        return Catalogue::reckon('containers', [
            'needs' => array_map(fn (array $need): array => ['fluid' => $need[0], 'amount' => $need[1]], $needs),
            'sizes' => array_map(fn (array $size): array => ['fluid' => $size[0], 'size' => $size[1]], $sizes),
        ], new \DateTimeImmutable);
    }

    /**
     * @param  list<CoverItem>  $items
     * @return list<mixed>|null the rank of the best way, null where nothing covers it
     */
    private static function bruteForce(int $target, int $spared, array $items, int $short, array $counts = []): ?array
    {
        if (count($counts) === count($items)) {
            return self::sum($counts, $items) < $target - $spared ? null : self::rank($counts, $target, $items, $short);
        }
        $item = $items[count($counts)];
        $best = null;
        for ($count = 0; $count <= ($item->most ?? intdiv($target, $item->volume) + 1); $count++) {
            $rank = self::bruteForce($target, $spared, $items, $short, [...$counts, $count]);
            $best = $rank !== null && ($best === null || $rank < $best) ? $rank : $best;
            if (self::sum([...$counts, $count], $items) >= $target) {
                break;
            }
        }

        return $best;
    }

    /**
     * Cost, what is over, how many, and the largest first.
     *
     * @param  list<int>  $counts
     * @param  list<CoverItem>  $items
     * @return list<mixed>
     */
    private static function rank(array $counts, int $target, array $items, int $short): array
    {
        $sum = self::sum($counts, $items);
        $cost = array_sum(array_map(fn (int $count, CoverItem $item): int => $count * $item->cost, $counts, $items));
        $volumes = [];
        foreach ($counts as $index => $count) {
            $volumes = [...$volumes, ...array_fill(0, $count, -$items[$index]->volume)];
        }
        sort($volumes);

        return [$cost + $short * max(0, $target - $sum), max(0, $sum - $target), array_sum($counts), -$sum, $volumes];
    }

    /**
     * @param  list<int>  $counts
     * @param  list<CoverItem>  $items
     */
    private static function sum(array $counts, array $items): int
    {
        return (int) array_sum(
            array_map(
                fn (int $count, int $index): int => $count * $items[$index]->volume,
                $counts,
                array_keys($counts),
            ),
        );
    }
}
