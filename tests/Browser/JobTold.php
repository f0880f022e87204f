<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Http\Visitor;
use Tests\ServedClock;

/** Tells the steps of a job as they are usually done, up to one, so that this one can be looked at. */
final readonly class JobTold
{
    private Visitor $keeper;

    public function __construct(string $address)
    {
        $this->keeper = new Visitor($address, 'rosa', 'coldbrook-rosa');
    }

    public function until(string $job, string $step): void
    {
        $known = $this->keeper->ask('GET', "/jobs/{$job}")['body'] ?? [];
        $notes = [];
        foreach ($known['steps'] as $one) {
            if ($one['key'] === $step) {
                break;
            }
            $notes[] = [
                'id' => sprintf('00000000-0000-4000-8000-%012d', count($notes)),
                'kind' => 'step',
                'at' => ServedClock::now()->format('Y-m-d\TH:i:s\Z'),
                'machine_id' => $known['machine_id'],
                'job' => $job,
                'step' => $one['key'],
                'did' => 'done',
                ...($one['asks']['kind'] ?? '') === 'ran_out' ? ['seen' => ['dark']] : [],
            ];
        }
        $this->keeper->ask('POST', '/notes', ['notes' => $notes]);
    }
}
