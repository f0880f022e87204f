<?php

declare(strict_types=1);

namespace Core\Fluid;

use Core\Machine\CompartmentKind;

/** A compartment as far as its fluid goes. */
final readonly class Housing
{
    /** @param  bool|null  $yellowMetals  brass or bronze inside; null where nobody has said */
    public function __construct(
        public CompartmentKind $kind,
        public Specification $specification = new Specification,
        public ?Cooling $cooling = null,
        public ?bool $yellowMetals = null,
    ) {}
}
