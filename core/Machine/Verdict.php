<?php

declare(strict_types=1);

namespace Core\Machine;

/** What a check says of a machine, mildest first. */
enum Verdict: string
{
    case Fit = 'fit';
    case Watch = 'watch';
    case Act = 'act';
    /** Not to be used until a keeper or mechanic lifts it. */
    case StandDown = 'stand_down';

    public function label(): string
    {
        return $this === self::StandDown ? 'stand down' : $this->value;
    }

    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    public function isWorseThan(?self $other): bool
    {
        return $this->rank() > ($other?->rank() ?? -1);
    }

    /** The hardest of some verdicts, fit where there are none. */
    public static function hardest(self ...$verdicts): self
    {
        $hardest = self::Fit;
        foreach ($verdicts as $verdict) {
            $hardest = $verdict->isWorseThan($hardest) ? $verdict : $hardest;
        }

        return $hardest;
    }
}
