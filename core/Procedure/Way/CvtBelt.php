<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Procedure\Part;
use Core\Procedure\StepVerb;

/** A belt between two sheaves: spread, arrow forward, turned until it rides high. */
final readonly class CvtBelt extends OffAndOn
{
    protected function before(Part $part): array
    {
        $cover = $this->step(StepVerb::Slacken, $part, "Cover of {$part->name} off with its gasket; spread the driven sheave with its tool.", cautions: [Caution::Belts]);
        $this->draft->needs($cover, StepVerb::CleanRound->at());

        return [$cover];
    }

    protected function off(Part $part): string
    {
        return "Roll {$part->name} out over the spread sheave";
    }

    protected function looks(Part $part): string
    {
        return "Look at {$part->name} and the sheaves: grooves, frayed cords, missing cogs, uneven wear; measure its width against the least.";
    }

    protected function compares(): string
    {
        return 'length, width, number, the arrow';
    }

    protected function cleans(Part $part): string
    {
        return "Wipe {$part->name} and the sheaves with a clean dry rag: no oil, no grease.";
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['its arrow forward, or its print to be read from above', 'spreader out', 'then turn the driven sheave six or seven times until the belt rides high'];
    }

    protected function tight(Part $part): string
    {
        $torque = $part->fitting->torque();

        return "Cover of {$part->name} on with a sound gasket, bolts by hand first, then crosswise".($torque === ''
            ? ': no torque is written down, so look it up; else snug plus an eighth of a turn, kept as by feel.'
            : " to {$torque}.");
    }
}
