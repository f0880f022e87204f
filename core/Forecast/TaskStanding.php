<?php

declare(strict_types=1);

namespace Core\Forecast;

use Core\Machine\Task;
use Core\Measure\Day;
use Core\Meter\Limit;
use Core\Schedule\Standing;

/** Where one task of one machine stands, and when its point will be reached as the machine is used. */
final readonly class TaskStanding
{
    /** The day its first point is reached, or was; null where nobody can tell. */
    public ?Passage $when;

    /** Days until then: below zero once it has passed, null where nobody can tell. */
    public ?int $expectedDays;

    /** @var array{int, int, float} smaller is looked at sooner */
    private array $order;

    /**
     * @param  Usage|null  $hours  how the hours come, where that is known
     * @param  Usage|null  $km  how the kilometres come, where that is known
     */
    public function __construct(
        public Task $task,
        public Standing $standing,
        ?Usage $hours,
        ?Usage $km,
        \DateTimeImmutable $today,
    ) {
        $today = Day::number($today);
        $passages = $standing->isCalled() ? [Passage::on($today)] : [];
        foreach ($standing->points as $point) {
            $reached = ! $point->remaining->isPositive();
            $use = $point->limit === Limit::Distance ? $km : $hours;
            $passages[] = match (true) {
                $point->limit === Limit::Date => $reached
                    ? Passage::on($point->at->toInt())
                    : Passage::on($point->at->toInt())->notBefore($today),
                $reached => $use?->passage($point->at) ?? Passage::on($today),
                default => $use?->passageFrom($today, $point->at),
            };
        }
        $passages = array_values(array_filter($passages));
        $this->when = $passages === [] ? null : Passage::firstOf($passages);
        $this->expectedDays = $this->when === null ? null : $this->when->p50 - $today;
        $this->order = [
            -$standing->state->rank(),
            $this->expectedDays ?? PHP_INT_MAX,
            -$standing->shareUsed()->toFloat(),
        ];
    }

    /**
     * Whether a keeper should look at this one before another: the more urgent state, then the sooner, then the more
     * used.
     */
    public function comesBefore(self $other): bool
    {
        return $this->order < $other->order;
    }
}
