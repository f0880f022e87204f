<?php

declare(strict_types=1);

namespace Core\Fill;

use Brick\Math\BigRational;
use Core\Fluid\Level\LevelMethod;
use Core\Measure\Quantity;

/** The stages in which a compartment is filled: never the whole of the book's figure blind. Common practice, no source. */
final readonly class FillPlan
{
    /** Of the book's figure, how much goes in before it is looked at. */
    public const SHARE_FIRST = '0.85';

    /** @param  non-empty-list<Pour>  $pours */
    private function __construct(public array $pours) {}

    /**
     * @param  Quantity  $most  of the book's range its upper end, above nothing
     * @param  Quantity|null  $least  of the book's range its lower end, not above the upper
     * @param  Quantity|null  $prefilled  in the filter already, less than the most
     * @param  BigRational  $shareFirst  above 0, at most 1
     */
    public static function of(
        Quantity $most,
        ?Quantity $least,
        ?Quantity $prefilled,
        LevelMethod $method,
        BigRational $shareFirst,
    ): self {
        $in = $prefilled?->to($most->unit) ?? Quantity::of(0, $most->unit);
        $first = Quantity::of($most->value->multipliedBy($shareFirst), $most->unit);
        if ($least !== null && $least->compareTo($most) < 0 && $least->compareTo($first) > 0) {
            $first = $least->to($most->unit);
        }
        $pours = [];
        if ($first->compareTo($in) > 0 && $first->compareTo($most) < 0) {
            $pours[] = new Pour($first->minus($in), $first, AfterPour::afterFirst($method));
            $in = $first;
        }

        return new self([...$pours, new Pour($most->minus($in), $most, AfterPour::Done)]);
    }
}
