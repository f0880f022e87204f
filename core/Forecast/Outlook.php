<?php

declare(strict_types=1);

namespace Core\Forecast;

use Brick\Math\BigDecimal;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;
use Core\Schedule\StandingWords;
use Core\Schedule\State;

/** What a whole rulebook says of one machine: its most urgent state, the task behind it, and why. */
final readonly class Outlook
{
    /** @param  list<TaskStanding>  $tasks most urgent first */
    private function __construct(
        public array $tasks,
        private ?Usage $hours,
        private ?Usage $km,
        private \DateTimeImmutable $today,
        private MeterUnit $distance,
    ) {}

    /**
     * @param  list<TaskStanding>  $tasks  in any order
     * @param  Usage|null  $hours  how the hours come, where that is known
     * @param  Usage|null  $km  how the kilometres come, where that is known
     * @param  MeterUnit  $distance  the unit that distances are told in
     */
    public static function of(
        array $tasks,
        ?Usage $hours,
        ?Usage $km,
        \DateTimeImmutable $today,
        MeterUnit $distance = MeterUnit::Kilometres,
    ): self {
        usort(
            $tasks,
            fn (TaskStanding $one, TaskStanding $other): int => $one->comesBefore($other)
                ? -1
                : (int) $other->comesBefore($one),
        );

        return new self($tasks, $hours, $km, $today, $distance);
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
            $unknown = array_filter(
                $this->tasks,
                fn (TaskStanding $task): bool => $task->standing->state === State::Unknown,
            );

            return count($unknown) === 1
                ? "{$leading->task->name}: ".Plain::within(StandingWords::why($leading->standing, $this->distance))
                : Plain::count(count($unknown), 'task').' have no history. Say when each was last done, or do it now.';
        }

        return rtrim(
            "{$leading->task->name}: ".Plain::within(
                StandingWords::why($leading->standing, $this->distance),
            )." {$this->expected($leading)}",
        );
    }

    private function expected(TaskStanding $leading): string
    {
        $limit = $leading->standing->limiting?->limit;
        [$use, $unit] = match ($limit) {
            Limit::Hours => [$this->hours, MeterUnit::Hours],
            Limit::Distance => [$this->km, $this->distance],
            default => [null, MeterUnit::Hours],
        };
        if ($use === null || $leading->when === null || ($leading->expectedDays ?? 0) <= 0) {
            return '';
        }
        $today = Day::number($this->today);
        $rate = Plain::number($unit->fromReckoned(BigDecimal::of(sprintf('%.1F', $use->perWeek($today)))));
        $unread = $use->unreadDays($today);
        $guess = $unread <= Usage::STALE_DAYS
            ? ''
            : ' Nobody has read this meter for '.Plain::count($unread, 'day').', so this is a guess.';

        return "At {$rate} {$unit->value} a week now that is {$leading->when->inWords($this->today)}.{$guess}";
    }
}
