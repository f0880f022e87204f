<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Sheet\DrainWay;
use Core\Machine\Closure;

/** How a spot of such a machine mostly is emptied, read and shut. Common practice, no source. */
final readonly class StarterWay
{
    /**
     * @param  DrainWay|null  $out  of a compartment, where its openings do not tell
     * @param  LevelMethod|null  $readBy  of a compartment
     * @param  Closure|null  $closure  of an opening
     * @param  list<string>  $under  of a part, the keys of what lies over it
     */
    public function __construct(
        public ?DrainWay $out = null,
        public ?LevelMethod $readBy = null,
        public ?Closure $closure = null,
        public array $under = [],
    ) {}
}
