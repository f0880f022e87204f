<?php

declare(strict_types=1);

namespace Core\Supply\Materials;

use Core\Fluid\Sheet\OpeningSheet;
use Core\Machine\Spot;

/** A place where a compartment is opened, by what its opening takes. */
final readonly class TaskOpening
{
    /**
     * @param  string  $tool  with its size
     * @param  list<Seal>  $seals
     * @param  string  $sealant  what its thread takes, where it takes any
     * @param  int  $timesReused  how often the old seal was used again
     */
    public function __construct(
        public Spot $spot,
        public string $tool = '',
        public array $seals = [],
        public string $sealant = '',
        public int $timesReused = 0,
    ) {}

    public static function of(Spot $spot, OpeningSheet $sheet, int $timesReused = 0): self
    {
        return new self($spot, $sheet->tool, Seal::list($sheet->seal), $sheet->sealant, $timesReused);
    }
}
