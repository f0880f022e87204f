<?php

declare(strict_types=1);

namespace Tests\Http;

use Illuminate\Support\Str;

/** Notes as a device sends them. */
abstract class WalkTestCase extends TestCase
{
    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    protected function note(int $machine, string $kind, array $more = []): array
    {
        $at = $more['at'] ?? '2026-05-14T08:00:00Z';

        return [
            'id' => (string) Str::uuid(),
            'kind' => $kind,
            'at' => $at,
            'machine_id' => $machine,
            ...($kind === 'reading' ? [] : ['round' => ['kind' => 'daily', 'started_at' => substr($at, 0, 10).'T07:00:00Z']]),
            ...$more,
        ];
    }

    /**
     * A look that found nothing wrong, unless said otherwise.
     *
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    protected function look(int $machine, string $subject, array $more = []): array
    {
        return $this->note($machine, 'look', ['check' => $subject, 'said' => 'fine', ...$more]);
    }

    /**
     * @param  list<array<string, mixed>>  $notes
     * @return list<array<string, mixed>>
     */
    protected function send(array $notes): array
    {
        return $this->postJson('/api/notes', ['notes' => $notes])->assertOk()->json('results');
    }
}
