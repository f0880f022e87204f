<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Machine\Subject;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\StepVerb;

/** A filter between two hoses: the arrow towards the engine, clamps that hold and cut nothing. */
final readonly class InLine extends OffAndOn
{
    protected function off(Part $part): string
    {
        return "A rag under it; clamps back and hoses off {$part->name}, twisted and not pulled";
    }

    protected function looks(Part $part): string
    {
        return "Look into {$part->name} and at the hose ends: water, dirt, a nick, a bore stretched by too big a spigot.";
    }

    protected function compares(): string
    {
        return 'number, spigots, the arrow';
    }

    protected function cleans(Part $part): string
    {
        return "Wash {$part->name} out and blow it through from the clean side.";
    }

    protected function readies(Part $part, PartTask $task): array
    {
        return $this->labelled($part, $task);
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return [$part->fitting->orientation === '' ? 'the arrow towards the engine' : '', 'hoses right over the beads', 'clamps behind the beads: they hold, and cut nothing'];
    }

    protected function isTightened(Part $part): bool
    {
        return $part->fitting->torque() !== '';
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [[StepVerb::LookOver, "Look along the line of {$part->name}: dry, nothing rubs, nothing touches a hot part.", Phase::Reach]];
    }

    protected function cautions(Part $part): array
    {
        return $part->subject === Subject::Fuel ? [Caution::Fuel] : [];
    }
}
