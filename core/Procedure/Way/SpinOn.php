<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Machine\Subject;
use Core\Procedure\Draft;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\School;
use Core\Procedure\ServicedMachine;
use Core\Procedure\StepVerb;

/** A filter that turns off and on by hand: the old gasket must come off with it. */
final readonly class SpinOn extends OffAndOn
{
    /** @param  bool  $prefills  whether one that hangs upright is filled first */
    public function __construct(Draft $draft, ServicedMachine $machine, private bool $prefills = false)
    {
        parent::__construct($draft, $machine);
    }

    protected function off(Part $part): string
    {
        return "Pan under it; turn {$part->name} off, open end up";
    }

    protected function looks(Part $part): string
    {
        return "Did the old gasket of {$part->name} come off with it? Two gaskets pump all the oil out. Look at the seat, and wipe it clean.";
    }

    protected function compares(): string
    {
        return 'number, height, thread, gasket';
    }

    protected function cleans(Part $part): string
    {
        return "Wipe {$part->name} clean outside; it goes on again.";
    }

    protected function readies(Part $part, PartTask $task): array
    {
        return $this->labelled($part, $task);
    }

    protected function seated(Part $part, bool $isNew): array
    {
        $schools = $this->machine->schools;
        $isSaid = $part->fitting->inWords() !== '' || $part->fitting->torque() !== '';

        return ["its gasket {$schools->says(School::Gasket)}", $isSaid ? self::byHand($part) : $schools->says(School::SpinOn)];
    }

    protected function isTightened(Part $part): bool
    {
        return $part->fitting->torque() !== '';
    }

    protected function isPrefilled(Part $part): bool
    {
        return $this->prefills && $part->fitting->isUpright();
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [[StepVerb::LookOver, "Look over {$part->name} and what runs beside it: nothing touches a hot part, no line is nicked, every clamp holds.", Phase::Reach]];
    }

    protected function cautions(Part $part): array
    {
        return $part->subject === Subject::Hydraulics ? [Caution::HotOil, Caution::Pressure] : [Caution::HotOil];
    }
}
