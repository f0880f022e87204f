<?php

declare(strict_types=1);

namespace Core\Supply\Stock;

use Brick\Math\BigDecimal;
use Core\Supply\ContainerPlan;

/**
 * From which containers an amount is poured: out of the one that was opened first, then the next, then new ones, the
 * oldest first. What is past its time is left standing.
 */
final readonly class Drawing
{
    /**
     * @param  list<array{int, BigDecimal}>  $draws  by container, litres
     * @param  BigDecimal  $unfound  litres that no container holds
     */
    private function __construct(public array $draws, public BigDecimal $unfound)
    {
    }

    /** @param  list<OnShelf>  $containers */
    public static function of(BigDecimal $litres, array $containers): self
    {
        $containers = array_values(array_filter(
            $containers,
            fn (OnShelf $container): bool => $container->litres->isPositive() && ! $container->isOver,
        ));
        usort($containers, fn (OnShelf $one, OnShelf $other): int => self::turn($one) <=> self::turn($other));
        // Less than stays in the housing is no reason to open another.
        $spared = $litres->multipliedBy(ContainerPlan::TOLERANCE);
        [$draws, $wanted] = [[], $litres];
        foreach ($containers as $container) {
            if ($draws !== [] && ! $wanted->isGreaterThan($spared)) {
                break;
            }
            $draw = BigDecimal::min($wanted, $container->litres);
            $draws[] = [$container->id, $draw];
            $wanted = $wanted->minus($draw);
        }

        return new self($draws, $draws !== [] && ! $wanted->isGreaterThan($spared) ? BigDecimal::zero() : $wanted);
    }

    /** @return array{bool, int, int} the opened ones first, by when; then the others as they came */
    private static function turn(OnShelf $container): array
    {
        return [$container->opened === null, $container->opened?->getTimestamp() ?? 0, $container->id];
    }
}
