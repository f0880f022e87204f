<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use Core\Measure\Day;
use Core\Schedule\State;

/** A task of a machine with the days on which it will probably fall due. */
final readonly class DueTask
{
    /**
     * @param  string  $cycle  tells whether it was done since
     * @param  list<int>  $days  since 1970, the first however far off; empty where nobody can tell
     */
    public function __construct(
        public int $ruleId,
        public int $machineId,
        public State $state,
        public string $cycle,
        public array $days,
    ) {}

    public function isDueBy(int $day): bool
    {
        return ($this->days !== [] && $this->days[0] <= $day)
            || in_array($this->state, [State::Due, State::Past], true);
    }

    public function day(): ?\DateTimeImmutable
    {
        return $this->days === [] ? null : Day::of($this->days[0]);
    }
}
