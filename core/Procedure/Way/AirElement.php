<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Part;
use Core\Procedure\School;
use Core\Procedure\StepVerb;

/** An air element: the box is vacuumed before it is opened, and nothing lies under the lid. */
final readonly class AirElement extends OffAndOn
{
    protected function before(Part $part): array
    {
        if (self::liesInside($part)) {
            return [];
        }
        $vacuum = $this->step(StepVerb::Vacuum, $part, "Vacuum or wipe the box of {$part->name} before it is opened: what lies there falls into the engine.");
        $this->draft->needs($vacuum, StepVerb::CleanRound->at());

        return [$vacuum];
    }

    protected function off(Part $part): string
    {
        return self::liesInside($part)
            ? "Draw {$part->name} out straight, without knocking dust into the clean side"
            : "Lid off, and lift {$part->name} out without knocking it";
    }

    protected function looks(Part $part): string
    {
        return "Hold {$part->name} against the light: holes, oil, a dent in its rim; no dust on the clean side of the box.";
    }

    protected function compares(): string
    {
        return 'length, both ends, the rim';
    }

    protected function cleans(Part $part): string
    {
        return "Clean {$part->name}: {$this->machine->schools->airCleaner()}. One that is torn, oily or wet is replaced.";
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return [
            "its seat {$this->machine->schools->says(School::ElementSeat)}",
            $part->fitting->inWords() === '' ? '' : self::byHand($part),
            self::liesInside($part) ? 'the box wiped, pressed home all round' : 'the box wiped, nothing under the edge of the lid, every clip home',
        ];
    }

    /** Under something else, which is off already. */
    private static function liesInside(Part $part): bool
    {
        return $part->fitting->under !== [];
    }

    protected function isTightened(Part $part): bool
    {
        return $part->fitting->torque() !== '';
    }
}
