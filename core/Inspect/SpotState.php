<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Machine\Verdict;
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
        return self::hardest(self::ofStanding($standing), self::ofVerdict($found));
    }

    public static function ofStanding(State $standing): self
    {
        return self::from($standing->value);
    }

    public static function ofVerdict(Verdict $found): self
    {
        return match ($found) {
            Verdict::Fit => self::Fresh,
            Verdict::Watch => self::Watch,
            Verdict::Act => self::Act,
            Verdict::StandDown => self::StandDown,
        };
    }

    /** Of nothing told at all: fresh. */
    public static function hardest(self ...$told): self
    {
        return array_reduce(
            $told,
            fn (self $hardest, self $one): self => $one->rank() > $hardest->rank() ? $one : $hardest,
            self::Fresh,
        );
    }

    private function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
