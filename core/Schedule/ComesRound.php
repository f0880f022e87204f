<?php

declare(strict_types=1);

namespace Core\Schedule;

use Core\Machine\Task;

/** Tasks that contain each other, or go with each other, in a circle. */
final class ComesRound extends \InvalidArgumentException
{
    private function __construct(Task $task, public readonly bool $byContaining)
    {
        parent::__construct("{$task->name} would come round to itself.");
    }

    public static function byContaining(Task $task): self
    {
        return new self($task, true);
    }

    public static function byGoingWith(Task $task): self
    {
        return new self($task, false);
    }
}
