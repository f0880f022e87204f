<?php

declare(strict_types=1);

namespace Tests\Browser;

/** What several machines share, and what a keeper does with it on a phone. */
final class SistersTest extends BrowserTestCase
{
    public function test_a_rulebook_is_copied_from_a_sister_machine(): void
    {
        $from = $this->machine();
        $to = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$from['id']}/rules/new");
        $this->browser->type('Task', 'Chains');
        $this->browser->choose('What is done', 'adjust');
        $this->browser->press('Make a new spot of it: Chains');
        $this->browser->type('Hours', '15');
        $this->browser->choose('Last done', 'nobody knows');
        $this->browser->press('Add the rule');
        $this->browser->see('Chains added.');
        $this->browser->open("/machines/{$to['id']}/chart");
        $this->browser->choose('Copy the rulebook of', $from['name']);
        $this->browser->press('Copy it here');
        $this->browser->see('no chains');
        $this->browser->press('Add it, and go on');
        $this->browser->until(fn (): bool => str_contains($this->browser->text(), 'every 15 h'), 'the copied rule');
        $this->assertNoComplaints();
    }

    public function test_a_change_for_all_reaches_those_that_share(): void
    {
        $one = $this->machine();
        $other = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$one['id']}/chart");
        $name = "Riders {$one['name']}";
        $this->browser->type('Share this rulebook as', $name);
        $this->browser->press('Share it');
        $this->browser->see("Follows {$name}");
        $this->browser->open("/machines/{$other['id']}/chart");
        $this->browser->choose('Follow a shared rulebook', "{$name}, {$one['name']}");
        $this->browser->press('Follow it');
        $this->browser->see("Follows {$name}");
        $this->browser->open("/machines/{$one['id']}/rulebook");
        $this->browser->press('Change the rule for Engine oil');
        $this->browser->type('Hours', '120');
        $this->browser->press('Change it for all 2 that share it');
        $this->browser->see('Engine oil changed.');
        $this->browser->open("/machines/{$other['id']}/rulebook");
        $this->browser->see('replace every 120 h');
        $this->browser->press('Book');
        $this->browser->see('Engine oil changed with the shared rulebook');
    }

    public function test_a_machine_is_entered_with_the_rulebook_that_suits_it(): void
    {
        $this->signIn();
        $this->browser->open('/machines/new');
        $this->browser->see('A rulebook to begin with');
        $this->browser->choose('Class', 'rider mower');
        $this->browser->see('Keepers differ; which way');
        $this->browser->choose(
            'Keepers differ; which way',
            'By the season: a small lawn: once before the first mowing and once before storage',
        );
        $this->browser->see('in spring, 1 March to 15 April');
        $name = 'Knot'.bin2hex(random_bytes(2));
        $this->browser->type('Name', $name);
        $this->browser->type('Place', 'House');
        $this->browser->press("Add {$name} with 13 rules");
        $this->browser->see("{$name} is in the book.");
        $this->browser->press('Rulebook');
        $this->browser->see('clean before storage, 15 October to 30 November');
    }

    public function test_on_a_phone_the_chart_scrolls_within_itself_and_a_mark_is_large_enough_for_a_thumb(): void
    {
        $machine = $this->machine();
        $this->browser->resize(Browser::PHONE);
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/chart");
        $this->browser->see('Which means');
        self::assertLessThanOrEqual(
            Browser::PHONE[0],
            $this->browser->script('return document.documentElement.scrollWidth'),
            'the page itself does not scroll sideways',
        );
        [$width, $height] = $this->browser->script(
            'const box = document.querySelector("button[aria-pressed]").getBoundingClientRect(); return [box.width, box.height]',
        );
        self::assertGreaterThanOrEqual(44, $width);
        self::assertGreaterThanOrEqual(44, $height);
    }

    public function test_dust_in_a_season_is_marked_with_its_days(): void
    {
        $machine = $this->machine('40');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/edit");
        $this->browser->press('dust');
        $this->browser->press('Only in a season: dust');
        $this->browser->type('from the', '31');
        $this->browser->choose('of', 'June');
        $this->browser->press('Change the record');
        $this->browser->see('This is a month and a day, like 03-01 for the first of March.');
        self::assertSame('31', $this->browser->value('from the'));
        $this->browser->type('from the', '15');
        $this->browser->press('Change the record');
        $this->browser->see('Lives under dust from 15 Jun to 30 Sept.');
    }
}
