<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Measure\Dimension;
use Core\Measure\Unit;

/** What one column of a pasted capacities table says, from its heading. */
final readonly class CapacityColumn
{
    private const KINDS = [
        'filters? only' => CapacityKind::FiltersOnly,
        'without|w/?o\b|excl' => CapacityKind::WithoutFilter,
        'with\b|w/|incl' => CapacityKind::WithFilter,
        'dry|initial' => CapacityKind::Dry,
        'side|each' => CapacityKind::PerSide,
    ];

    private const AMOUNT = 'capacity|amount|volume|quantity|refill|change|filter|dry|how much';

    private const FLUID = 'fluid|lubricant|oil|spec|grade|viscosity|type|api|sae|designation|coolant|what';

    private function __construct(public ?CapacityKind $capacity, public bool $isFluid, public ?Unit $unit) {}

    public static function of(string $heading): self
    {
        $unit = self::unit($heading);
        if ($unit !== null || preg_match('~'.self::AMOUNT.'~i', $heading)) {
            foreach (self::KINDS as $pattern => $kind) {
                if (preg_match("~{$pattern}~i", $heading)) {
                    return new self($kind, false, $unit);
                }
            }

            return new self(CapacityKind::Refill, false, $unit);
        }

        return new self(null, preg_match('~'.self::FLUID.'~i', $heading) === 1, null);
    }

    public function saysNothing(): bool
    {
        return $this->capacity === null && ! $this->isFluid;
    }

    /** `qt`, `Capacity (US qt)`, `With filter, L` */
    private static function unit(string $heading): ?Unit
    {
        foreach (preg_split('~[^\p{L}. ]+~u', $heading, flags: PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            $unit = Unit::fromWord(trim($part));
            if ($unit?->dimension() === Dimension::Volume) {
                return $unit;
            }
        }
        $words = preg_split('~\s+~', trim($heading), flags: PREG_SPLIT_NO_EMPTY) ?: [];
        $last = $words === [] ? null : Unit::fromWord(trim($words[count($words) - 1], '.,()'));

        return $last?->dimension() === Dimension::Volume ? $last : null;
    }
}
