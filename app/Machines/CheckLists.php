<?php

declare(strict_types=1);

namespace App\Machines;

use Core\Inspect\Check;
use Core\Inspect\CheckChange;
use Core\Inspect\CheckList;
use Core\Inspect\LimitSource;
use Core\Machine\MachineClass;
use Core\Starter\Starters;

/**
 * The check sheets of the yard: what each class begins with, what the keeper changed for the class, then for the
 * machine.
 */
final class CheckLists
{
    /** @var array<string, CheckList> by class, before anybody changed anything */
    private array $begun = [];

    /** @var array<string, CheckList> by class */
    private array $ofClass = [];

    /** @var array<string, CheckList> by machine id and class */
    private array $ofMachine = [];

    /** @var array<int, list<CheckChange>> by machine id, of those that were read together */
    private array $changes = [];

    /**
     * Reads what was changed for many machines at once.
     *
     * @param  iterable<Machine>  $machines
     */
    public function read(iterable $machines): void
    {
        $ids = array_diff(collect($machines)->pluck('id')->all(), array_keys($this->changes));
        if ($ids === []) {
            return;
        }
        $changes = ChangedCheck::query()->whereIn('machine_id', $ids)->orderBy('id')->get()->groupBy('machine_id');
        foreach ($ids as $id) {
            $this->changes[$id] = array_values(
                ($changes[$id] ?? collect())->map(fn (ChangedCheck $change): CheckChange => $change->toCore())->all(),
            );
        }
    }

    public function of(Machine $machine): CheckList
    {
        $class = $machine->class;
        $this->ofClass[$class->value] ??= $this->begun($class)
            ->changed(self::changes(['class' => $class->value]), LimitSource::MachineClass);

        return $this->ofMachine["{$machine->id} {$class->value}"] ??= $this->ofClass[$class->value]->changed(
            $this->changes[$machine->id] ??= self::changes(['machine_id' => $machine->id]),
            LimitSource::Machine,
        );
    }

    /** @return array<string, list<string>> by spot, the checks that read its level, whether or not they are still asked */
    public function levelChecks(Machine $machine): array
    {
        $checks = [];
        foreach ([...$this->begun($machine->class)->checks, ...$this->of($machine)->checks] as $check) {
            if ($check->readsLevel()) {
                $checks[$check->manner->spot][] = $check->key;
            }
        }

        return $checks;
    }

    /** The check that reads the level of a compartment. */
    public function levelCheck(Machine $machine, string $spot): ?Check
    {
        foreach ($this->of($machine)->checks as $check) {
            if ($check->manner->spot === $spot && $check->readsLevel()) {
                return $check;
            }
        }

        return null;
    }

    /** What a class begins with. */
    private function begun(MachineClass $class): CheckList
    {
        return $this->begun[$class->value] ??= Starters::for($class)->checkList();
    }

    public function find(Machine $machine, ?string $key): ?Check
    {
        return $key === null ? null : $this->of($machine)->find($key);
    }

    /** Forgets what it has read, after the keeper changed something. */
    public function readAnew(): void
    {
        $this->ofClass = $this->ofMachine = $this->changes = [];
    }

    /**
     * @param  array<string, int|string>  $where
     * @return list<CheckChange>
     */
    private static function changes(array $where): array
    {
        return array_values(
            ChangedCheck::query()->where($where)
                ->orderBy('id')
                ->get()
                ->map(fn (ChangedCheck $change): CheckChange => $change->toCore())
                ->all(),
        );
    }
}
