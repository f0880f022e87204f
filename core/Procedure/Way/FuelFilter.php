<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\School;
use Core\Procedure\StepVerb;

/** A diesel's filter on its head: fitted dry and bled, or filled with clean fuel first. */
final readonly class FuelFilter extends OffAndOn
{
    protected function off(Part $part): string
    {
        return "A tray under it; take {$part->name} off its head";
    }

    protected function looks(Part $part): string
    {
        return "Did the old ring of {$part->name} come off with it? Look for water and dirt in it, and wipe the seat.";
    }

    protected function compares(): string
    {
        return 'number, height, thread, ring';
    }

    protected function readies(Part $part, PartTask $task): array
    {
        return $this->labelled($part, $task);
    }

    protected function seated(Part $part, bool $isNew): array
    {
        $isSaid = $part->fitting->inWords() !== '';

        return [
            $isNew ? $this->machine->schools->says(School::FuelFilter) : '',
            'its ring wetted with clean fuel',
            $isSaid ? self::byHand($part) : $this->machine->schools->says(School::SpinOn),
        ];
    }

    protected function isTightened(Part $part): bool
    {
        return $part->fitting->torque() !== '';
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [[StepVerb::LookOver, "Look along the lines of {$part->name}: dry, nothing rubs, nothing touches a hot part.", Phase::Reach]];
    }

    protected function cautions(Part $part): array
    {
        return [Caution::Fuel];
    }
}
