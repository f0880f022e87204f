<?php

declare(strict_types=1);

namespace Core\Schedule;

use Core\Forecast\WeeklyUse;

/** Where one task of one machine stands, and when its point will be reached at the machine's present use. */
final readonly class TaskStanding
{
    /** Days until the point: below zero once it has passed, null where nobody can tell. */
    public ?int $expectedDays;

    /** @var array{int, int, float} smaller is looked at sooner */
    private array $order;

    /**
     * @param  WeeklyUse  $hours  engine hours a week
     * @param  WeeklyUse  $km  kilometres a week
     */
    public function __construct(
        public Task $task,
        public Standing $standing,
        WeeklyUse $hours,
        WeeklyUse $km,
    ) {
        $days = [];
        foreach ($standing->points as $point) {
            $days[] = match ($point->limit) {
                Limit::Hours => $hours->daysUntil($point->remaining()),
                Limit::Distance => $km->daysUntil($point->remaining()),
                Limit::Date => $point->remaining()->toInt(),
            };
        }
        $known = array_filter($days, fn (?int $count): bool => $count !== null);
        $this->expectedDays = $known === [] ? null : min($known);
        $this->order = [-$standing->state->rank(), $this->expectedDays ?? PHP_INT_MAX, -$standing->shareUsed()->toFloat()];
    }

    /** Whether a keeper should look at this one before another: the more urgent state, then the sooner, then the more used. */
    public function comesBefore(self $other): bool
    {
        return $this->order < $other->order;
    }
}
