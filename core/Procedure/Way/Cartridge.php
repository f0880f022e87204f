<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Machine\Subject;
use Core\Procedure\Part;
use Core\Procedure\PartTask;

/** An element under its own cover or in a canister: spring, rings, which end outward, mark in line. */
final readonly class Cartridge extends OffAndOn
{
    protected function off(Part $part): string
    {
        return "Pan under it; cover off crosswise in small steps, and draw {$part->name} out with its spring and rings";
    }

    protected function looks(Part $part): string
    {
        return "Look into the housing of {$part->name}: old rings out, spring there, no lint, the bottom clean.";
    }

    protected function compares(): string
    {
        return 'number, length, both ends, the hole for its stud';
    }

    protected function cleans(Part $part): string
    {
        return "Wash {$part->name} and blow it dry, no lint.";
    }

    protected function readies(Part $part, PartTask $task): array
    {
        return $this->labelled($part, $task);
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['its rings new and oiled, no flats', 'the right end outward and the spring in its place', 'cover with its mark in line', 'all bolts by hand first'];
    }

    protected function tight(Part $part): string
    {
        $torque = $part->fitting->torque();

        return $torque === ''
            ? "Tighten the cover of {$part->name} crosswise, in small steps: no torque is written down, so look it up; else snug plus an eighth of a turn, kept as by feel. A centre stud bends or snaps when it is overdone."
            : "Tighten the cover of {$part->name} crosswise, in small steps, to {$torque}.";
    }

    protected function cautions(Part $part): array
    {
        return $part->subject === Subject::Hydraulics ? [Caution::HotOil, Caution::Pressure] : [Caution::HotOil];
    }
}
