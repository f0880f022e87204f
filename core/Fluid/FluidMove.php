<?php

declare(strict_types=1);

namespace Core\Fluid;

use Brick\Math\BigDecimal;
use Core\Machine\ActKind;

/** One thing done to a compartment's fluid. */
final readonly class FluidMove
{
    /**
     * @param  ActKind  $kind  topped up, filled, drained, changed, or a level read
     * @param  string  $occasion  what belongs together: an entry or a job
     * @param  BigDecimal|null  $hours  run by then, null where nobody knows
     * @param  BigDecimal|null  $litres  null where nobody said
     * @param  string|null  $fluid  what was poured, as it was called
     * @param  bool  $isNew  whether the fluid is new from then on
     * @param  bool  $readsFull  a level that was read at its full mark
     */
    public function __construct(
        public ActKind $kind,
        public string $occasion,
        public \DateTimeImmutable $at,
        public ?BigDecimal $hours,
        public ?BigDecimal $litres,
        public ?string $fluid = null,
        public bool $isNew = false,
        public bool $readsFull = false,
    ) {}

    public function pours(): bool
    {
        return in_array($this->kind, [ActKind::ToppedUp, ActKind::Filled, ActKind::Changed], true);
    }
}
