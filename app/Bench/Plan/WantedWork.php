<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use App\Machines\Spot;
use Core\Machine\TaskKind;
use Illuminate\Support\Collection;

/** Something that a job is made of: a task of the rulebook, something found, a part that is replaced, or a point that is greased. */
final readonly class WantedWork
{
    /**
     * @param  Collection<int, Spot>  $spots  where it is done
     * @param  string|null  $check  the check by which it is done, or that found it
     */
    public function __construct(
        public string $name,
        public TaskKind $kind,
        public Collection $spots,
        public ?int $ruleId = null,
        public ?int $taskId = null,
        public ?string $check = null,
        public ?string $finding = null,
    ) {}

    /** @return array<string, mixed> as the contract's `JobTask` */
    public function toRecord(): array
    {
        return [
            'rule_id' => $this->ruleId,
            'finding' => $this->finding,
            'name' => $this->name,
            'kind' => $this->kind->value,
            'spots' => $this->spots->pluck('key')->all(),
            'task_id' => $this->taskId,
            'check' => $this->check,
        ];
    }
}
