<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Schedule\State;

/** What a row tells of a spot: what its task's rule says, or what was found there, whichever is the harder. */
enum SpotState: string
{
    case Fresh = 'fresh';
    case Unknown = 'unknown';
    case Watch = 'watch';
    case Nearing = 'nearing';
    case Act = 'act';
    case Due = 'due';
    case Past = 'past';
    case StandDown = 'stand_down';

    public static function harder(State $standing, Verdict $found): self
    {
        $told = [self::from($standing->value), match ($found) {
            Verdict::Fit => self::Fresh,
            Verdict::Watch => self::Watch,
            Verdict::Act => self::Act,
            Verdict::StandDown => self::StandDown,
        }];
        usort($told, fn (self $one, self $other): int => $other->rank() <=> $one->rank());

        return $told[0];
    }

    private function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
