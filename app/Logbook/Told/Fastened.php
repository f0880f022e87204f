<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Logbook\Acts\Act;
use App\Machines\Spot;

/** Something was fitted and done up: it, or its seal, left the shelf. */
abstract readonly class Fastened extends Told
{
    public function __construct(
        Spot $spot,
        public Fastening $fastening = new Fastening,
        public ?string $words = null,
        Telling $telling = new Telling,
    ) {
        parent::__construct($spot, $telling);
    }

    public function ability(): string
    {
        return 'service';
    }

    public function columns(): array
    {
        return ['words' => $this->words];
    }

    public function hang(Act $act, Holdings $holdings): void
    {
        $columns = $this->fastening->columns();
        if ($columns !== []) {
            $act->setRelation('fitting', $act->fitting()->create($columns));
        }
        $holdings->takeWhatWasFitted($act, $this->spot);
    }
}
