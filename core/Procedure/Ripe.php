<?php

declare(strict_types=1);

namespace Core\Procedure;

/** When a step that takes its time is over: what is read before has not run down, and is no reading. */
final class Ripe
{
    /** Two clocks of one shed may differ by so many seconds. */
    private const LENIENCE = 15;

    /** @param  \DateTimeImmutable|null  $began  null where it has not begun */
    public static function at(Step $step, ?\DateTimeImmutable $began): ?\DateTimeImmutable
    {
        return $began?->add(new \DateInterval("PT{$step->minutes}M"));
    }

    /** Whether it may be told done at a moment. */
    public static function isTold(\DateTimeImmutable $ripe, \DateTimeImmutable $at): bool
    {
        return $ripe <= $at->add(new \DateInterval('PT'.self::LENIENCE.'S'));
    }

    /** Whole minutes that are left, at least one. */
    public static function minutesLeft(\DateTimeImmutable $ripe, \DateTimeImmutable $at): int
    {
        return max(1, (int) ceil(($ripe->getTimestamp() - $at->getTimestamp()) / 60));
    }
}
