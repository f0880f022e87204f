<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\StepVerb;

/** A raw-water impeller: water shut, vanes counted, a new gasket, and water within half a minute. */
final readonly class Impeller extends OffAndOn
{
    protected function before(Part $part): array
    {
        $shut = $this->step(StepVerb::ShutOff, $part, "Shut the water to {$part->name}, and hang a tag on the key.");
        $this->draft->needs($shut, StepVerb::CleanRound->at());

        return [$shut];
    }

    protected function off(Part $part): string
    {
        return "Cover off with its gasket; draw {$part->name} out, never with a blade against the housing";
    }

    protected function looks(Part $part): string
    {
        return "Count the vanes of {$part->name}: a missing one is looked for downstream until it is found. Look at the cover for grooves.";
    }

    protected function compares(): string
    {
        return 'size, key or spline, number of vanes';
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['a little jelly on its vanes, turned in its own way', 'a new gasket', 'cover bolts by hand first'];
    }

    protected function tight(Part $part): string
    {
        $torque = $part->fitting->torque();

        return "Tighten the cover of {$part->name} crosswise".($torque === ''
            ? ': no torque is written down, so look it up; else snug plus an eighth of a turn, kept as by feel.'
            : " to {$torque}.");
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [
            [StepVerb::TurnOn, "Open the water to {$part->name} again, tag off; look for a leak.", Phase::Reach],
            [StepVerb::Measure, "Start it and look overboard: water comes within half a minute, or stop at once and find out why ({$part->name}).", Phase::Try],
        ];
    }
}
