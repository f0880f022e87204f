<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\TestCase;
use Tests\Http\Visitor;
use Tests\Started;

/** A computer with 1 GiB of memory keeps a yard of 60 machines, its backup and its night's work included. */
final class SmallComputerTest extends TestCase
{
    private const MACHINES = 60;

    /** The system itself wants some of it. */
    private const MOST_MEGABYTES = 700;

    private Started $yard;

    protected function setUp(): void
    {
        $this->yard = new Started;
        putenv('JARDINIER_MEMORY_MB=1024');
    }

    protected function tearDown(): void
    {
        putenv('JARDINIER_MEMORY_MB');
        $this->yard->end();
    }

    public function test_sixty_machines_are_kept_in_one_gibibyte(): void
    {
        $this->yard->start();
        $rosa = new Visitor($this->yard->address(), 'rosa', 'coldbrook-rosa');
        for ($there = count($rosa->ask('GET', '/machines?limit=200')['body']['data']); $there < self::MACHINES; $there++) {
            self::assertSame(201, $rosa->ask('POST', '/machines', [
                'name' => "Egret {$there}", 'class' => 'tractor', 'place' => 'Barn', 'history' => 'new', 'at' => gmdate('Y-m-d'), 'began_on' => '2026-05-01',
                'meters' => [['unit' => 'h', 'value' => '10']],
                'rules' => [['task' => 'Oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => '50']]],
            ])['status']);
        }
        $most = 0;
        foreach (range(1, self::MACHINES) as $machine) {
            foreach (["/machines/{$machine}", "/machines/{$machine}/plate", "/machines/{$machine}/compartments", '/machines?limit=200', '/needs'] as $path) {
                Visitor::together(array_map(fn (int $_): \CurlHandle => $rosa->request('GET', $path), range(1, 4)));
            }
            $most = max($most, $this->resident());
        }
        $backup = $this->yard->begin(['backup', $this->yard->state().'/one.backup', '--verify', '--port', (string) $this->yard->port]);
        while (proc_get_status($backup)['running']) {
            $most = max($most, $this->resident());
            usleep(100_000);
        }
        proc_close($backup);
        self::assertLessThan(self::MOST_MEGABYTES, $most);
        fwrite(STDERR, sprintf("\n%d machines, read by four at once and backed up meanwhile: %d MB resident at most\n", self::MACHINES, $most));
    }

    /** In megabytes, of all that the yard runs: what several share counts once. */
    private function resident(): int
    {
        $kilobytes = 0;
        $named = array_filter(
            array_map(intval(...), array_map(basename(...), glob('/proc/[0-9]*') ?: [])),
            fn (int $pid): bool => str_contains((string) @file_get_contents("/proc/{$pid}/cmdline"), "yard-{$this->yard->port}"),
        );
        foreach (array_unique([...$this->yard->processes(), ...$named]) as $pid) {
            preg_match('/^Pss:\s+(\d+)/m', (string) @file_get_contents("/proc/{$pid}/smaps_rollup"), $found);
            $kilobytes += (int) ($found[1] ?? 0);
        }

        return intdiv($kilobytes, 1024);
    }
}
