<?php

declare(strict_types=1);

namespace Core\Supply;

use Core\Fluid\Sheet\CompartmentSheet;
use Core\Fluid\Sheet\OpeningSheet;
use Core\Machine\Spot;

/** A spot of a task with what is written down of it and of the places where it is opened. */
final readonly class TaskPlace
{
    /**
     * @param  list<array{Spot, OpeningSheet, int}>  $openings  of a compartment, each with how often its seal was used
     *     again
     * @param  int  $timesReused  of a part's own seal
     */
    public function __construct(
        public Spot $spot,
        public ?CompartmentSheet $compartment = null,
        public array $openings = [],
        public ?PartSheet $part = null,
        public int $timesReused = 0,
    ) {
    }
}
