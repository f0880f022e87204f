<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Part;
use Core\Procedure\School;
use Core\Procedure\StepVerb;

/** A spark plug: blown round, read by its colour, threaded by hand. */
final readonly class SparkPlug extends OffAndOn
{
    protected function before(Part $part): array
    {
        $blow = $this->step(StepVerb::Vacuum, $part, "Engine cold. Twist the boot off {$part->name}, never by the cable, and blow the dirt out from round it: it falls into the cylinder.");
        $this->draft->needs($blow, StepVerb::CleanRound->at());

        return [$blow];
    }

    protected function off(Part $part): string
    {
        return "Turn {$part->name} out with a plug socket, held straight";
    }

    protected function looks(Part $part): string
    {
        return "Read {$part->name}: tan is fine, white lean, black rich, oily worn; every cylinder alike.";
    }

    protected function compares(): string
    {
        return "thread, reach, seat; the gap {$this->machine->schools->says(School::PlugGap)}";
    }

    protected function cleans(Part $part): string
    {
        return "Clean {$part->name} and set the gap as the book says; round edges, a crack or oil call for new ones.";
    }

    protected function seated(Part $part, bool $isNew): array
    {
        $isSaid = $part->fitting->inWords() !== '' || $part->fitting->torque() !== '';

        return ["the thread {$this->machine->schools->says(School::PlugThread)}", match (true) {
            $isSaid => self::byHand($part),
            $isNew => 'by hand to its seat, then about half a turn until its washer gives',
            default => 'by hand to its seat, then much less than half a turn: its washer has given already',
        }, 'boot on until it clicks'];
    }

    protected function isTightened(Part $part): bool
    {
        return $part->fitting->torque() !== '';
    }
}
