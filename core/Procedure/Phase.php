<?php

declare(strict_types=1);

namespace Core\Procedure;

/** The parts of a service, one after the other wherever nothing says more. */
enum Phase
{
    /** The machine is made safe. */
    case Secure;
    /** What is read cold is read before anything runs. */
    case Cold;
    case Warm;
    case Raise;
    /** Hands are at the machine, and its engine stands. */
    case Reach;
    /** Fluid lines are rid of air before anything else runs. */
    case Bleed;
    /** What is off the ground for nothing but its purge. */
    case Lift;
    /** Wheels turn off the ground. */
    case Purge;
    case Lower;
    /** The engine runs with what was filled. */
    case Run;
    /** What is read soon after the run. */
    case Settle;
    case Leaks;
    /** What is read when it has cooled. */
    case Cool;
    case Try;
    case End;

    /** @return list<self> cooling and looking for leaks go on side by side */
    public function follows(): array
    {
        return match ($this) {
            self::Secure => [],
            self::Cold => [self::Secure],
            self::Warm => [self::Cold],
            self::Raise => [self::Warm],
            self::Reach => [self::Raise],
            self::Bleed => [self::Reach],
            self::Lift => [self::Bleed],
            self::Purge => [self::Lift],
            self::Lower => [self::Purge],
            self::Run => [self::Lower],
            self::Settle, self::Leaks => [self::Run],
            self::Cool => [self::Settle],
            self::Try => [self::Leaks, self::Cool],
            self::End => [self::Try],
        };
    }
}
