<?php

declare(strict_types=1);

namespace Tests\Browser;

/**
 * Rules in full: anchors with their consequences, hard lives, seasons, checks, warranty, reminders, forecasts, the
 * calendar.
 */
final class RulesTest extends BrowserTestCase
{
    public function test_the_consequence_of_each_anchor_is_read_before_one_is_chosen(): void
    {
        $machine = $this->machine('92');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/service");
        $this->browser->press('Engine oil');
        $this->browser->press('Deck underside');
        $this->browser->press('Compare the two ways of counting on: Engine oil');
        $this->browser->see("Next at 192 h. It will then have run 100 h, just the rule's interval.");
        $this->browser->see("Next at 200 h. It will then have run 108 h, 8 h over the rule's 100 h.");
        $this->browser->type('Hour meter, h', '94');
        $this->browser->see("Next at 200 h. It will then have run 106 h, 6 h over the rule's 100 h.");
        $this->browser->press("by the chart's multiples");
        $this->browser->press('Record 2 tasks done');
        $this->browser->see('service recorded');
        $this->browser->press('Rulebook');
        $this->browser->see('Due at 200 h by the chart of every 100 h, last done at 94 h.');
    }

    public function test_marking_dust_moves_the_dates_and_the_margin_says_why(): void
    {
        $machine = $this->machine('40');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Change the record');
        $this->browser->press('dust');
        $this->browser->press('Change the record');
        $this->browser->see('record changed');
        $this->browser->see('Lives under dust.');
        $this->browser->press('Rulebook');
        $this->browser->see('Due at 75 h, 75 h after 0 h, its beginning. 35 h left. 100 h × 0.75 for dust makes 75 h.');
        $this->browser->press('Undo');
        $this->browser->see('Due at 100 h, 100 h after 0 h');
    }

    public function test_a_rule_for_every_spring_and_one_that_waits_for_a_check(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/rules/new");
        $this->browser->type('Task', 'Water separator');
        $this->browser->press('Make a new spot of it: Water separator');
        $this->browser->press('By the season, or when a check says so');
        $this->browser->press('Every spring');
        $this->browser->type('Only when a check says so: what must it say', 'water shows in the bowl');
        $this->browser->press('Leave out');
        $this->browser->choose('Last done', 'nobody knows');
        $this->browser->press('Add the rule');
        $this->browser->see('Water separator added.');
        $this->browser->see('Only when a check says so: water shows in the bowl. None has.');
        $this->browser->press('A check calls for it: Water separator');
        $this->browser->type('What was seen', 'Up to the ring');
        $this->browser->press('Make it due');
        $this->browser->see('called for it: Up to the ring.');
        $this->browser->press('Record it done: Water separator');
        $this->browser->press('Record 1 task done');
        $this->browser->see('service recorded');
        $this->browser->press('Rulebook');
        $this->browser->see('None has.');
    }

    public function test_a_point_is_skipped_with_its_reason_and_the_skip_undone(): void
    {
        $machine = $this->machine('104');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/rulebook");
        $this->browser->press('Skip this time: Engine oil');
        $this->browser->press('Skip it, next time as the book has it');
        $this->browser->see('Say why it is passed over.');
        $this->browser->type('Why it is passed over', 'Sold on Friday');
        $this->browser->press('Skip it, next time as the book has it');
        $this->browser->see('Runs for 200 h until then, over the 110 h allowed.');
        $this->browser->press('Undo');
        $this->browser->notSee('Runs for 200 h until then');
    }

    public function test_looser_than_the_book_under_warranty_asks_why_and_stays_marked(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/edit");
        $this->browser->setDay('Warranty runs to', '2031-01-01');
        $this->browser->press('Change the record');
        $this->browser->see('Warranty to 1 January 2031.');
        $this->browser->press('Rulebook');
        $this->browser->press('Change the rule for Engine oil');
        $this->browser->type('Book, hours', '80');
        $this->browser->press('Change the rule');
        $this->browser->see(
            'Looser than the book while the warranty runs to 1 January 2031: say why. It stays marked.',
        );
        self::assertSame('80', $this->browser->value('Book, hours'));
        $this->browser->type('Why it is looser than the book', 'Agreed with the dealer');
        $this->browser->press('Change the rule');
        $this->browser->see('Reason: agreed with the dealer');
    }

    public function test_the_machine_s_own_reminder_is_ticked_as_set_and_disagreement_is_told(): void
    {
        $machine = $this->machine('60');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Tick it as set');
        $this->browser->type('Set to, h', '45');
        $this->browser->press('It is set');
        $this->browser->see("The machine's own reminder rings at 105 h, 10 h after the rulebook's 95 h.");
        $this->browser->press('Tick it as set');
        $this->browser->press('It is set');
        $this->browser->see('it agrees with the rulebook');
        $this->browser->open("/machines/{$machine['id']}/service");
        $this->browser->press('Engine oil');
        $this->browser->press('Record 1 task done');
        $this->browser->see('its own reminder');
        $this->browser->press('Leave it');
    }

    public function test_three_years_of_use_are_drawn_with_a_table_behind_and_the_rail_shows_the_band(): void
    {
        $this->signIn();
        $this->browser->open('/yard?name=bittern');
        $this->browser->press('Bittern');
        $this->browser->press('Book');
        $this->browser->see('Use per week, three years');
        self::assertGreaterThan(
            80,
            $this->browser->script(
                'return document.querySelectorAll("svg[aria-label*=\"run in each week\"] rect").length',
            ),
        );
        $this->browser->press('Show it as a table');
        $this->browser->see('Week of');
        $this->browser->press('Now');
        $this->browser->press(
            $this->browser->until(
                fn (): ?string => $this->browser->script(
                    'return [...document.querySelectorAll("[data-stakes]")].map(stake => stake.getAttribute("aria-label")).find(label => / to .*, fresh$/.test(label) && !/ here: /.test(label)) ?? null',
                ),
                'a stake with days between which it comes',
            ),
        );
        self::assertMatchesRegularExpression('/Eight times in ten between .* and .*\./', $this->browser->text());
    }

    public function test_a_used_machine_says_what_to_do_first(): void
    {
        $this->signIn();
        $this->browser->open('/yard?name=lapwing');
        $this->browser->press('Lapwing');
        $this->browser->see('First of all: nobody knows its past');
        $this->browser->press('Record these, or say when they were done');
        $this->browser->see('Tick what was done');
    }

    public function test_a_calendar_address_is_opened_and_given_up(): void
    {
        $this->signIn('piet');
        $this->browser->open('/account');
        $this->browser->type('Remind how many days before', 'many');
        $this->browser->press('Open a calendar address');
        $this->browser->see('whole number');
        $this->browser->type('Remind how many days before', '5');
        $this->browser->press('Open a calendar address');
        $this->browser->see('Reminds 5 days before');
        preg_match('~http\S+\.ics~', $this->browser->text(), $address);
        self::assertStringStartsWith('BEGIN:VCALENDAR', (string) file_get_contents($address[0] ?? ''));
        $this->browser->press('Give it up');
        $this->browser->notSee('Reminds 5 days before');
    }

    public function test_the_yard_sets_its_own_shares(): void
    {
        $this->signIn();
        $this->browser->open('/people');
        $this->browser->press('Change the shares');
        $this->browser->type('heat: battery', '7');
        $this->browser->press('Change the shares');
        $this->browser->until(
            fn (): bool => (bool) $this->browser->script(
                'return document.querySelector("input[aria-invalid=true]")?.value === "7"',
            ),
            'the wrong share to be marked, and kept',
        );
        $this->browser->type('heat: battery', '0.9');
        $this->browser->press('Change the shares');
        $this->browser->see('The shares are changed.');
        $this->browser->see('0.9');
        $this->browser->press('Undo');
        $this->browser->notSee('0.9');
    }
}
