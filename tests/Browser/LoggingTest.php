<?php

declare(strict_types=1);

namespace Tests\Browser;

/** What a meter shows, logged at a desk, 1280x800. */
final class LoggingTest extends BrowserTestCase
{
    public function test_finding_a_machine_and_logging_its_hours_from_the_rail(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open('/');
        $this->find($machine['name']);
        self::assertStringContainsString(
            "name={$machine['name']}",
            $this->browser->path(),
            'the address names what is shown',
        );

        $this->browser->press("Log hours for {$machine['name']}");
        $this->browser->see('Last reading 90.0 h');
        $this->browser->type('The meter shows', '97,5');
        $this->browser->press('Log 97,5 h');
        $this->browser->see("{$machine['name']}: 97.5 h logged.");
        $this->browser->see('97.5 h');
        $this->browser->see('Deck underside: due at 95 h');
        $this->assertNoComplaints();
    }

    public function test_the_log_line_says_what_it_will_do_and_does_it_on_enter(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open('/');
        $this->browser->press('Logbook');
        $this->browser->see('Correct');
        $this->browser->keys('/');
        $this->browser->keys(mb_strtolower($machine['name']).' +4.5');
        $this->browser->see("{$machine['name']} at 94.5 h. 94.5 is 4.5 h more than 90");
        $this->browser->keys(self::ENTER);
        $this->browser->see("{$machine['name']}: 94.5 h logged.");

        $this->browser->keys('/');
        $this->browser->keys('ostrich 3');
        $this->browser->see('No machine of this yard is named');
        $this->browser->open('/yard');
        self::assertSame('ostrich 3', $this->browser->value('Log line'), 'what was typed survives');
    }

    public function test_an_implausible_reading_is_asked_about_kept_and_confirmed_with_a_reason(): void
    {
        $machine = $this->machine('24.6');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Log hours');
        $this->browser->type('The meter shows', '412.6');
        $this->browser->press('Log 412.6 h');
        $this->browser->see('412.6 is 388 h more than 24.6');
        $this->browser->see('Did you mean 41.6 or 42.6?');
        self::assertSame('412.6', $this->browser->value('The meter shows'));

        $this->browser->type('Why 412.6 is right', 'The old meter was wired wrong');
        $this->browser->press('Log 412.6 with this reason');
        $this->browser->see('412.6 h logged.');
        $this->browser->press('Book');
        $this->browser->see('Confirmed: The old meter was wired wrong');
    }

    public function test_the_likely_value_is_one_press_away(): void
    {
        $machine = $this->machine('40.5');
        $this->signIn();
        $this->browser->open('/');
        $this->browser->keys('/');
        $this->browser->keys(mb_strtolower($machine['name']).' 438', self::ENTER);
        $this->browser->see('Did you mean 43.8?');
        $this->browser->press('Yes, log 43.8');
        $this->browser->see("{$machine['name']} at 43.8 h");
        $this->browser->keys(self::ENTER);
        $this->browser->see('43.8 h logged.');
    }

    public function test_a_meter_is_replaced_and_the_machine_goes_on_counting(): void
    {
        $machine = $this->machine('90');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Replace this meter');
        $this->browser->type('The old meter showed last', '92');
        $this->browser->type('The new meter shows', '0');
        $this->browser->press('Replace the meter');
        $this->browser->see('meter replaced.');
        $this->browser->see('92.0 h run in all');
        $this->browser->see('replaced meter, last read today');
    }

    public function test_what_was_typed_survives_the_end_of_the_session_and_arrives_after_signing_in_again(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Log hours');
        $this->browser->type('The meter shows', '93.3');
        $this->browser->type('Note', 'Long grass');
        $this->browser->command('Network.clearBrowserCookies', []);
        $this->browser->press('Log 93.3 h');
        $this->browser->see('kept on this device');

        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->see('Sign-in name');
        $this->browser->type('Sign-in name', 'rosa');
        $this->browser->type('Password', 'coldbrook-rosa');
        $this->browser->press('Sign in');
        $this->browser->see($machine['name']);
        $this->browser->until(
            fn (): bool => ($this->entries($machine['id'], 'reading')[0]['note'] ?? '') === 'Long grass',
            'what was kept to arrive',
        );
        self::assertSame('93.3 h', $this->entries($machine['id'], 'reading')[0]['in_words']);
    }
}
