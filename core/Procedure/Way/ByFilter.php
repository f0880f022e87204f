<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\Part;
use Core\Procedure\StepVerb;
use Core\Procedure\Workpiece;

/** By what comes off below, a filter or a screen, whose own steps lie round the dripping. */
final readonly class ByFilter implements Empties
{
    /** @param  list<Part>  $parts  by which it runs out */
    public function __construct(private Draft $draft, private RunsOut $runsOut, private array $parts) {}

    public function steps(Circuit $circuit, Compartment $housing): Ports
    {
        $proved = $this->runsOut->proved($circuit);
        $air = $this->runsOut->airIn($circuit);
        $looked = [];
        foreach ($this->parts as $part) {
            [$remove, $fit] = [StepVerb::Remove->at($part->key), StepVerb::Fit->at($part->key)];
            $this->draft->needs($remove, $proved);
            $this->draft->waits($remove, $air);
            $looked[] = $look = $this->runsOut->drips($circuit, $housing, new Workpiece($part->key), $part->name, $remove);
            $this->draft->waits($fit, $look);
            $this->runsOut->overAPan($remove, $fit);
        }

        return new Ports([...$proved, ...$air], $looked);
    }
}
