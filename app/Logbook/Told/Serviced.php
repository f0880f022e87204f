<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Machines\Spot;
use Core\Machine\ActKind;

/** Something was done at a spot of which there is no more to say: cleaned, adjusted, run; or a task was ticked. */
final readonly class Serviced extends Told
{
    public function __construct(
        Spot $spot,
        public ActKind $kind,
        public string $check = '',
        public ?string $words = null,
        Telling $telling = new Telling,
    ) {
        parent::__construct($spot, $telling);
    }

    public function kind(): ActKind
    {
        return $this->kind;
    }

    public function ability(): string
    {
        return 'service';
    }

    public function check(): string
    {
        return $this->check;
    }

    public function columns(): array
    {
        return ['check_key' => $this->check, 'words' => $this->words];
    }
}
