<?php

declare(strict_types=1);

namespace Core\Supply\Materials;

use Core\Machine\TaskKind;

/** A task to be done, with the places where it is done. */
final readonly class TaskWork
{
    /**
     * @param  list<TaskPlace>  $places
     * @param  string|null  $topUp  what runs out with the filters and is poured back, where only they are changed
     */
    public function __construct(public TaskKind $kind, public array $places, public ?string $topUp = null) {}
}
