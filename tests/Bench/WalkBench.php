<?php

declare(strict_types=1);

namespace Tests\Bench;

use Tests\Browser\Browser;
use Tests\Http\Visitor;

/**
 * A walk on a slow phone, and what a phone kept being sent: each against the plainest way of doing the same, in turns
 * on one server.
 */
final readonly class WalkBench
{
    private const NOTES = 500;

    private const AT_ONCE = 100;

    private const TIMES_SLOWER = 4;

    private const LOADS = 5;

    public function __construct(private string $address, private string $public) {}

    public function run(): void
    {
        $this->sync();
        $this->firstCheck();
    }

    private function sync(): void
    {
        $keeper = new Visitor($this->address, 'bench', 'a good password');
        $together = $singly = [];
        for ($turn = 0; $turn < 3; $turn++) {
            $together[] = $this->send($keeper, self::notes(), self::AT_ONCE);
            $singly[] = $this->send($keeper, self::notes(), 1);
        }
        sort($together);
        sort($singly);
        printf(
            "walk     %d kept notes sent %d at once: %.1f s; one by one %.1f s: %.1f times as fast\n",
            self::NOTES,
            self::AT_ONCE,
            $together[1],
            $singly[1],
            $singly[1] / $together[1],
        );
    }

    /** @param  list<array<string, mixed>>  $notes */
    private function send(Visitor $keeper, array $notes, int $atOnce): float
    {
        $began = microtime(true);
        foreach (array_chunk($notes, $atOnce) as $some) {
            $answer = $keeper->ask('POST', '/notes', ['notes' => $some]);
            if (
                $answer['status'] !== 200
                || array_column($answer['body']['results'] ?? [], 'status') !== array_fill(0, count($some), 'written')
            ) {
                throw new \RuntimeException(
                    'The notes were not written: '.substr((string) json_encode($answer), 0, 300),
                );
            }
        }

        return microtime(true) - $began;
    }

    /** @return list<array<string, mixed>> a morning's rounds of 25 machines */
    private static function notes(): array
    {
        $at = (new \DateTimeImmutable('-10 minutes', new \DateTimeZone('UTC')))->format('Y-m-d\TH:i:s\Z');
        $id = fn (): string => preg_replace(
            '/^(.{8})(.{4})(.{3})(.{3})(.{12})$/',
            '$1-$2-4$3-8$4-$5',
            bin2hex(random_bytes(15)),
        )
            ?? '';

        return array_map(fn (int $number): array => ['id' => $id(), 'kind' => 'look', 'machine_id' => 4 * intdiv($number, 20) + 4, 'at' => $at, 'round' => [
            'kind' => 'daily',
            'started_at' => $at,
        ],
            'check' => ['leaks', 'engine_oil'][$number % 2], 'said' => 'fine'], range(0, self::NOTES - 1));
    }

    /**
     * Until the first check can be pressed, nothing kept on the device; against the same page as plain HTML, without a
     * script.
     */
    private function firstCheck(): void
    {
        $plain = "{$this->public}/build/bench-plain.html";
        $browser = new Browser($this->address, touch: true);
        try {
            $browser->signIn('bench', 'a good password');
            $browser->open('/walkaround/4/daily');
            $browser->see('Not run since');
            $html = (string) $browser->script(
                'document.querySelectorAll("script, link[rel=modulepreload], link[rel=manifest]").forEach(one => one.remove()); document.querySelectorAll("style").forEach(style => { style.textContent = [...style.sheet.cssRules].map(rule => rule.cssText).join("\n"); }); return "<!doctype html>" + document.documentElement.outerHTML',
            );
            file_put_contents($plain, $html);
            // Whoever serves it is another account where root measures.
            chmod($plain, 0o644);
            $browser->command('Emulation.setCPUThrottlingRate', ['rate' => self::TIMES_SLOWER]);
            $times = ['/walkaround/4/daily' => [], '/build/bench-plain.html' => []];
            for ($load = 0; $load < self::LOADS; $load++) {
                foreach (array_keys($times) as $path) {
                    $times[$path][] = $this->load($browser, $path);
                }
            }
        } finally {
            $browser->quit();
            @unlink($plain);
        }
        [$app, $page] = array_map(function (array $loads): float {
            sort($loads);

            return $loads[intdiv(count($loads), 2)];
        }, array_values($times));
        printf(
            "walk     phone, nothing kept, processor %d times slower: first check after %.0f ms, the same page as plain HTML after %.0f ms: %.1f times (aim: at most 4)\n",
            self::TIMES_SLOWER,
            $app,
            $page,
            $app / $page,
        );
    }

    /** @return float milliseconds from the start of the navigation until what can be pressed has been painted */
    private function load(Browser $browser, string $path): float
    {
        $browser->open('/api/pulse');
        $browser->command('Network.clearBrowserCache', []);
        $browser->command(
            'Storage.clearDataForOrigin',
            ['origin' => $this->address, 'storageTypes' => 'local_storage,indexeddb,service_workers,cache_storage'],
        );
        $browser->open($path);

        return (float) $browser->asyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            const look = () => [...document.querySelectorAll('button')].some(button => button.innerText.includes('Not run since'))
                ? requestAnimationFrame(() => done(performance.now()))
                : requestAnimationFrame(look);
            look();
            JS);
    }
}
