<?php

declare(strict_types=1);

namespace Core\Supply;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/**
 * Which containers of one fluid are opened and bought for all jobs in view: what is open first, then what stands
 * unopened, and of what is to be bought the cheapest; without prices what leaves the least over; then the fewest, then
 * the largest.
 */
final readonly class ContainerPlan
{
    /** Of what is needed: less than so much is less than what stays in the housing. Common practice, no source. */
    public const TOLERANCE = '0.01';

    /**
     * @param  list<array{ContainerSize, int}>  $buy  the largest first
     * @param  list<array{ContainerSize, int}>  $use  of those that stand there unopened
     * @param  Quantity  $open  in containers that are open already
     * @param  Quantity  $leftOver  in what is opened
     * @param  Quantity  $shortBy  nothing where all is there
     */
    private function __construct(
        public array $buy,
        public array $use,
        public Quantity $open,
        public Quantity $leftOver,
        public Quantity $shortBy,
        public ?BigRational $cost,
        public string $why,
    ) {}

    /**
     * @param  Quantity  $need  of all jobs together
     * @param  list<ContainerSize>  $sizes  that can be bought; prices of all or of none
     * @param  list<ContainerSize>  $have  with their counts
     * @param  Quantity  $open  in containers that are open
     * @param  BigRational  $tolerance  a share of the need
     *
     * @throws \OverflowException where the amounts are written too finely to be reckoned together
     */
    public static function of(Quantity $need, array $sizes, array $have, Quantity $open, BigRational $tolerance): self
    {
        $whole = WholeUnits::of([$need, $open, ...array_column([...$sizes, ...$have], 'size')]);
        $priced = WholeUnits::ofNumbers(array_filter(array_column($sizes, 'price')));
        $containers = [];
        foreach ([...$have, ...$sizes] as $size) {
            $volume = $whole->count($size->size->si());
            $containers[] = new CoverItem(
                $volume,
                match (true) {
                    $size->count !== null => 0,
                    $size->price === null => $volume,
                    default => $priced->count($size->price),
                },
                $size->count,
            );
        }
        $target = max(0, $whole->count($need->si()) - $whole->count($open->si()));
        $spared = $whole->floor($need->si()->multipliedBy($tolerance));
        $isPriced = array_filter(array_column($sizes, 'price')) !== [];
        $counts = Cover::of($target, min($spared, $target), $containers, $isPriced);
        $all = [...$have, ...$sizes];
        $unit = $need->unit;
        $opened = $open->to($unit);
        [$use, $buy, $cost] = [[], [], BigRational::zero()];
        foreach ($counts as $index => $count) {
            if ($count === 0) {
                continue;
            }
            $opened = $opened->plus(
                Quantity::of($all[$index]->size->value->multipliedBy($count), $all[$index]->size->unit),
            );
            if ($index < count($have)) {
                $use[] = [$all[$index], $count];
            } else {
                $buy[] = [$all[$index], $count];
                $cost = $cost->plus(($all[$index]->price ?? BigRational::zero())->multipliedBy($count));
            }
        }
        $nothing = Quantity::of(0, $unit);
        $isShort = $opened->compareTo($need) < 0;
        $shortBy = $isShort ? $need->minus($opened) : $nothing;

        return new self(
            self::largestFirst($buy),
            self::largestFirst($use),
            $open,
            $isShort ? $nothing : $opened->minus($need),
            $shortBy,
            $isPriced ? $cost : null,
            self::why($need, $open, $use, $buy, $shortBy, $need->si()->multipliedBy($tolerance)),
        );
    }

    /**
     * @param  list<array{ContainerSize, int}>  $chosen
     * @return list<array{ContainerSize, int}>
     */
    private static function largestFirst(array $chosen): array
    {
        usort($chosen, fn (array $one, array $other): int => $other[0]->size->compareTo($one[0]->size));

        return $chosen;
    }

    /**
     * @param  list<array{ContainerSize, int}>  $use
     * @param  list<array{ContainerSize, int}>  $buy
     */
    private static function why(
        Quantity $need,
        Quantity $open,
        array $use,
        array $buy,
        Quantity $shortBy,
        BigRational $spared,
    ): string {
        $from = implode(', ', array_filter([
            $open->value->isZero() ? '' : "{$open->inWords()} is open",
            $use === [] ? '' : self::named($use).' stands unopened',
            $buy === [] ? '' : self::named($buy).' is to be bought',
        ]));

        return "{$need->inWords()} is needed".($from === '' ? '' : ": {$from}").match (true) {
            $shortBy->value->isZero() => '.',
            $shortBy->si()->isLessThanOrEqualTo($spared) => "; {$shortBy->inWords()} short, which is less than what stays in the housing: no further container is opened.",
            default => "; {$shortBy->inWords()} is lacking, and no container to be had is large or small enough.",
        };
    }

    /** @param  list<array{ContainerSize, int}>  $chosen */
    private static function named(array $chosen): string
    {
        return implode(' and ', array_map(
            fn (array $one): string => "{$one[1]} × {$one[0]->size->inWords()}",
            self::largestFirst($chosen),
        ));
    }
}
