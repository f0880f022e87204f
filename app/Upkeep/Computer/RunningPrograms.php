<?php

declare(strict_types=1);

namespace App\Upkeep\Computer;

use App\Upkeep\StateFolder;
use Symfony\Component\Process\Process;

/** What the supervisor watches: whether it runs, since when, and how often it had to be started again. */
final class RunningPrograms
{
    private const TITLES = [
        'nginx' => 'Door to the web',
        'fpm' => 'Jardinier itself',
        'database' => 'Database',
        'clock' => 'Clock of the night\'s work',
        'night' => 'The night\'s work',
        'renewal' => 'Renewal of the certificate',
    ];

    /** @return list<array{name: string, title: string, runs: bool, since: string, restarts: int}> none where nothing supervises */
    public static function all(): array
    {
        $settings = StateFolder::path('run/supervisord.conf');
        if (! is_file($settings)) {
            return [];
        }
        $told = new Process(['supervisorctl', '--configuration', $settings, 'status']);
        $told->setTimeout(10)->run();
        preg_match_all('/^(\w+)\s+(\w+)\s*(?:pid \d+, uptime (.*))?/m', $told->getOutput(), $lines, PREG_SET_ORDER);
        $starts = self::starts();

        return array_map(fn (array $line): array => [
            'name' => $line[1],
            'title' => self::TITLES[$line[1]] ?? $line[1],
            'runs' => $line[2] === 'RUNNING',
            'since' => trim($line[3] ?? ''),
            'restarts' => max(0, ($starts[$line[1]] ?? 1) - 1),
        ], $lines);
    }

    /** @return array<string, int> by program, since the supervisor began; an end that was meant is none of them */
    private static function starts(): array
    {
        $log = (string) @file_get_contents(StateFolder::path('log/supervisord.log'));
        $began = strrpos($log, 'supervisord started');
        $since = $began === false ? $log : substr($log, $began);
        preg_match_all("/spawned: '(\w+)'/", $since, $spawned);
        preg_match_all('/exited: (\w+) \(exit status 0; expected\)/', $since, $meant);
        $starts = array_count_values($spawned[1]);
        foreach (array_count_values($meant[1]) as $program => $times) {
            $starts[$program] = ($starts[$program] ?? 0) - $times;
        }

        return $starts;
    }
}
