<?php

declare(strict_types=1);

namespace Core\Supply\Materials;

use Core\Fluid\Sheet\Capacity;

/** What is poured into one compartment. */
final readonly class FluidTaken
{
    /**
     * @param  string  $spot  the compartment's key
     * @param  Capacity|null  $amount  null where nobody has written down how much it takes
     * @param  bool  $isDrained  false where only what ran out with the filters is poured back
     */
    public function __construct(
        public string $spot,
        public ?Capacity $amount,
        public string $why,
        public bool $isDrained = true,
    ) {}
}
