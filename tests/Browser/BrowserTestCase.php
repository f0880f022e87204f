<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use Tests\Http\Visitor;
use Tests\ServedClock;

/** A person at a desk or with a phone, on the served demo estate. Every test works on a machine of its own. */
abstract class BrowserTestCase extends TestCase
{
    protected const ENTER = WebDriverKeys::ENTER;

    protected const RIGHT = WebDriverKeys::ARROW_RIGHT;

    protected const TAB = WebDriverKeys::TAB;

    protected const ESCAPE = WebDriverKeys::ESCAPE;

    private static ?Browser $shared = null;

    private static ?Visitor $keeper = null;

    protected Browser $browser;

    public static function setUpBeforeClass(): void
    {
        if (getenv('JARDINIER_URL') === false) {
            self::fail('Run these with ./jardinier test browser, which serves the application.');
        }
        self::$shared = new Browser(getenv('JARDINIER_URL'));
        self::$keeper ??= new Visitor(getenv('JARDINIER_URL'), 'rosa', 'coldbrook-rosa');
    }

    public static function tearDownAfterClass(): void
    {
        self::$shared?->quit();
        self::$shared = null;
    }

    protected function setUp(): void
    {
        assert(self::$shared !== null);
        $this->browser = self::$shared;
        $this->browser->resize(Browser::DESK);
        $this->browser->startAfresh();
    }

    protected function onNotSuccessfulTest(\Throwable $thrown): never
    {
        $folder = getenv('JARDINIER_STATE').'/failures';
        @mkdir($folder, recursive: true);
        $name = preg_replace('/\W+/', '-', $this->name());
        $this->browser->keepEvidence("{$folder}/{$name}");
        throw $thrown;
    }

    protected function signIn(string $name = 'rosa'): void
    {
        $this->browser->signIn($name, "coldbrook-{$name}");
    }

    /**
     * A mower of its own, entered through the API: oil every 100 h, last read at 90 h two days ago.
     *
     * @return array{id: int, name: string}
     */
    protected function machine(string $value = '90', string $class = 'rider_mower'): array
    {
        $name = 'Duck'.bin2hex(random_bytes(3));
        $day = ServedClock::now('-2 days')->format('Y-m-d');
        $deck = $class === 'rider_mower'
            ? ['spots' => ['deck']]
            : ['new_spots' => [['name' => 'Deck underside', 'kind' => 'plain', 'subject' => 'cutting']]];
        $answer = self::$keeper?->ask('POST', '/machines', [
            'name' => $name,
            'class' => $class,
            'place' => 'Test field',
            'history' => 'new',
            'at' => $day,
            'began_on' => '2025-01-01',
            'meters' => [
                ['unit' => 'h', 'value' => $value],
            ],
            'rules' => [
                ['task' => 'Engine oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => '100']],
                ['task' => 'Deck underside', 'kind' => 'clean', 'every' => ['hours' => '95'], ...$deck],
            ],
        ]);
        self::assertSame(201, $answer['status'] ?? 0, (string) json_encode($answer));

        return ['id' => $answer['body']['id'], 'name' => $name];
    }

    protected function keeper(): Visitor
    {
        return self::$keeper ?? throw new \LogicException('Nobody keeps the yard.');
    }

    /** @return array<string, mixed> what a walk round the machine is given */
    protected function walk(int $machine): array
    {
        return $this->keeper()->ask('GET', "/machines/{$machine}/walk")['body'] ?? [];
    }

    /** @return list<array<string, mixed>> */
    protected function entries(int $machine, string $kind): array
    {
        return $this->keeper()->ask('GET', "/machines/{$machine}/entries?kind={$kind}")['body']['data'] ?? [];
    }

    protected function find(string $name): void
    {
        $this->browser->type('Find by name', $name);
        $this->browser->until(
            fn (): bool => substr_count($this->browser->text(), 'read ') === 1
                && str_contains($this->browser->text(), $name),
            "{$name} alone on the sheet",
        );
    }

    protected function assertNoComplaints(): void
    {
        self::assertSame([], $this->browser->complaints());
    }

    /** The application lies on this device, and opens without signal. */
    protected function keptOnTheDevice(): void
    {
        $this->browser->until(
            fn (): bool => (bool) $this->browser->asyncScript(
                'const done = arguments[0]; navigator.serviceWorker.ready.then(() => caches.keys()).then(keys => done(keys.length > 0))',
            ),
            'the application to be kept on the device',
        );
    }
}
