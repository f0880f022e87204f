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
    /** Position on the rail. */
    public BigDecimal $at;

    /** Where the widest early window begins. */
    public BigDecimal $earlyFrom;

    public State $state;

    /** Whether only repetitions beyond a task's next point fall due here. */
    public bool $again;

    /** Whether it is placed where the machine will probably be on a date, not where the meter must stand. */
    public bool $byDate;

    /** @var non-empty-list<Task> the one with the longest interval first */
    public array $tasks;

    /**
     * @param  non-empty-list<RailMark>  $marks  the one with the longest interval first
     * @param  string|null  $interval  the longest interval in words
     * @param  Passage|null  $when  the day it falls due, as surely as that is known
     * @param  array{BigDecimal, BigDecimal}|null  $band  between which positions the rail will probably stand on that
     *     day; null where that is certain or not told
     */
    public function __construct(
        array $marks,
        public ?string $interval,
        public ?Passage $when = null,
        public ?array $band = null,
    ) {
        [$this->at, $this->byDate] = [$marks[0]->at, $marks[0]->byDate];
        $this->earlyFrom = BigDecimal::min(...array_map(fn (RailMark $mark): BigDecimal => $mark->earlyFrom, $marks));
        $this->again = array_filter($marks, fn (RailMark $mark): bool => ! $mark->again) === [];
        $this->state = array_reduce(
            $marks,
            fn (State $state, RailMark $mark): State => $mark->state->isMoreUrgentThan($state) ? $mark->state : $state,
            $marks[0]->state,
        );
        $this->tasks = array_map(fn (RailMark $mark): Task => $mark->task->task, $marks);
    }

    /** `100 h, engine oil and 2 more` */
    public function label(): string
    {
        $more = count($this->tasks) - 1;

        return ($this->interval === null ? '' : $this->interval.', ').Plain::within($this->tasks[0]->name).($more === 0 ? '' : ' and '.Plain::number(BigDecimal::of($more)).' more');
    }
}
