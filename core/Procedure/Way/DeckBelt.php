<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\StepVerb;

/** A mower's deck belt: its run is drawn first, for nobody remembers it. */
final readonly class DeckBelt extends OffAndOn
{
    protected function before(Part $part): array
    {
        $mark = $this->step(StepVerb::Mark, $part, "Mower's drive off. Draw or photograph how {$part->name} runs, inside and outside of every idler and guide.", cautions: [Caution::Belts]);
        $this->draft->needs($mark, StepVerb::CleanRound->at());
        $slack = $this->step(StepVerb::Slacken, $part, "Covers off; take the tension off {$part->name} at its idler, hand clear of the spring.");
        $this->draft->needs($slack, $mark);

        return [$mark, $slack];
    }

    protected function off(Part $part): string
    {
        return "Lift {$part->name} off";
    }

    protected function looks(Part $part): string
    {
        return "Look at {$part->name}, every idler and pulley: cracks, glaze, a bearing that rumbles, a groove that shines at the bottom.";
    }

    protected function compares(): string
    {
        return 'length, width, number';
    }

    protected function cleans(Part $part): string
    {
        return "Scrape grass out of the grooves and wipe {$part->name} dry.";
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['run as it was drawn, inside every guide', 'idler sprung on', 'covers on'];
    }

    protected function isTightened(Part $part): bool
    {
        return $part->fitting->torque() !== '';
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [[StepVerb::TurnByHand, "Turn {$part->name} once round by hand: it stays in every groove.", Phase::Reach]];
    }
}
