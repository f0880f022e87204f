<?php

declare(strict_types=1);

namespace Core\Schedule;

/** An early or late window that is not from nothing to the whole interval. */
final class NoWindow extends \InvalidArgumentException
{
    /** @param  string  $which  `early` or `late` */
    public function __construct(public readonly string $which)
    {
        parent::__construct('A window is a share of the interval, from 0 to 1.');
    }
}
