<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Machines\Spot;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\Verdict;

/** Something found is put right, or a part that wears is new: the finding ends, and a new line of wear begins. */
final readonly class PutRight extends Told
{
    /** @param  string  $check  the check that found it, or the finding of its own */
    public function __construct(Spot $spot, public string $check, Telling $telling = new Telling)
    {
        parent::__construct($spot, $telling);
    }

    public function kind(): ActKind
    {
        return ActKind::Looked;
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
        return ['check_key' => $this->check, 'outcome' => Outcome::PutRight, 'verdict' => Verdict::Fit];
    }
}
