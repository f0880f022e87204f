<?php

declare(strict_types=1);

namespace Core\Schedule;

use Core\Machine\Task;

/** A task of a rulebook with its rule, and how it hangs together with the others. */
final readonly class RulebookLine
{
    /**
     * @param  Rule|null  $rule  null where it only ever goes with another task
     * @param  string|null  $goesWith  the task in whose course it is done as well
     */
    public function __construct(public Task $task, public ?Rule $rule, public ?string $goesWith = null) {}
}
