<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Logbook\Acts\Act;
use App\Machines\Machine;
use App\Machines\Spot;
use Core\Machine\ActKind;

/**
 * One thing told of a spot, whichever door it came in by: a round, the log line, a form, a service, a correction, the
 * bench. It knows what it is as an act and what hangs on that, what there is to ask of it, and who may tell it;
 * {@see WriteTold} writes it down.
 */
abstract readonly class Told
{
    public function __construct(public Spot $spot, public Telling $telling = new Telling) {}

    abstract public function kind(): ActKind;

    /** What of {@see \App\Machines\MachinePolicy} somebody must be allowed. */
    abstract public function ability(): string;

    /** @return array<string, mixed> those columns of its act that are its own */
    public function columns(): array
    {
        return [];
    }

    /** The check, or the finding of its own, that it speaks of; empty for neither. */
    public function check(): string
    {
        return '';
    }

    /**
     * As it is written: what nobody said is found out, like the container that it was poured out of.
     *
     * @return static
     */
    public function settled(Machine $machine, Holdings $holdings): self
    {
        return $this;
    }

    /** @return list<Question> */
    public function questions(Machine $machine, Holdings $holdings): array
    {
        return [];
    }

    /** @return list<Told> what is found because of it */
    public function brings(Machine $machine, Holdings $holdings): array
    {
        return [];
    }

    /** Writes down what belongs to its act and has a table of its own. */
    public function hang(Act $act, Holdings $holdings): void {}

    /** The same, at another spot. */
    public function at(Spot $spot): static
    {
        // @phpstan-ignore new.static (each kind's constructor takes what the kind holds)
        return new static(...['spot' => $spot] + get_object_vars($this));
    }
}
