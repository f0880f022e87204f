<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

/** How a compartment is emptied, and what is in the way. */
final readonly class WayOut
{
    /**
     * @param  DrainWay|null  $by  null for what its openings say
     * @param  string|null  $through  the key of the opening through which it is sucked out; null for what its openings say
     * @param  string  $valve  which valve is shut first, and which way is on
     * @param  list<string>  $putsBack  what is undone to get there, and done up again
     */
    public function __construct(
        public ?DrainWay $by = null,
        public string $valve = '',
        public array $putsBack = [],
        public ?string $through = null,
    ) {}
}
