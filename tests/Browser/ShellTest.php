<?php

declare(strict_types=1);

namespace Tests\Browser;

/** What stands round every place. */
final class ShellTest extends BrowserTestCase
{
    public function test_a_page_says_what_it_is_while_the_book_is_still_read(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open('/');
        $this->browser->see('Bittern');
        $this->browser->command('Network.setBypassServiceWorker', ['bypass' => true]);
        foreach (['/yard' => 'Yard', '/logbook' => 'Logbook', "/machines/{$machine['id']}" => 'Yard', "/machines/{$machine['id']}/service" => 'Yard', '/walkaround' => 'Walkaround', "/walkaround/{$machine['id']}" => 'Walkaround'] as $path => $place) {
            $this->browser->command('Fetch.enable', ['patterns' => [['urlPattern' => '*/api/*']]]);
            $this->browser->open($path);
            $this->browser->see('Reading the book …');
            self::assertStringContainsString($place, $this->browser->text(), $path);
            $this->browser->command('Fetch.disable', []);
            $this->browser->notSee('Reading the book …');
        }
        $this->assertNoComplaints();
    }

    public function test_what_was_typed_into_the_sheets_filter_takes_nobody_back_who_is_on_the_way_elsewhere(): void
    {
        $this->signIn();
        $this->browser->open('/');
        $this->browser->see('Bittern');
        $this->browser->command('Network.setBypassServiceWorker', ['bypass' => true]);
        $this->browser->onEveryPage(
            'window.wentTo = []; for (const way of ["pushState", "replaceState"]) { const go = history[way]; history[way] = function (...given) { wentTo.push(given[2]); return go.apply(this, given); }; }',
        );
        $this->browser->open('/yard');
        $this->browser->see('Bittern');
        $this->browser->command('Network.setCacheDisabled', ['cacheDisabled' => true]);
        $this->browser->command(
            'Network.emulateNetworkConditions',
            ['offline' => false, 'latency' => 700, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
        );
        $this->browser->type('Find by name', 'coot');
        $this->browser->press('Reckoner');
        $this->browser->see('One measure');

        self::assertSame('/reckoner', $this->browser->path());
        self::assertSame('/reckoner', $this->browser->script('return wentTo.at(-1)'), 'the way there was the last');
        $this->browser->command('Network.setCacheDisabled', ['cacheDisabled' => false]);
        $this->browser->command('Network.setBypassServiceWorker', ['bypass' => false]);
    }

    public function test_the_keys_that_are_listed_are_those_of_the_places(): void
    {
        $this->signIn();
        $this->browser->open('/');
        $this->browser->see('Bittern');
        $this->browser->keys('?');
        $this->browser->see('Walk the stakes, or the spots');
        $listed = $this->browser->script(
            'return [...document.querySelectorAll("[role=dialog] section[aria-label=Everywhere] dt")].map(key => [key.innerText, key.nextElementSibling.innerText]).filter(([key]) => /^\d$/.test(key))',
        );
        $this->browser->press('Close');

        self::assertContains(['2', 'Walkaround'], $listed);
        foreach ($listed as [$key, $place]) {
            $this->browser->keys($key);
            $this->browser->until(
                fn (): bool => $this->browser->script(
                    'return document.querySelector("nav [aria-current=page]")?.firstChild.textContent',
                ) === $place,
                "key {$key} to lead to {$place}",
            );
        }
    }
}
