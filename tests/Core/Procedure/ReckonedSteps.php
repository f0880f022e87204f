<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Reckoner\Catalogue;

/** The steps of a service as the calculator gives them. */
trait ReckonedSteps
{
    /** @var array<string, array<string, mixed>> by key */
    private array $steps = [];

    /**
     * @param  list<array<string, mixed>>  $tasks
     * @param  list<array<string, mixed>>  $compartments
     * @param  list<array<string, mixed>>  $parts
     * @param  array<string, mixed>  $machine
     * @return array<string, mixed>
     */
    private function reckon(array $tasks, array $compartments, array $parts = [], array $machine = ['class' => 'tractor']): array
    {
        $answer = Catalogue::reckon('procedure', [
            'tasks' => $tasks,
            'compartments' => $compartments,
            'parts' => $parts,
            'machine' => $machine,
        ], new \DateTimeImmutable('2026-05-14'));
        $this->steps = array_column($answer['steps'], null, 'key');

        return $answer;
    }

    private function inThisOrder(string ...$keys): void
    {
        foreach ($keys as $at => $key) {
            self::assertArrayHasKey($key, $this->steps, implode(' ', array_keys($this->steps)));
            if ($at > 0) {
                self::assertContains($keys[$at - 1], $this->before($key), "{$keys[$at - 1]}, then {$key}");
            }
        }
    }

    /** @return list<string> all that must be done before a step */
    private function before(string $key): array
    {
        $before = [];
        $open = $this->steps[$key]['after'];
        while ($open !== []) {
            $one = array_pop($open);
            if (! in_array($one, $before, true)) {
                $before[] = $one;
                $open = [...$open, ...$this->steps[$one]['after']];
            }
        }

        return $before;
    }
}
