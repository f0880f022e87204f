<?php

declare(strict_types=1);

namespace Tests\Browser;

/**
 * A machine's fluids: a manual's page pasted, a compartment found and topped up, a wrong oil refused, what a book says.
 */
final class FluidsTest extends BrowserTestCase
{
    public function test_a_manuals_page_is_pasted_the_axle_found_on_the_plate_topped_up_by_phone_and_told_what_is_missing(): void
    {
        $machine = $this->machine('90', 'utility_vehicle');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/fluids");
        $this->browser->see('usually 1 qt (common practice)');
        $this->browser->press("Paste a manual's page");
        $this->browser->type('From a spreadsheet, or CSV', "a;b\nc;d");
        $this->browser->press('Read it');
        $this->browser->see('None of these columns says how much or of what');
        $this->browser->type(
            'From a spreadsheet, or CSV',
            "Item;Capacity;Oil\nEngine;2.6 qt;10W-30 API SL\nRear axle;0.9 qt;Wader Wetstop wet-brake oil\nFlux pump;1 L;\n",
        );
        $this->browser->press('Read it');
        $this->browser->see('No compartment of this machine is called "Flux pump": which is it?');
        $this->browser->type('Amount of Rear axle', '0.9 psi');
        $this->browser->press('Write 2 down');
        $this->browser->see('A capacity is a volume, and 0.9 psi is a pressure.');
        self::assertSame('0.9 psi', $this->browser->value('Amount of Rear axle'), 'what was typed stays');
        $this->browser->type('Amount of Rear axle', '0.9 qt');
        $this->browser->press('Write 2 down');
        $this->browser->see('2 compartments are written down');
        $this->browser->see('0.85 L');
        self::assertSame([], $this->browser->barriers());

        $this->browser->resize(Browser::PHONE);
        $this->browser->open("/machines/{$machine['id']}/plate/rear_axle");
        $this->browser->see('0.9 qt');
        self::assertSame(
            0,
            $this->browser->script('return document.documentElement.scrollWidth - 390'),
            'no name stands beyond the edge',
        );
        $this->browser->press('Top it up');
        $this->browser->type('How much went in', '0.1');
        $this->browser->press('0.1 went in');
        $this->browser->see('The unit is missing after 0.1');
        $this->browser->type('How much went in', '0.1 qt');
        $this->browser->press('0.1 qt went in');
        $this->browser->see('topped up, 0.1 qt');
        $this->browser->press('Its life, its openings, will this bottle do');
        $this->browser->see('Probably missing');
        $this->browser->see('0.1 qt');
        $this->browser->see('Too little was topped up to tell what is missing');
        self::assertSame([], $this->browser->barriers());
        self::assertSame([], $this->browser->missedMarks(44));
        $this->assertNoComplaints();
    }

    public function test_a_wrong_oil_is_refused_with_its_reason_and_kept_where_it_is_in_already(): void
    {
        $machine = $this->machine('90', 'utility_vehicle');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/fluids/rear_axle");
        $this->browser->press('Will this bottle do?');
        $this->browser->type('Grade', '10W-30');
        $this->browser->see('Engine oil does not go into a wet brake axle');
        self::assertSame([], $this->browser->barriers());
        $this->browser->press('Done');
        $this->browser->press('Write down a pour or a drain');
        $this->browser->type('How much went in', '0.2 qt');
        $this->browser->choose('Of what', 'Orchard 10W-30');
        $this->browser->press('0.2 qt went in');
        $this->browser->see('Orchard 10W-30 will not do for Rear axle oil');
        self::assertSame('0.2 qt', $this->browser->value('How much went in'));
        $this->browser->type('Why it is right all the same', 'It was in already');
        $this->browser->press('0.2 qt went in');
        $this->browser->see('0.2 qt of Orchard 10W-30');
        $this->browser->see('Orchard 10W-30 was poured');
        $this->assertNoComplaints();
    }

    public function test_what_a_book_says_is_written_down_and_what_disagrees_is_asked(): void
    {
        $machine = $this->machine('90');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/fluids/engine_oil/book");
        $this->browser->type('It takes', '255 mL (9 fl oz)');
        $this->browser->press('Write it down');
        $this->browser->see('"9 fl oz" is 266 mL, not 255 mL');
        $this->browser->type('It takes', '1.4/1.5 qt');
        $this->browser->type('Grade', 'SAE 30');
        $this->browser->press('Write it down');
        $this->browser->see('without filter');
        $this->browser->see('1.42 L');
        $this->browser->see('SAE 30');
        $this->assertNoComplaints();
    }

    public function test_a_pour_without_signal_is_kept_and_arrives_once(): void
    {
        $machine = $this->machine('90');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/fluids/engine_oil");
        $this->browser->see('Write down a pour or a drain');
        $this->browser->press('Write down a pour or a drain');
        $this->browser->outOfReach();
        $this->browser->type('How much went in', '0.1 qt');
        $this->browser->press('0.1 qt went in');
        $this->browser->see('kept on this device until it can be sent');
        $this->browser->outOfReach(false);
        $this->browser->open("/machines/{$machine['id']}/fluids/engine_oil");
        $this->browser->until(
            fn (): bool => count($this->entries($machine['id'], 'topped_up')) === 1,
            'the pour to arrive',
        );
        $this->browser->open("/machines/{$machine['id']}/fluids/engine_oil");
        $this->browser->see('topped up, 0.1 qt');
        self::assertCount(1, $this->entries($machine['id'], 'topped_up'));
    }
}
