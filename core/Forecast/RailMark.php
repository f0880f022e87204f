<?php

declare(strict_types=1);

namespace Core\Forecast;

use Brick\Math\BigDecimal;
use Core\Meter\Limit;
use Core\Schedule\State;

/** One task's point on a rail, before those that stand together are made one stake. */
final readonly class RailMark
{
    /**
     * @param  bool  $byDate  placed where the machine will probably be on a date
     * @param  bool  $again  a repetition beyond the task's next point
     */
    public function __construct(
        public TaskStanding $task,
        public BigDecimal $at,
        public BigDecimal $earlyFrom,
        public State $state,
        public bool $byDate = false,
        public bool $again = false,
    ) {}

    /** The length of the rule's interval along the rail; nothing where it has none. */
    public function intervalLength(Limit $limit): float
    {
        return $this->task->standing->rule->every->length($limit)?->toFloat() ?? 0.0;
    }
}
