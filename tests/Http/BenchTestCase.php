<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Bench\Job;
use App\Bench\JobProgress;
use Illuminate\Testing\TestResponse;

/** A job walked through step by step, by whoever asks. Names and numbers are invented. */
abstract class BenchTestCase extends WalkTestCase
{
    protected int $machine;

    protected string $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->setUpMachine('Heron');
    }

    protected function setUpMachine(string $name): void
    {
        $this->machine = $this->machine([
            'name' => $name,
            'rules' => [
                [
                    'task' => 'Engine oil and filter',
                    'kind' => 'replace',
                    'spots' => ['engine_oil', 'engine_oil_filter'],
                    'every' => ['hours' => '100'],
                ],
                ['task' => 'Grease all points', 'kind' => 'lubricate', 'spots' => [], 'every' => ['hours' => '50']],
            ],
        ]);
        $this->log($this->machine, '125')->assertCreated();
        $this->sheetOf($this->machine, 'engine_oil', [
            'capacities' => [['amount' => '1.6-1.8 L', 'kind' => 'with_filter']],
            'specification' => ['kind' => 'engine_oil'],
            'service' => ['run' => 5],
        ]);
        $this->sheetOf($this->machine, 'engine_oil_drain', ['tool' => '17 mm', 'seal' => 'W 18', 'torque' => '22 ft-lb']);
        $this->sheetOf($this->machine, 'engine_oil_fill', ['tool' => '22 mm', 'torque' => '20 ft-lb']);
        $this->sheetOf($this->machine, 'engine_oil_filter', ['kind' => 'spin_on', 'number' => 'WD 15', 'hangs' => 'upright', 'drinks' => '0.2 L']);
    }

    /** @param  array<string, mixed>  $given */
    protected function make(array $given): TestResponse
    {
        $made = $this->postJson("/api/machines/{$this->machine}/jobs", $given);
        $this->job = (string) ($made->json('id') ?? '');

        return $made;
    }

    /** @return array<string, mixed> */
    protected function job(): array
    {
        return $this->getJson("/api/jobs/{$this->job}")->assertOk()->json();
    }

    /** @return array<string, mixed> */
    protected function stepOf(string $key): array
    {
        return array_column($this->job()['steps'], null, 'key')[$key];
    }

    /** @return list<int> ids of the machine's rules, by the beginning of their task's name */
    protected function rules(string ...$tasks): array
    {
        $ids = [];
        foreach ($this->getJson("/api/machines/{$this->machine}")->json('rules') as $rule) {
            foreach ($tasks as $task) {
                if (str_starts_with($rule['task'], $task)) {
                    $ids[] = $rule['id'];
                }
            }
        }

        return $ids;
    }

    /** @param  array<string, mixed>  $said */
    protected function step(string $step, string $did = 'done', array $said = []): TestResponse
    {
        return $this->tellAlone($this->machine, 'step', ['job' => $this->job, 'step' => $step, 'did' => $did, ...$said]);
    }

    /** @param  array<string, mixed>  $said */
    protected function signOff(array $said = []): TestResponse
    {
        return $this->tell($this->machine, 'sign_off', ['job' => $this->job, ...$said]);
    }

    /**
     * Does everything that can be done, as it is usually done, until nothing is left or a step is met.
     *
     * @param  array<string, array<string, mixed>>  $said  by step, what is otherwise than usual
     * @return list<string> the steps done
     */
    protected function walk(?string $until = null, array $said = []): array
    {
        $done = [];
        $steps = array_column($this->job()['steps'], null, 'key');
        for ($round = 0; $round < 300; $round++) {
            $ready = JobProgress::of(Job::query()->findOrFail($this->job))->progress->ready();
            $next = $ready[0] ?? null;
            if ($next === null) {
                return $done;
            }
            if (in_array($until, array_column($ready, 'key'), true)) {
                return $done;
            }
            $this->doStep($steps[$next->key], $said[$next->key] ?? []);
            $done[] = $next->key;
        }
        self::fail('The job never ends.');
    }

    /**
     * @param  array<string, mixed>  $step
     * @param  array<string, mixed>  $said
     */
    private function doStep(array $step, array $said): void
    {
        if ($step['takes_its_time']) {
            $this->travel($step['minutes'])->minutes();

            return;
        }
        if (! $step['attended']) {
            $this->step($step['key'], 'started')->assertCreated();
            $this->travel($step['minutes'])->minutes();
        }
        if (in_array($step['asks']['kind'] ?? '', ['pour', 'prefill'], true)) {
            $this->step($step['key'], 'poured', ['ml' => $said['ml'] ?? $step['asks']['stages'][0]['total_ml'] ?? 400])->assertCreated();
        }
        $this->step($step['key'], 'done', array_diff_key([...$this->usual($step), ...$said], ['ml' => true]))->assertCreated();
        $this->travel(30)->seconds();
    }

    /**
     * @param  array<string, mixed>  $step
     * @return array<string, mixed>
     */
    private function usual(array $step): array
    {
        return match ($step['asks']['kind'] ?? '') {
            'level' => ['level' => 20, 'answers' => array_column(array_map(fn (array $question): array => [
                'name' => $question['name'],
                'right' => array_values(array_filter($question['options'], fn (array $option): bool => $option['wrong'] === ''))[0]['value'],
            ], $step['asks']['questions']), 'right', 'name')],
            'judged' => ['verdict' => 'fit'],
            'ran_out' => ['seen' => ['dark']],
            default => [],
        };
    }
}
