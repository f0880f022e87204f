<?php

declare(strict_types=1);

namespace Core\Supply\Waste;

use Brick\Math\BigDecimal;

/** One time that something came out of a compartment, or a filter off. */
final readonly class Waste
{
    /**
     * @param  string  $occasion  what was drained and poured on one of it at one compartment belongs together
     * @param  BigDecimal|null  $out  litres that ran out, where somebody measured them; of a filter one
     * @param  BigDecimal|null  $in  litres poured in its place
     */
    public function __construct(
        public WasteKind $kind,
        public string $occasion,
        public \DateTimeImmutable $at,
        public ?BigDecimal $out = null,
        public ?BigDecimal $in = null,
    ) {}
}
