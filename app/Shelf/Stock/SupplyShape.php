<?php

declare(strict_types=1);

namespace App\Shelf\Stock;

use App\Logbook\EntryWords;
use App\Logbook\Stock\Container;
use App\Logbook\Stock\Move;
use App\Logbook\Stock\MoveKind;
use App\Logbook\Stock\Shelf;
use App\Logbook\Stock\StockLevels;
use App\Logbook\Stock\Supply;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Core\Form\Notation;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Supply\ContainerPlan;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Moves;

/** A supply with what there is of it. */
final readonly class SupplyShape
{
    private const LATELY = 12;

    public function __construct(private Shelf $shelf) {}

    /**
     * @param  Collection<int, Supply>  $supplies
     * @return list<array<string, mixed>> as the contract's `Supply`
     */
    public function all(Collection $supplies): array
    {
        $supplies->load('containers');
        $levels = StockLevels::of($supplies->modelKeys());

        return array_values($supplies->map(fn (Supply $supply): array => $this->of($supply, $levels))->all());
    }

    /** @return array<string, mixed> */
    private function of(Supply $supply, StockLevels $levels): array
    {
        $left = $levels->supply($supply->id);
        $nowhere = $levels->fromNowhere($supply->id);
        $containers = $supply->containers
            ->filter(fn (Container $one): bool => ! self::isEmpty($one, $levels->container($one)->left));
        $told = array_values($containers->map(
            fn (Container $one): array => $this->container($one, $supply, $levels),
        )->all());

        return [
            ...$supply->toRecord(),
            'is_kept' => $levels->isKept($supply->id),
            'left' => [
                'value' => (string) $left->left->stripTrailingZeros(),
                'in_words' => $supply->inWords($left->left),
                'below_nothing' => $left->isBelowNothing() || ($supply->isFluid() && $nowhere->isBelowNothing()),
            ],
            'containers' => $told,
            'says' => array_values(array_unique(array_filter([
                $left->isBelowNothing()
                    ? 'More was used than was there by the book. Count it.'
                    : ($supply->isFluid() && $nowhere->isBelowNothing()
                        ? Quantity::of($nowhere->left->abs(), Unit::Litre)->display()
                            .' was poured and came from no container that is known. Count them.'
                        : null),
                ...array_column(array_filter($told, fn (array $one): bool => $one['is_over']), 'why'),
            ]))),
        ];
    }

    /** @return array<string, mixed> */
    private function container(Container $container, Supply $supply, StockLevels $levels): array
    {
        $left = $levels->container($container);
        $life = $this->shelf->life($container, $supply, $levels);
        $size = Quantity::parse($container->size);
        $share = $left->usable()->toBigRational()->dividedBy($container->full()->toBigRational());
        $inIt = Quantity::of($share->multipliedBy($size->value), $size->unit);

        return [
            'id' => $container->id,
            'size' => $container->size,
            'left' => Notation::quantity($inIt),
            'left_in_words' => $inIt->inWords(),
            'litres' => $container->full()->toFloat(),
            'share_left' => min(1.0, $share->toScale(3, RoundingMode::HALF_UP)->toFloat()),
            'below_nothing' => $left->isBelowNothing(),
            'opened_on' => $levels->opened($container) === null ? null : $levels->opened($container)->format('Y-m-d'),
            'until' => Notation::day($life->until),
            'is_over' => $life->isOver,
            'why' => $life->why,
        ];
    }

    /** What is left in it is less than what stays in a housing. */
    private static function isEmpty(Container $container, BigDecimal $left): bool
    {
        return ! $left->isNegative()
            && $left->toBigRational()->isLessThanOrEqualTo(
                $container->full()->toBigRational()->multipliedBy(BigRational::of(ContainerPlan::TOLERANCE)),
            );
    }

    /** @return list<array<string, mixed>> what came to the shelf and went from it lately, newest first, what belongs to one entry together */
    public function lately(Supply $supply): array
    {
        $entries = Move::query()->where('supply_id', $supply->id)
            ->standing()
            ->where('kind', '!=', MoveKind::Drained)
            ->whereNotNull('amount')
            ->orderByDesc('happened_at')->orderByDesc('id')->limit(self::LATELY * 4)
            ->with('entry.readings', 'entry.machine:id,name', 'entry.person:id,name', 'act:id,title,kind')
            ->get()->toBase()->groupBy('entry_id')->take(self::LATELY);

        return array_values($entries->map(fn (Moves $moves): array => self::moved($supply, $moves))->all());
    }

    /**
     * @param  Moves<int, Move>  $moves  of one entry
     * @return array<string, mixed>
     */
    private static function moved(Supply $supply, Moves $moves): array
    {
        $first = $moves->firstOrFail();
        $amount = BigDecimal::sum(...$moves->map(fn (Move $move): BigDecimal => BigDecimal::of((string) $move->amount))->all());
        $entry = $first->entry;
        $for = $moves->map(fn (Move $move): ?string => $move->act?->title)->filter()->unique()->implode(', ');

        return [
            'id' => $first->id,
            'kind' => match ($first->kind) {
                MoveKind::Came => 'in',
                MoveKind::Counted => 'counted',
                default => 'out',
            },
            'in_words' => $entry->machine === null
                ? EntryWords::of($entry)
                : $supply->inWords($amount).' for '.$entry->machine->name.($for === '' ? '' : ": {$for}"),
            'machine_id' => $entry->machine_id,
            'note' => $entry->note,
            'at' => $entry->happened_at->toAtomString(),
            'by' => $entry->person?->name,
        ];
    }
}
