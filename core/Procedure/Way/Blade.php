<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\StepVerb;

/** A blade: held with wood, its order and side marked, sharpened or new, balanced, turned once by hand. */
final readonly class Blade extends OffAndOn
{
    protected function before(Part $part): array
    {
        $mark = $this->step(StepVerb::Mark, $part, "Deck locked up or on stands. Mark {$part->name}: which side is down, which spindle, the order of caps and washers.", cautions: [Caution::Blades, Caution::OffTheGround]);
        $this->draft->needs($mark, StepVerb::CleanRound->at());

        return [$mark];
    }

    protected function off(Part $part): string
    {
        return "Hold {$part->name} with a block of wood, never by hand, and undo the bolt";
    }

    protected function looks(Part $part): string
    {
        return "Look at {$part->name} and the spindle: cracks, a bent wing, thin behind the edge, play in the bearing.";
    }

    protected function compares(): string
    {
        return 'length, hole, which way it lifts';
    }

    protected function cleans(Part $part): string
    {
        return "Sharpen {$part->name} at the angle that is ground on, the same at both ends, and leave it a little blunt at the tip.";
    }

    protected function readies(Part $part, PartTask $task): array
    {
        return [[StepVerb::Balance, "Balance {$part->name}: hung by the middle it stays level; take from the heavy end, behind the edge."]];
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['marked side down', 'caps and washers in their order', 'the blades of one deck staggered', 'bolt by hand first'];
    }

    protected function tight(Part $part): string
    {
        $torque = $part->fitting->torque();

        return "Hold {$part->name} with wood and tighten the bolt".($torque === ''
            ? ': no torque is written down, so look it up. A blade that comes off kills; until it is known, do not mow.'
            : " to {$torque}.");
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [[StepVerb::TurnByHand, "Turn {$part->name} once round by hand, with gloves: nothing touches, wood out.", Phase::Reach]];
    }
}
