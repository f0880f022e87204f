<?php

declare(strict_types=1);

namespace Core\Forecast;

use Brick\Math\BigDecimal;
use Core\Machine\Task;
use Core\Measure\Plain;
use Core\Schedule\State;

/** A mark on a rail where one or more tasks fall due together. */
final readonly class Stake
{
    /**
     * @param  BigDecimal  $at  position on the rail
     * @param  BigDecimal  $earlyFrom  where the widest early window begins
     * @param  bool  $again  only repetitions beyond a task's next point fall due here
     * @param  bool  $byDate  placed where the machine will probably be on a date, not where the meter must stand
     * @param  Passage|null  $when  the day it falls due, as surely as that is known
     * @param  array{BigDecimal, BigDecimal}|null  $band  between which positions the rail will probably stand on that
     *     day; null where that is certain or not told
     * @param  non-empty-list<Task>  $tasks  the one with the longest interval first
     * @param  string|null  $interval  the longest interval in words
     */
    public function __construct(
        public BigDecimal $at,
        public BigDecimal $earlyFrom,
        public State $state,
        public bool $again,
        public bool $byDate,
        public ?Passage $when,
        public ?array $band,
        public array $tasks,
        public ?string $interval,
    ) {
    }

    /** `100 h, engine oil and 2 more` */
    public function label(): string
    {
        $more = count($this->tasks) - 1;

        return ($this->interval === null ? '' : $this->interval.', ').Plain::within($this->tasks[0]->name).($more === 0 ? '' : ' and '.Plain::number(BigDecimal::of($more)).' more');
    }
}
