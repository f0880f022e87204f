<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\RoundingMode;
use Core\Forecast\WeeklyUse;
use Core\Measure\Plain;
use Core\Meter\MeterUnit;

/** What a whole rulebook says of one machine: its most urgent state, the task behind it, and why. */
final readonly class Outlook
{
    /** @param  list<TaskStanding>  $tasks most urgent first */
    private function __construct(
        public array $tasks,
        private WeeklyUse $hours,
        private \DateTimeImmutable $today,
        private MeterUnit $distance,
    ) {
    }

    /**
     * @param  list<TaskStanding>  $tasks  in any order
     * @param  WeeklyUse  $hours  engine hours a week
     * @param  MeterUnit  $distance  the unit that distances are told in
     */
    public static function of(array $tasks, WeeklyUse $hours, \DateTimeImmutable $today, MeterUnit $distance = MeterUnit::Kilometres): self
    {
        usort($tasks, fn (TaskStanding $one, TaskStanding $other): int => $one->comesBefore($other) ? -1 : (int) $other->comesBefore($one));

        return new self($tasks, $hours, $today, $distance);
    }

    /** The task to look at first, or null for an empty rulebook. */
    public function leading(): ?TaskStanding
    {
        return $this->tasks[0] ?? null;
    }

    public function state(): State
    {
        return $this->leading()?->standing->state ?? State::Unknown;
    }

    /** Days until the first point of all, or null where nobody can tell. */
    public function expectedDays(): ?int
    {
        return $this->leading()?->expectedDays;
    }

    public function why(): string
    {
        $leading = $this->leading();
        if ($leading === null) {
            return 'The rulebook is empty, so nothing can fall due.';
        }
        if ($leading->standing->state === State::Unknown) {
            $unknown = array_filter($this->tasks, fn (TaskStanding $task): bool => $task->standing->state === State::Unknown);

            return count($unknown) === 1 ? "{$leading->task->name}: ".Plain::within($leading->standing->why($this->distance))
                : Plain::count(count($unknown), 'task').' have no history. Say when each was last done, or do it now.';
        }

        return rtrim("{$leading->task->name}: ".Plain::within($leading->standing->why($this->distance))." {$this->expected($leading)}");
    }

    private function expected(TaskStanding $leading): string
    {
        $days = $leading->expectedDays;
        if ($days === null || $days <= 0 || $leading->standing->limiting?->limit !== Limit::Hours) {
            return '';
        }
        $day = $days === 1 ? 'tomorrow' : 'about '.Plain::nearDay(Day::after($this->today, $days), $this->today);

        return sprintf('At %s h a week that is %s.', Plain::number($this->hours->perWeek->toScale(1, RoundingMode::HALF_UP)), $day);
    }
}
