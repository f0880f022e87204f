<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Rulebook\Standings\DueTask;
use Core\Form\Notation;
use Core\Machine\TaskKind;

/** Something to be done that somebody gets ready for: a task of a rulebook, or a thing at a spot that is replaced. */
final readonly class ReadyWork
{
    /**
     * @param  DueTask|null  $due  of a task: when it falls due
     * @param  bool  $isDone  since somebody began to get ready for it
     * @param  int  $visit  what is done to a machine on one visit is done together
     * @param  int|null  $day  since 1970, on which it will be done; null where that does not matter
     */
    public function __construct(
        public int $machineId,
        public string $machine,
        public ReadyTask $task,
        public ?DueTask $due = null,
        public bool $isDone = false,
        public int $visit = 0,
        public ?int $day = null,
    ) {}

    public function done(bool $isDone): self
    {
        return new self(...['isDone' => $isDone] + get_object_vars($this));
    }

    public function onVisit(int $visit, int $day): self
    {
        return new self(...['visit' => $visit, 'day' => $day] + get_object_vars($this));
    }

    public function takesAnything(): bool
    {
        return ! $this->isDone && ($this->task->kind === TaskKind::Replace || $this->task->kind === TaskKind::Clean);
    }

    /** @return array<string, mixed> as the contract's `ReadyWork` */
    public function toRecord(): array
    {
        return [
            'rule_id' => $this->due?->ruleId,
            'spot_id' => $this->due === null ? $this->task->spots[0] : null,
            'machine_id' => $this->machineId,
            'machine' => $this->machine,
            'name' => $this->task->name,
            'kind' => $this->task->kind->value,
            'state' => $this->due?->state->value,
            'day' => Notation::day($this->due?->day()),
            'is_done' => $this->isDone,
        ];
    }
}
