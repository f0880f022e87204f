<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Tests\Http\Visitor;
use Tests\Started;

/** Served in the house: over HTTPS by names and addresses, with a door that tells how to trust it. */
final class LanTest extends TestCase
{
    private Started $yard;

    private int $door;

    private ?Browser $browser = null;

    protected function setUp(): void
    {
        $this->yard = new Started('https');
        $this->door = $this->yard->port + 3;
    }

    protected function tearDown(): void
    {
        $this->browser?->quit();
        $this->yard->end();
    }

    public function test_phones_of_the_house_trust_it_once_and_work_without_signal(): void
    {
        $out = $this->yard->start('--empty', '--lan', '--host', '127.0.0.2', '--door-port', (string) $this->door);
        $there = "https://127.0.0.2:{$this->yard->port}";
        self::assertStringContainsString("Jardinier is at {$there}", $out);
        self::assertStringContainsString("Phones in the house: http://127.0.0.2:{$this->door}", $out);
        self::assertStringContainsString('█', $out, 'as a code in the terminal');
        $tls = $this->yard->state().'/tls';
        foreach (['authority.key', 'served.key'] as $key) {
            self::assertSame(0, fileperms("{$tls}/{$key}") & 0077, "{$key} is nobody else's");
        }
        $this->assertDoorLeadsOnAndGivesNoKey();

        // Whoever does not trust it yet gets the page that helps, from the door and from the wrong scheme.
        $this->browser = new Browser("http://127.0.0.1:{$this->door}");
        foreach (["http://127.0.0.1:{$this->door}", "http://127.0.0.1:{$this->yard->port}"] as $address) {
            $this->browser->visit($address);
            $this->browser->see('Trust this computer once');
            $this->browser->see('Fetch the certificate');
        }
        $this->browser->resize(Browser::PHONE);
        self::assertSame([], $this->browser->barriers());
        $this->browser->quit();

        $this->firstKeeper();
        $name = strtolower(php_uname('n'));
        foreach (["https://localhost:{$this->yard->port}", "https://{$name}:{$this->yard->port}", $there] as $address) {
            if (gethostbyname((string) parse_url($address, PHP_URL_HOST)) === $name && $name !== 'localhost') {
                continue;
            }
            $this->browser = new Browser($address, trusts: "{$tls}/authority.crt");
            $this->browser->open('/');
            $this->browser->see('Sign-in name');
            if ($address !== $there) {
                $this->browser->quit();
            }
        }
        // Trusted, the door is passed without stopping.
        $this->browser->visit("http://127.0.0.2:{$this->door}");
        $this->browser->see('Sign-in name');
        $this->assertWorksWithoutSignal();
    }

    public function test_the_house_begins_empty_and_a_demo_in_it_has_passwords_that_nobody_knows(): void
    {
        $lan = ['--lan', '--host', '127.0.0.2', '--door-port', (string) $this->door];
        $out = $this->yard->start(...$lan);
        self::assertMatchesRegularExpression('/Code for the first keeper: [2-9A-Z]{4}-[2-9A-Z]{4}, for an hour/', $out);
        self::assertSame('0', $this->yard->row('select count(*) from people')[0]);
        [$code, $another] = $this->yard->jardinier('code', '--port', (string) $this->yard->port);
        self::assertSame(0, $code, $another);
        self::assertMatchesRegularExpression('/Code for the first keeper: [2-9A-Z]{4}-[2-9A-Z]{4}/', $another);
        $this->yard->jardinier('stop', '--port', (string) $this->yard->port);

        $out = $this->yard->start('--demo', ...$lan);
        self::assertStringNotContainsString('coldbrook-', $out);
        self::assertSame(1, preg_match('/rosa\s+(\w{14})\s/', $out, $password));
        $signIn = fn (string $secret): int => (new Visitor($this->yard->address(), 'nobody', 'nothing'))->ask('POST', '/session', ['sign_in_name' => 'rosa', 'password' => $secret])['status'];
        self::assertSame([422, 200], [$signIn('coldbrook-rosa'), $signIn($password[1])]);
        [$code, $again] = $this->yard->jardinier('demo', '--reset', '--port', (string) $this->yard->port);
        self::assertSame(0, $code, $again);
        self::assertMatchesRegularExpression('/rosa\s+\w{14}\s/', $again);
        self::assertSame(422, $signIn('coldbrook-rosa'), 'put back, it is nobody\'s to guess either');
        $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
        self::assertStringNotContainsString($password[1], $this->yard->start(...$lan), 'shown once');
        self::assertStringContainsString('--empty', $this->yard->jardinier('at-boot', '--print')[1]);
        self::assertStringNotContainsString('--empty', $this->yard->jardinier('at-boot', '--print', '--demo')[1]);
    }

    private function assertDoorLeadsOnAndGivesNoKey(): void
    {
        $get = function (string $path): array {
            $request = curl_init("http://127.0.0.1:{$this->door}{$path}");
            curl_setopt_array($request, [CURLOPT_RETURNTRANSFER => true]);

            return [(string) curl_exec($request), curl_getinfo($request, CURLINFO_RESPONSE_CODE), curl_getinfo($request, CURLINFO_CONTENT_TYPE), curl_getinfo($request, CURLINFO_REDIRECT_URL)];
        };
        [$body, $status, $type] = $get('/jardinier-authority.crt');
        self::assertSame([200, 'application/x-x509-ca-cert'], [$status, $type]);
        self::assertStringStartsWith('-----BEGIN CERTIFICATE-----', $body);
        foreach (['/walkaround/3?x=1', '/authority.key', '/../tls/authority.key', '/api/session', '/index.html'] as $path) {
            [$body, $status, , $to] = $get($path);
            self::assertSame(307, $status, $path);
            self::assertStringStartsWith("https://127.0.0.1:{$this->yard->port}/", $to);
            self::assertStringNotContainsString('PRIVATE', $body);
        }
    }

    private function firstKeeper(): void
    {
        $stranger = new Visitor($this->yard->address(), 'nobody', 'nothing');
        self::assertSame(201, $stranger->ask('POST', '/first-keeper', [
            'yard' => 'Longacre', 'time_zone' => 'UTC', 'distance_unit' => 'km', 'name' => 'Ida Holm', 'sign_in_name' => 'ida', 'password' => 'quite long enough',
        ])['status']);
        $keeper = new Visitor($this->yard->address(), 'ida', 'quite long enough');
        self::assertSame(201, $keeper->ask('POST', '/machines', [
            'name' => 'Heron', 'class' => 'zero_turn', 'place' => 'Barn', 'history' => 'new', 'at' => gmdate('Y-m-d'), 'began_on' => '2026-05-01',
            'meters' => [['unit' => 'h', 'value' => '10']], 'rules' => [],
        ])['status']);
    }

    private function assertWorksWithoutSignal(): void
    {
        $browser = $this->browser ?? throw new \LogicException('No browser.');
        $browser->resize(Browser::PHONE);
        $browser->signIn('ida', 'quite long enough');
        self::assertTrue($browser->script('return isSecureContext'));
        self::assertStringContainsStringIgnoringCase('secure', implode(' ', array_map(json_encode(...), $browser->cookies())));
        $browser->open('/walkaround/1/daily');
        $browser->see('Hour meter');
        $browser->until(
            fn (): bool => (bool) $browser->asyncScript('const done = arguments[0]; navigator.serviceWorker.ready.then(() => caches.keys()).then(keys => done(keys.length > 0))'),
            'the service worker',
        );
        $browser->outOfReach();
        $browser->type('It shows', '12');
        $browser->press('Log 12 h, first check');
        $browser->see('1 note waits to be sent');
        $browser->outOfReach(false);
        $browser->script('dispatchEvent(new Event("online"))');
        $keeper = new Visitor($this->yard->address(), 'ida', 'quite long enough');
        $browser->until(fn (): bool => $keeper->ask('GET', '/machines/1')['body']['line']['meters'][0]['value'] === '12', 'the note to be sent');
    }
}
