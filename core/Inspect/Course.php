<?php

declare(strict_types=1);

namespace Core\Inspect;

/** How a finding goes on. */
enum Course: string
{
    case New = 'new';
    case Same = 'same';
    case Worse = 'worse';
    case Better = 'better';
    case Mended = 'mended';
    case Gone = 'gone';
    case Accepted = 'accepted';

    public function label(): string
    {
        return match ($this) {
            self::New => 'seen for the first time',
            self::Same => 'seen again',
            self::Worse => 'worse',
            self::Better => 'better',
            self::Mended => 'mended',
            self::Gone => 'seen no more',
            self::Accepted => 'accepted and watched',
        };
    }
}
