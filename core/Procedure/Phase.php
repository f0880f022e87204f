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
    /** What could start or spark is made dead, and dirt is kept out of what is opened. */
    case Guard;
    /** What was warmed runs out and is filled again, on level ground. */
    case Ground;
    case Raise;
    /** Hands are at the rest of the machine, and its engine stands. */
    case Reach;
    /** Fuel lines and a cooling system are rid of air before anything else runs. */
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
            self::Guard => [self::Warm],
            self::Ground => [self::Guard],
            self::Raise => [self::Ground],
            self::Reach => [self::Raise],
            self::Bleed => [self::Ground, self::Reach],
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

    /** @return list<self> what those follow that come after it where nothing is in it */
    public function otherwise(): array
    {
        // What is raised for nothing leaves hands free to go round the machine while oil drips.
        return $this === self::Raise ? [self::Guard] : $this->follows();
    }
}
