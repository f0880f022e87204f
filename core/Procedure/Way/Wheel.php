<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Procedure\Part;
use Core\Procedure\StepVerb;

/** A wheel: on its stand, nuts crosswise by torque, and again after its first hours. */
final readonly class Wheel extends OffAndOn
{
    protected function before(Part $part): array
    {
        $loose = $this->step(StepVerb::Slacken, $part, "Break the nuts of {$part->name} loose while it stands on the ground; then jack it up at its point, onto a stand, the others chocked.", cautions: [Caution::OffTheGround]);
        $this->draft->needs($loose, StepVerb::CleanRound->at());

        return [$loose];
    }

    protected function off(Part $part): string
    {
        return "Take {$part->name} off";
    }

    protected function looks(Part $part): string
    {
        return "Look at {$part->name}, its studs and seats: cracks, oval holes, rust under the nuts.";
    }

    protected function compares(): string
    {
        return 'size, bolt circle, which way it rolls';
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['all nuts by hand, cone to seat', 'drawn in crosswise', 'let down off its stand'];
    }

    protected function tight(Part $part): string
    {
        $torque = $part->fitting->torque();

        return "Tighten the nuts of {$part->name} crosswise".($torque === ''
            ? ': no torque is written down, so look it up before it moves'
            : " to {$torque}").'; and again after its first hours of use.';
    }
}
