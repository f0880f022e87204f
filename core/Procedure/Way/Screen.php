<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Machine\Subject;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\StepVerb;

/** A screen, strainer or magnet: washed, its magnet looked at, its ring seen to. */
final readonly class Screen extends OffAndOn
{
    protected function off(Part $part): string
    {
        return $part->in === null ? "Draw {$part->name} out" : "Pan under it; draw {$part->name} out";
    }

    protected function looks(Part $part): string
    {
        return "Look at what {$part->name} caught: lint, grit, slivers, what hangs on a magnet.";
    }

    protected function cleans(Part $part): string
    {
        return "Wash {$part->name} in clean solvent, blow it through from inside, and look for a tear.";
    }

    protected function isTightened(Part $part): bool
    {
        return $part->fitting->torque() !== '';
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [[StepVerb::LookOver, "Look over {$part->name}: seated all round, nothing pinched.", Phase::Reach]];
    }

    protected function cautions(Part $part): array
    {
        return match ($part->subject) {
            Subject::Hydraulics => [Caution::HotOil, Caution::Pressure],
            Subject::Fuel => [Caution::Fuel],
            Subject::EngineOil, Subject::GearOil => [Caution::HotOil],
            default => [],
        };
    }
}
