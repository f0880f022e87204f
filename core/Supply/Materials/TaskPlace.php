<?php

declare(strict_types=1);

namespace Core\Supply\Materials;

use Core\Fluid\Sheet\CompartmentSheet;
use Core\Machine\OpeningRole;
use Core\Machine\Spot;
use Core\Supply\PartSheet;

/** A spot of a task with what is written down of it and of the places where it is opened. */
final readonly class TaskPlace
{
    /**
     * @param  CompartmentSheet|null  $compartment  of a compartment its own; of a part that of the compartment it sits in
     * @param  list<TaskOpening>  $openings  of a compartment
     * @param  list<Seal>  $seals  of a part
     * @param  int  $timesReused  how often the old seal of a part was used again
     */
    public function __construct(
        public Spot $spot,
        public ?CompartmentSheet $compartment = null,
        public array $openings = [],
        public ?PartSheet $part = null,
        public array $seals = [],
        public int $timesReused = 0,
    ) {}

    public function drains(): int
    {
        return count(array_filter(
            $this->openings,
            fn (TaskOpening $opening): bool => $opening->spot->role === OpeningRole::Drain,
        ));
    }

    public static function ofPart(Spot $spot, PartSheet $sheet, int $timesReused = 0, ?CompartmentSheet $in = null): self
    {
        return new self($spot, $in, part: $sheet, seals: Seal::list($sheet->fitting->seal), timesReused: $timesReused);
    }
}
