<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\StepVerb;

/** A V-belt: slack, off, pulleys looked at, on, tensioned, measured, and measured again when it has run. */
final readonly class VBelt extends OffAndOn
{
    protected function before(Part $part): array
    {
        $slack = $this->step(StepVerb::Slacken, $part, "Loosen the bolts that hold the tension of {$part->name}, and take the tension off.", cautions: [Caution::Belts]);
        $this->draft->needs($slack, StepVerb::CleanRound->at());

        return [$slack];
    }

    protected function off(Part $part): string
    {
        return "Lift {$part->name} off its pulleys, never with a lever over a rim";
    }

    protected function looks(Part $part): string
    {
        return "Look at {$part->name} and its pulleys: cracks, glaze, frayed cords; a groove that shines at the bottom; turn each pulley and listen.";
    }

    protected function compares(): string
    {
        return 'length and width, and the letters printed on it';
    }

    protected function cleans(Part $part): string
    {
        return "Wipe {$part->name} and the grooves dry: no oil, no belt spray.";
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['in every groove and inside every guide', 'then its tension: press it in the middle of its longest run, as its book says; without a figure by thumb, and said so'];
    }

    protected function tight(Part $part): string
    {
        return "Tighten the bolts that hold the tension of {$part->name}".($part->fitting->torque() === ''
            ? ': no torque is written down, so look it up; else snug plus an eighth of a turn, kept as by feel.'
            : " to {$part->fitting->torque()}.");
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [
            [StepVerb::Measure, "Measure how far {$part->name} gives, now that its bolts are tight.", Phase::Reach],
            [StepVerb::MeasureAgain, "Measure {$part->name} again, engine off, key out: a new belt gives a little once it has run.", Phase::Settle],
        ];
    }
}
