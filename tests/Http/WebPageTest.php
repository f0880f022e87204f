<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Role;
use PHPUnit\Framework\Attributes\TestWith;

/** The web application's own page, and what comes with it. */
final class WebPageTest extends TestCase
{
    public function test_what_an_address_will_ask_for_first_comes_with_the_page_as_its_own_door_tells_it(): void
    {
        $machine = $this->machine();
        foreach (["/walkaround/{$machine}/daily" => '/machines/{machine}/walk', "/machines/{$machine}/plate" => '/machines/{machine}'] as $page => $path) {
            $given = $this->given($page);
            $key = ['get', $path, ['params' => ['path' => ['machine' => $machine]]]];
            self::assertSame([['get', '/session'], ['get', '/yard'], $key], array_column($given, 'key'));
            foreach (['/api/session', '/api/yard', '/api'.str_replace('{machine}', (string) $machine, $path)] as $index => $address) {
                self::assertEquals($this->getJson($address)->json(), $given[$index]['answer'], $address);
            }
        }
    }

    public function test_a_stranger_and_the_page_that_devices_keep_for_everybody_are_told_nothing(): void
    {
        $machine = $this->machine();
        self::assertSame([], $this->given('/'), 'kept on the device whoever signs in there');
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        self::assertSame([], $this->given("/walkaround/{$machine}/daily"));
    }

    #[TestWith(['/walkaround/99999/daily'])]
    #[TestWith(['/machines/99999'])]
    public function test_of_a_machine_that_is_none_the_page_comes_all_the_same(string $page): void
    {
        $this->as(Role::Reader);
        $this->machine();
        self::assertSame([['get', '/session'], ['get', '/yard']], array_column($this->given($page), 'key'));
    }

    public function test_what_somebody_wrote_cannot_end_the_page_early(): void
    {
        $machine = $this->machine(['name' => '</script><script>alert(1)</script>']);
        $page = $this->get("/machines/{$machine}")->assertOk();
        self::assertStringNotContainsString('<script>alert', (string) $page->getContent());
        self::assertSame('</script><script>alert(1)</script>', $this->given("/machines/{$machine}")[2]['answer']['name']);
        self::assertStringContainsString('no-store', (string) $page->headers->get('Cache-Control'));
    }

    public function test_a_device_is_told_the_time_and_the_zone_of_the_yard_and_never_by_the_page_that_is_kept(): void
    {
        $this->machine();
        $this->travelTo('2026-03-29 00:59:30.250');
        $clock = fn (string $page): ?string => $this->all($page)['clock'];

        self::assertSame(['2026-03-29T00:59:30.250+00:00', null], [$clock('/yard'), $clock('/')]);
        $session = $this->getJson('/api/session');
        self::assertSame('2026-03-29T00:59:30.250+00:00', $session->headers->get('Jardinier-Clock'));
        self::assertSame('Europe/London', $session->json('time_zone'));
    }

    /** @return list<array<string, mixed>> */
    private function given(string $page): array
    {
        return $this->all($page)['answers'];
    }

    /** @return array{clock: string|null, answers: list<array<string, mixed>>} */
    private function all(string $page): array
    {
        $html = (string) $this->get($page)->assertOk()->getContent();
        self::assertSame(1, preg_match('~<script type="application/json" id="given">(.*)</script>~', $html, $part));

        return json_decode($part[1], true, flags: JSON_THROW_ON_ERROR);
    }
}
