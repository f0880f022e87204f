<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Machine\Subject;
use Core\Procedure\Part;

/** Anything else that comes off and goes on again. */
final readonly class Bolted extends OffAndOn
{
    protected function off(Part $part): string
    {
        return "Take off {$part->name}";
    }

    protected function cautions(Part $part): array
    {
        return match ($part->subject) {
            Subject::Cutting => [Caution::Blades],
            Subject::Fuel => [Caution::Fuel],
            Subject::Belts => [Caution::Belts],
            Subject::Hydraulics => [Caution::Pressure],
            Subject::Wheels, Subject::Brakes => [Caution::OffTheGround],
            Subject::Exhaust => [Caution::Exhaust],
            Subject::Safety => [Caution::Switches],
            default => [],
        };
    }
}
