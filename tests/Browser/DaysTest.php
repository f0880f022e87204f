<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Days;
use Tests\Ports;

/** The demo as it lays itself out on other days, each in a real browser on a server of its own. */
final class DaysTest extends TestCase
{
    /** @var resource|null */
    private static $server;

    private static ?Browser $browser = null;

    protected function tearDown(): void
    {
        self::$browser?->quit();
        self::$browser = null;
        if (self::$server !== null) {
            posix_kill(-proc_get_status(self::$server)['pid'], SIGTERM);
            proc_close(self::$server);
            self::$server = null;
        }
    }

    #[DataProvider('days')]
    public function test_every_stake_of_the_yard_is_seen_heard_and_pressed(string $moment): void
    {
        $browser = self::$browser = new Browser(self::serve($moment));
        $browser->signIn('rosa', 'coldbrook-rosa');
        foreach ([[Browser::DESK, 24], [Browser::PHONE, 48]] as [$size, $least]) {
            $browser->resize($size);
            $browser->open('/yard');
            $browser->see('Bittern');
            $stakes = (int) $browser->asyncScript(<<<'JS'
                const done = arguments[arguments.length - 1];
                fetch('/api/machines?limit=200').then(answer => answer.json()).then(({data}) => done(data.filter(line => !line.stood_down).reduce((sum, line) => sum + line.rail.stakes.length, 0)));
                JS);
            $browser->until(
                fn (): bool => $stakes === (int) $browser->script(
                    'return [...document.querySelectorAll("[data-stakes]")].reduce((sum, mark) => sum + Number(mark.dataset.stakes), 0)',
                ),
                "all {$stakes} stakes",
            );
            self::assertGreaterThan(60, $stakes);
            self::assertSame([], $browser->missedMarks($least), implode('x', $size));
            self::assertSame([], $browser->barriers(), implode('x', $size));
        }
        self::assertSame([], $browser->complaints());
    }

    /** @return iterable<string, array{string}> */
    public static function days(): iterable
    {
        foreach (['clocks go back on a 26th', 'the day it failed'] as $name) {
            yield $name => [Days::all()[$name]];
        }
    }

    private static function serve(string $moment): string
    {
        $root = dirname(__DIR__, 2);
        $port = Ports::free();
        $settings = [...getenv(), 'DB_DATABASE' => 'jardinier_days', 'CLOCK_AHEAD_SECONDS' => (string) (strtotime($moment) - time()), 'SESSION_DRIVER' => 'file', 'CACHE_STORE' => 'array', 'PHP_CLI_SERVER_WORKERS' => '3',
            'APP_CONFIG_CACHE' => '/nonexistent/config.php', 'APP_ROUTES_CACHE' => '/nonexistent/routes.php'];
        $log = ['file', getenv('JARDINIER_STATE').'/log/days.log', 'a'];
        self::assertSame(
            0,
            proc_close(
                proc_open(
                    ['php', 'artisan', 'demo:load', '--reset'],
                    [['file', '/dev/null', 'r'], $log, $log],
                    $pipes,
                    $root,
                    $settings,
                ),
            ),
        );
        self::$server = proc_open(
            [
                'setsid',
                'php',
                '-d',
                'opcache.enable_cli=1',
                '-S',
                "127.0.0.1:{$port}",
                "{$root}/vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php",
            ],
            [['file', '/dev/null', 'r'], $log, $log],
            $pipes,
            "{$root}/public",
            $settings,
        )
            ?: null;
        for ($try = 0; $try < 100 && @file_get_contents("http://127.0.0.1:{$port}/api/session") === false; $try++) {
            usleep(100_000);
        }

        return "http://127.0.0.1:{$port}";
    }
}
