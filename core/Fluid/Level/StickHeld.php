<?php

declare(strict_types=1);

namespace Core\Fluid\Level;

/** How a stick is held while it is read. */
enum StickHeld: string
{
    case Rested = 'rested';
    case Screwed = 'screwed';

    public function inWords(): string
    {
        return match ($this) {
            self::Rested => 'stick rested on its threads',
            self::Screwed => 'stick screwed in',
        };
    }

    public function inProtocol(): string
    {
        return match ($this) {
            self::Rested => 'stick wiped and rested on its threads',
            self::Screwed => 'stick wiped and screwed in',
        };
    }

    public function toDo(): string
    {
        return match ($this) {
            self::Rested => 'Wipe the stick and only rest it on its threads.',
            self::Screwed => 'Wipe the stick and screw it right in.',
        };
    }
}
