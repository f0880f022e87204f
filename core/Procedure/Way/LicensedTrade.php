<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Draft;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;

/** What nobody is led through here: a licensed trade does it, and its name is written down. */
final readonly class LicensedTrade implements PartWay
{
    public function __construct(private Draft $draft) {}

    public function steps(Part $part, PartTask $task): Ports
    {
        $this->draft->step(
            new StepKey(StepVerb::Licensed, $part->key),
            "{$part->name}: brakes beyond fluid and pads belong to a licensed mechanic. Have it done, keep the bill, and write down who did it. Nothing of it is led here.",
        );

        return new Ports;
    }
}
