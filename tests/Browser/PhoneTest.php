<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The same flows with a phone, 390x844. */
final class PhoneTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->browser->resize(Browser::PHONE);
    }

    public function test_hours_are_logged_with_large_keys_and_taken_back(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open('/');
        $this->find($machine['name']);
        $this->assertNothingSticksOut();
        $this->browser->press('Log hours');
        $this->browser->see('Last reading 90.0 h');
        $this->browser->press('The meter shows more');
        $this->browser->press('The meter shows more');
        self::assertSame('90.2', $this->browser->value('The meter shows'));
        $this->assertTargetsAreLarge('[role=dialog] button, [role=dialog] input, [role=dialog] select');
        $this->browser->press('Log 90.2 h');
        $this->browser->see('90.2 h logged.');
        $this->browser->press('Undo');
        $this->browser->see('Taken back.');
        $this->browser->see('90.0 h');
    }

    public function test_the_log_line_works_by_thumb(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open('/');
        $this->browser->type('Log line', "{$machine['name']} 91.1");
        $this->browser->see('Enter saves.');
        $this->assertNothingSticksOut();
        $this->browser->keys(self::ENTER);
        $this->browser->see('91.1 h logged.');
    }

    public function test_an_implausible_reading_and_a_service(): void
    {
        $machine = $this->machine('96');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Log hours');
        $this->browser->type('The meter shows', '970');
        $this->browser->press('Log 970 h');
        $this->browser->see('Did you mean 97?');
        $this->assertNothingSticksOut();
        $this->browser->press('Yes, log 97');
        $this->browser->see('97 h logged.');

        $this->browser->press('Record service');
        $this->browser->see('Last reading 97.0 h, today');
        $this->assertNothingSticksOut();
        $this->assertTargetsAreLarge('main button, main label:has(input)');
        $this->browser->press('Engine oil');
        $this->browser->press('Deck underside');
        $this->browser->press('Record 2 tasks done');
        $this->browser->see('service recorded');
        $this->browser->press('Rulebook');
        $this->browser->see('Due at 197 h');
        $this->assertNothingSticksOut();
    }

    public function test_the_places_are_within_thumb_reach(): void
    {
        $this->signIn();
        $this->browser->open('/');
        $bottom = (int) $this->browser->script(
            'return Math.round(document.querySelector("nav").getBoundingClientRect().bottom)',
        );

        self::assertSame(Browser::PHONE[1], $bottom);
        $ways = [
            'Under way' => ['Bench'],
            'Correct' => ['More', 'Logbook'],
            'One measure in another' => ['Logbook', 'Reckoner'],
            'Bittern' => ['Yard'],
        ];
        foreach ($ways as $shows => $presses) {
            foreach ($presses as $name) {
                $this->browser->press($name);
            }
            $this->browser->see($shows);
            $this->assertNothingSticksOut();
        }
    }

    private function assertNothingSticksOut(): void
    {
        self::assertLessThanOrEqual(
            Browser::PHONE[0],
            (int) $this->browser->script('return document.documentElement.scrollWidth'),
            "{$this->browser->path()} is wider than the phone",
        );
    }

    private function assertTargetsAreLarge(string $selector): void
    {
        $small = $this->browser->script(
            'return [...document.querySelectorAll(arguments[0])].filter(e => e.offsetParent && e.getBoundingClientRect().height < 47.5 && !e.closest("label")).map(e => e.outerHTML.slice(0, 120))',
            $selector,
        );
        self::assertSame([], $small);
    }
}
