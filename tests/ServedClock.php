<?php

declare(strict_types=1);

namespace Tests;

/** The served application's clock, which stands on a day of its own. */
final class ServedClock
{
    /** @param  string  $later  as `-2 days` */
    public static function now(string $later = '+0 seconds'): \DateTimeImmutable
    {
        return (new \DateTimeImmutable('@'.(time() + (int) getenv('JARDINIER_CLOCK_AHEAD'))))->modify($later);
    }
}
