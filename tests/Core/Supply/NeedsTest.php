<?php

declare(strict_types=1);

namespace Tests\Core\Supply;

use Brick\Math\BigRational;
use Core\Fluid\Suitability;
use Core\Measure\Quantity;
use Core\Supply\ContainerSize;
use Core\Supply\Need\FluidChoice;
use Core\Supply\Need\FluidNeed;
use Core\Supply\Need\FluidStock;
use Core\Supply\Need\NeededPart;
use Core\Supply\Need\Needs;
use Core\Supply\Need\PartNeed;
use Core\Supply\Need\PartStock;
use Core\Supply\Need\Preference;
use Core\Supply\Need\Purchase;
use Core\Supply\SoldIn;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What coming jobs need in all, what is there, what to buy. Names and prices are invented. */
final class NeedsTest extends TestCase
{
    /** Handbook section 5: one large jug serves several axles; a litre for a 0.4 L axle leaves 0.6 L for the next. */
    public function test_one_container_serves_several_compartments(): void
    {
        $needs = self::needs([
            new FluidNeed('gear', Quantity::parse('0.4 L'), 'Wren, front axle'),
            new FluidNeed('gear', Quantity::parse('0.55 L'), 'Teal, front axle'),
        ], fluidStock: [new FluidStock('gear', sizes: [new ContainerSize(Quantity::parse('1 L'))])]);

        self::assertSame([['1 L', 1]], array_map(
            fn (Purchase $one): array => [$one->size?->inWords(), $one->count],
            $needs->toBuy,
        ));
        self::assertSame(['Wren, front axle', 'Teal, front axle'], $needs->fluids[0]->for);
    }

    /** Handbook section 9: 3.8 qt drained, four one-quart bottles are right. */
    public function test_the_handbooks_four_bottles(): void
    {
        $needs = self::needs(
            [new FluidNeed('10W-30', Quantity::parse('3.8 qt'), 'engine')],
            fluidStock: [new FluidStock('10W-30', sizes: [new ContainerSize(Quantity::parse('1 qt'), BigRational::of('9.5'))])],
        );

        self::assertSame(4, $needs->toBuy[0]->count);
        self::assertSame('38.00', SoldIn::price($needs->cost));
    }

    public function test_what_is_open_is_used_before_anything_is_opened_or_bought_and_a_drop_short_is_not_short(): void
    {
        $stock = new FluidStock('oil', Quantity::parse('3.1 L'), [new ContainerSize(Quantity::parse('5 L'), count: 2)]);
        $needs = self::needs([new FluidNeed('oil', Quantity::parse('6.4 L'), 'a')], fluidStock: [$stock]);

        self::assertSame([], $needs->toBuy);
        self::assertSame(1, $needs->fluids[0]->plan->use[0][1]);
        $bottle = new FluidStock('oil', unopened: [new ContainerSize(Quantity::parse('946 mL'), count: 1)]);
        $axle = self::needs([new FluidNeed('oil', Quantity::parse('948 mL'), 'a')], fluidStock: [$bottle]);
        self::assertTrue($axle->fluids[0]->short->value->isZero(), 'row 8: 2 mL are less than what stays in the housing');
        self::assertSame([], $axle->toBuy);
    }

    public function test_a_fluid_that_nobody_sells_here_is_bought_by_its_amount(): void
    {
        $needs = self::needs([new FluidNeed('DOT 4', Quantity::parse('0.3 L'), 'brakes')]);

        self::assertSame(['0.3 L', null], [$needs->toBuy[0]->amount?->inWords(), $needs->toBuy[0]->count]);
        self::assertSame(1, $needs->unpriced);
    }

    public function test_a_part_is_taken_from_the_shelf_by_any_number_that_will_do_and_bought_by_the_one_that_is_preferred(): void
    {
        $needs = [
            new PartNeed(['WD 15-2', 'WD 15'], 1, ['Heron'], equivalents: ['Wyndle 9', 'Wyndle 8']),
            new PartNeed(['WD 15-2', 'WD 15'], 2, ['Teal'], 'the old one was used again', ['Wyndle 9', 'Wyndle 8']),
        ];
        $stock = [
            new PartStock('WD-15', 1, BigRational::of(14)),
            new PartStock('wyndle 9', 0, BigRational::of(9)),
            new PartStock('Wyndle 8', 0, BigRational::of(8)),
        ];
        $of = fn (Preference $preference): Needs => Needs::of([], $needs, [], $stock, $preference);

        $makers = $of(Preference::Makers)->parts[0];
        self::assertSame(['WD 15-2', 3, 1, 2, ['Heron', 'Teal']], [$makers->number, $makers->count, $makers->have, $makers->short, $makers->for]);
        self::assertSame(['WD 15' => 1], $makers->taken, 'the superseded number still does');
        self::assertSame('the old one was used again', $makers->again);
        $equivalents = $of(Preference::Equivalents);
        self::assertSame('Wyndle 8', $equivalents->toBuy[0]->supply, 'the cheaper of the two');
        self::assertSame('16.00', SoldIn::price($equivalents->cost));
    }

    public function test_it_is_told_for_which_day_what_is_there_does_not_do(): void
    {
        $needs = self::needs(
            [
                new FluidNeed('oil', Quantity::parse('2 L'), 'late', 120),
                new FluidNeed('oil', Quantity::parse('2 L'), 'soon', 100),
                new FluidNeed('oil', Quantity::parse('2 L'), 'later', 110),
            ],
            [new PartNeed(['W'], 1, ['late'], day: 90), new PartNeed(['W'], 1, ['soon'], day: 80)],
            [new FluidStock('oil', Quantity::parse('3 L'))],
            [new PartStock('W', 1)],
        );

        self::assertSame(110, $needs->fluids[0]->lackingOn);
        self::assertSame(90, $needs->parts[0]->lackingOn);
        self::assertSame([110, 90], array_column($needs->toBuy, 'lackingOn'));
    }

    /** Property, 500 random shelves and jobs: nothing is taken twice, nothing that is short is left unbought. */
    public function test_every_part_that_is_needed_is_either_there_or_bought_and_nothing_is_taken_twice(): void
    {
        $chance = new Randomizer(new Mt19937(4));
        for ($case = 0; $case < 500; $case++) {
            $stock = $left = [];
            foreach (range('A', 'F') as $number) {
                $left[strtolower($number)] = $chance->getInt(0, 3);
                $stock[] = new PartStock($number, $left[strtolower($number)], BigRational::of($chance->getInt(1, 9)));
            }
            $parts = [];
            foreach (range(1, $chance->getInt(1, 6)) as $ignored) {
                $numbers = $chance->shuffleArray(range('A', 'H'));
                $parts[] = new PartNeed([$numbers[0]], $chance->getInt(1, 3), ['x'], equivalents: array_slice($numbers, 1, $chance->getInt(0, 2)));
            }
            $preference = Preference::cases()[$chance->getInt(0, 1)];
            $needs = Needs::of([], $parts, [], $stock, $preference);
            self::assertSame(
                array_sum(array_column($parts, 'count')),
                array_sum(array_column($needs->parts, 'have')) + array_sum(array_column($needs->toBuy, 'count')),
            );
            $taken = [];
            foreach ($needs->parts as $part) {
                foreach ($part->taken as $number => $count) {
                    $taken[strtolower((string) $number)] = ($taken[strtolower((string) $number)] ?? 0) + $count;
                }
                self::assertSame($part->have, array_sum($part->taken));
            }
            foreach ($taken as $number => $count) {
                self::assertLessThanOrEqual($left[$number], $count);
            }
            self::assertSame(
                array_sum(array_map(fn (NeededPart $part): int => $part->short, $needs->parts)),
                array_sum(array_column($needs->toBuy, 'count')),
            );
        }
    }

    public function test_what_is_in_there_already_is_poured_again_and_what_will_not_do_never(): void
    {
        $choice = fn (int $id, Suitability $answer, bool $makers = false, bool $last = false, bool $there = false): FluidChoice => new FluidChoice($id, $answer, $makers, $last, $there);
        $best = fn (Preference $preference, FluidChoice ...$choices): ?int => FluidChoice::best(array_values($choices), $preference)?->supply;

        self::assertSame(2, $best(Preference::Makers, $choice(1, Suitability::Yes, there: true), $choice(2, Suitability::Yes, last: true)));
        self::assertSame(2, $best(Preference::Makers, $choice(1, Suitability::Yes), $choice(2, Suitability::Yes, there: true)));
        self::assertSame(2, $best(Preference::Makers, $choice(1, Suitability::Yes, last: true), $choice(2, Suitability::Yes, makers: true)));
        self::assertSame(1, $best(Preference::Equivalents, $choice(1, Suitability::Yes), $choice(2, Suitability::Yes, makers: true, last: true)));
        self::assertNull($best(Preference::Makers, $choice(1, Suitability::No, last: true), $choice(2, Suitability::Ask)));
        self::assertSame(3, $best(Preference::Makers, $choice(3, Suitability::Ask, last: true)));
    }

    /**
     * @param  list<FluidNeed>  $fluids
     * @param  list<PartNeed>  $parts
     * @param  list<FluidStock>  $fluidStock
     * @param  list<PartStock>  $partStock
     */
    private static function needs(array $fluids, array $parts = [], array $fluidStock = [], array $partStock = []): Needs
    {
        return Needs::of($fluids, $parts, $fluidStock, $partStock);
    }
}
