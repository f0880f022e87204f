<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\StepVerb;

/** Brake pads or shoes: both sides, measured, bolts by torque, the pedal pumped hard before it moves. */
final readonly class Pads extends OffAndOn
{
    protected function off(Part $part): string
    {
        return "Both sides, one after the other: take {$part->name} out, the caliper hung up and not by its hose; push its piston back slowly";
    }

    protected function looks(Part $part): string
    {
        return "Measure what is left of {$part->name}, left and right alike; look at the disc or drum, the hose and for wet.";
    }

    protected function compares(): string
    {
        return 'shape, thickness, springs and clips';
    }

    protected function cleans(Part $part): string
    {
        return "Brush {$part->name} out; no oil or grease on the lining, and do not breathe the dust.";
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['no grease on lining or disc', 'springs and clips as they were', 'bolts by hand first'];
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [[StepVerb::Pedal, 'Pump the pedal hard before it moves: hard and high, held half a minute. A soft or uneven pedal stands the machine down.', Phase::Reach]];
    }

    protected function cautions(Part $part): array
    {
        return [Caution::OffTheGround];
    }
}
