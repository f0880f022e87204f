<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\LevelMethod;
use Core\Measure\Quantity;

/** How a compartment is filled, and what has to be done before its level is read. */
final readonly class Filling
{
    /** Minutes of a run that fills an engine's new filter. Common practice, no source. */
    public const ENGINE_RUNS = 2;

    /** Minutes after that until its oil has run down. Common practice, no source. */
    public const ENGINE_WAITS = 2;

    /** Of a drive filled until its vents run. Common practice, no source. */
    public const CYCLES = 5;

    /**
     * @param  bool  $prefill  whether a filter that hangs upright is filled before it is fitted
     * @param  Quantity|null  $prefilled  how much that takes, where it is known
     * @param  string|null  $shareFirst  of the book's figure, what is poured before it is run
     * @param  int|null  $run  minutes
     * @param  int|null  $wait  minutes after the run
     * @param  int|null  $purge  cycles half forward and back, then full
     * @param  bool  $vents  whether it is filled until its vents run
     */
    public function __construct(
        public LevelMethod $method = LevelMethod::Stick,
        public bool $prefill = false,
        public ?Quantity $prefilled = null,
        public ?string $shareFirst = null,
        public ?int $run = null,
        public ?int $wait = null,
        public ?int $purge = null,
        public bool $vents = false,
    ) {
    }
}
