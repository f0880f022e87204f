<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Yard\Machine;

/** The machines whose kept lines must be made anew. */
final class Touched
{
    /** @var array<int, Machine> */
    private array $walked = [];

    /** @var array<int, Machine> */
    private array $reckoned = [];

    /** Something was looked at or greased. */
    public function walk(Machine $machine): void
    {
        $this->walked[$machine->id] = $machine;
    }

    /** What falls due, or whether it may be used, has changed too. */
    public function reckon(Machine $machine): void
    {
        $this->reckoned[$machine->id] = $machine;
    }

    /** @return list<int> */
    public function walked(): array
    {
        return array_keys($this->walked);
    }

    /** @return array<int, Machine> */
    public function reckoned(): array
    {
        return $this->reckoned;
    }
}
