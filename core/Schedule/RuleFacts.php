<?php

declare(strict_types=1);

namespace Core\Schedule;

use Core\Machine\Point;

/** What is on record of one rule of one machine. */
final readonly class RuleFacts
{
    /**
     * @param  Point|null  $start  the machine's beginning, where that counts as the last time it was done
     * @param  list<Point>  $done  in any order
     * @param  list<Point>  $skipped  the points passed over on purpose, in any order
     * @param  Call|null  $call  what a check has said since it was last done
     * @param  string  $apart  which of its spots were not done with the others
     */
    public function __construct(
        public ?Point $start = null,
        public array $done = [],
        public array $skipped = [],
        public ?Call $call = null,
        public string $apart = '',
    ) {}
}
