<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Walking round a machine with a phone in one hand, and at a desk. */
final class WalkTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->browser->resize(Browser::PHONE);
    }

    public function test_a_round_of_20_checks_with_nothing_wrong_takes_at_most_25_presses_on_large_targets(): void
    {
        $machine = $this->machine();
        for ($number = 12; $number <= 20; $number++) {
            $this->keeper()->ask(
                'PUT',
                "/machines/{$machine['id']}/checks/own-{$number}",
                [
                    'for' => 'machine',
                    'values' => ['spot' => 'deck', 'title' => "Step {$number}", 'rounds' => ['daily']],
                ],
            );
        }
        $this->signIn();
        $this->browser->open("/walkaround/{$machine['id']}");
        $presses = 0;
        $press = function (string $name) use (&$presses): void {
            $this->browser->press($name);
            $presses++;
        };
        $press('Morning round');
        $this->browser->see('1 of 21');
        $press('Not run since');
        for ($check = 2; $check <= 21; $check++) {
            $this->browser->see("{$check} of 21");
            if ($check === 3) {
                $this->assertPressesAreLarge();
            }
            $press(
                str_contains($this->browser->text(), 'Fine, between the marks') ? 'Fine, between the marks' : 'Fine',
            );
        }
        $this->browser->see("{$machine['name']} is fit for use");

        self::assertLessThanOrEqual(25, $presses);
        $this->browser->see('Written in the book.');
        self::assertSame(
            'Morning round: 20 looked at, nothing wrong',
            $this->entries($machine['id'], 'round')[0]['in_words'],
        );
        $this->assertNoComplaints();
    }

    public function test_a_round_in_which_nothing_was_looked_at_is_not_judged_and_says_what_is_missing(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/walkaround/{$machine['id']}/after_wash");
        $this->browser->press('Not run since');
        for ($check = 2; $check <= 5; $check++) {
            $this->browser->see("{$check} of 5");
            $this->browser->press('Not looked at');
        }
        $this->browser->see("{$machine['name']} is not judged");
        $this->browser->see('NOT JUDGED');
        $this->browser->see('Still to judge:');
        $this->browser->notSee('fit for use');
        $rounds = $this->keeper()->ask('GET', '/walkaround/morning')['body']['walked'];
        $ours = array_column($rounds, null, 'machine_id')[$machine['id']];
        self::assertSame([null, 1], [$ours['verdict'], count($ours['not_judged'])]);
        $this->assertNoComplaints();
    }

    public function test_a_round_by_the_keys_alone_with_something_wrong(): void
    {
        $this->browser->resize(Browser::DESK);
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/walkaround/{$machine['id']}/daily");
        $this->browser->see('Hour meter');
        $this->browser->type('It shows', '91.5');
        $this->browser->keys(self::ENTER);
        for ($check = 2; $check <= 12; $check++) {
            $this->browser->see("{$check} of 12");
            $title = $this->browser->focused();
            if ($title === 'Leaks') {
                $this->browser->keys('2');
                $this->browser->see('One press writes it down');
                $this->browser->keys('1');
            } else {
                $this->browser->keys($title === 'Lights and horn' ? '3' : '1');
            }
            $this->browser->until(fn (): bool => $this->browser->focused() !== $title, 'the next check');
        }
        $this->browser->see('walked round');
        $this->browser->see('Weeping: damp, no drop');
        $this->browser->see('Written in the book.');

        self::assertSame(
            'Morning round: 10 looked at, watch: Leaks, not looked at: Lights and horn',
            $this->entries($machine['id'], 'round')[0]['in_words'],
        );
        self::assertSame(
            '91.5',
            $this->keeper()->ask('GET', "/machines/{$machine['id']}")['body']['line']['meters'][0]['value'],
        );
        $this->browser->open('/yard');
        $this->browser->see('walked today');
    }

    public function test_a_verdict_the_moment_a_number_is_entered(): void
    {
        $tractor = $this->machine('90', 'tractor');
        $this->signIn();
        $this->browser->open("/walkaround/{$tractor['id']}/weekly?at=belt");
        $this->browser->see('Limit, common practice: it may give 1/3 in, when pressed with 15 lbf.');
        $this->browser->type('At rest', '1 3/4');
        $this->browser->type('Pressed, in', '1 3/8');
        $this->browser->see('It gives 3/8 in. The most at 15 lbf is 1/3 in, so it is over by 1/24 in.');
        $this->browser->see('ACT');
        $this->browser->press('Pressed more');
        self::assertSame('1 7/16', $this->browser->value('Pressed, in'));
        $this->browser->see('It gives 5/16 in.');
        $this->browser->type('Pressed, in', 'tight');
        $this->browser->see('"tight" is not an amount');
        self::assertSame('tight', $this->browser->value('Pressed, in'), 'what was typed is kept');
        $this->browser->type('Pressed, in', '1 3/8');
        $this->browser->see('over by 1/24 in');
        $this->browser->press('Write it down, next check');
        $this->browser->until(fn (): bool => count($this->walk($tractor['id'])['findings']) === 1, 'the finding');

        $this->browser->open("/walkaround/{$tractor['id']}/daily");
        $this->browser->press('Not run since');
        $this->browser->see('Alternator or fan belt, found before');
        $this->browser->press('Gone, fine now');
        $this->browser->until(fn (): bool => $this->walk($tractor['id'])['findings'] === [], 'the finding to end');
    }

    public function test_a_safety_switch_stands_the_machine_down_and_it_cannot_be_walked_as_fit_until_a_mechanic_lifts_it(): void
    {
        $machine = $this->machine();
        $this->signIn('bram');
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=seat_switch");
        $this->browser->press('Not fine');
        $this->browser->type('In your own words', 'Tried three times.');
        $this->browser->press('Does not stop it');
        $this->browser->until(
            fn (): bool => ($this->walk($machine['id'])['stood_down']['because'] ?? '') === 'Safety switches: Does not stop it. Tried three times.',
            'the stand-down',
        );
        $this->browser->open("/walkaround/{$machine['id']}");
        $this->browser->see('Nobody may use it until a keeper or mechanic lifts this.');
        $this->browser->open("/walkaround/{$machine['id']}/after_wash");
        $this->browser->see('Stood down today by Bram Fenwick');
        $this->browser->press('Not run since');
        $this->browser->press('Not looked at');
        for ($check = 0; $check < 4; $check++) {
            $this->browser->see(($check + 3).' of 6');
            $this->browser->press('Fine');
        }
        $this->browser->see("{$machine['name']} stands down");
        $this->browser->notSee('fit for use');
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->see('STOOD DOWN');
        self::assertFalse($this->browser->offers('Lift'));

        $this->browser->startAfresh();
        $this->signIn('tamsin');
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Lift');
        $this->browser->press('Lift it, fit for use');
        $this->browser->see('Say why it may be used again.');
        $this->browser->type('Why it may be used again', 'Switch replaced, tried ten times.');
        $this->browser->press('Lift it, fit for use');
        $this->browser->see('is lifted');
        $this->browser->press('Safety switches');
        $this->browser->press('It is put right');
        $this->browser->type('What was done', 'New switch.');
        $this->browser->press('It is put right');
        $this->browser->see('Safety switches: put right.');
        $this->browser->until(fn (): bool => $this->walk($machine['id'])['findings'] === [], 'the finding to end');
    }

    public function test_a_grease_round_on_the_plate_and_down_the_list(): void
    {
        $machine = $this->machine();
        $this->signIn('piet');
        $this->browser->open("/walkaround/{$machine['id']}");
        $this->browser->press('Grease round');
        $this->browser->see('1. Axle pivot');
        $this->browser->press('5, Spindle, left');
        $this->browser->see('5. Spindle, left');
        $this->assertPressesAreLarge();
        $this->browser->press('Strokes, until clean grease shows at the seal more');
        $this->browser->press('4 strokes given, next');
        $this->browser->see('6. Spindle, right');
        self::assertTrue($this->browser->offers('5, Spindle, left: 4 given'));
        $this->browser->press('Did not go in');
        $this->browser->see('1. Axle pivot');
        $this->browser->press('Not reached');
        foreach (['King pins', 'Front wheel bearings', 'Steering sector'] as $point) {
            $this->browser->see(". {$point}");
            $this->browser->press('2 strokes given, next');
        }
        $this->browser->see('All points told');
        $this->browser->see('4 of 6 greased. Did not go in: spindle, right.');
        $this->browser->see('1 not reached.');
        $this->browser->until(
            fn (): bool => str_starts_with(
                $this->entries($machine['id'], 'round')[0]['in_words'] ?? '',
                'Grease round: 4 points greased, 10 strokes',
            ),
            'the round in the book',
        );
        self::assertSame(
            ['Spindle, right'],
            array_column($this->walk($machine['id'])['findings'], 'spot_name'),
            'what did not go in is a finding',
        );
        $this->browser->open("/machines/{$machine['id']}/plate?kind=grease_point");
        $this->browser->press('Spindle, left');
        $this->browser->see('4 strokes 0 days ago');
        $this->browser->press('All spots');
        $this->browser->press('Axle pivot');
        $this->browser->see('Nobody has ever recorded grease here.');
    }

    public function test_a_photo_is_made_small_on_the_phone_and_stands_with_the_finding(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=front_tyres");
        $this->browser->press('Not fine');
        $this->browser->see('Add a photo');
        $file = sys_get_temp_dir().'/walk-'.bin2hex(random_bytes(4)).'.png';
        imagepng(imagecreatetruecolor(2400, 1800), $file);
        $this->browser->script(
            'const input = document.querySelector("input[type=file]"); input.style.display = "block"; input.ariaLabel = "Picture"',
        );
        $this->browser->field('Picture')->sendKeys($file);
        $this->browser->until(
            fn (): bool => (bool) $this->browser->script(
                'return document.querySelector("img[alt=\'Photo 1\']")?.naturalWidth === 1600',
            ),
            'the picture, made small',
        );
        $this->browser->press('Soft or cracked');
        $this->browser->until(
            fn (): bool => count($this->walk($machine['id'])['findings'][0]['photos'] ?? []) === 1,
            'the picture at the yard',
        );
        $this->browser->open("/machines/{$machine['id']}/findings/front_tyres");
        $this->browser->until(
            fn (): bool => (bool) $this->browser->script(
                'return document.querySelector("img[alt^=\'Front tyres\']")?.naturalWidth > 0',
            ),
            'the picture with its finding',
        );
        unlink($file);
    }

    public function test_a_reading_that_cannot_be_right_comes_back_to_who_typed_it(): void
    {
        $machine = $this->machine();
        $this->signIn('otis');
        $this->browser->open("/walkaround/{$machine['id']}/daily");
        $this->browser->type('It shows', '915');
        $this->browser->press('Log 915 h, first check');
        $this->browser->press('One note came back');
        $this->browser->see('Did you mean 91.5?');
        self::assertSame('915', $this->browser->value('What the meter showed'));
        $this->browser->type('What the meter showed', '91.5');
        $this->browser->press('Send it like this');
        $this->browser->see('None. Everything else is sent');
        $this->browser->until(
            fn (): bool => $this->keeper()->ask(
                'GET',
                "/machines/{$machine['id']}",
            )['body']['line']['meters'][0]['value'] === '91.5',
            'the reading',
        );
    }

    public function test_something_that_no_check_looks_at_is_reported(): void
    {
        $machine = $this->machine();
        $this->signIn('ilse');
        $this->browser->open("/walkaround/{$machine['id']}");
        $this->browser->press('Something else is wrong with it');
        $this->browser->type('In your own words', 'Springs open on bumps.');
        $this->browser->press('Not right, but it can wait');
        $this->browser->see('Say where on the machine.');
        self::assertSame('Springs open on bumps.', $this->browser->value('In your own words'));
        $this->browser->choose('Where', 'Hoses and clamps');
        $this->browser->type('What it is about, in a few words', 'Hood catch');
        $this->browser->press('Not right, but it can wait');
        $this->browser->see('Hood catch is noted.');
        $this->browser->until(
            fn (): bool => array_column($this->walk($machine['id'])['findings'], 'title') === ['Hood catch'],
            'the finding',
        );
    }

    public function test_what_a_machine_does_points_to_where_it_may_be(): void
    {
        $machine = $this->machine();
        $this->signIn('ilse');
        $this->browser->open("/walkaround/{$machine['id']}/found");
        $this->browser->choose('What it does', 'Low power, or it runs unevenly');
        $this->browser->see(
            'That points to: pre-cleaner; air cleaner, main element; fuel filter; hoses and clamps. Look there first.',
        );
        $this->browser->choose('Where', 'Fuel filter');
        $this->browser->press('Must be seen to');
        $this->browser->see('Low power, or it runs unevenly is noted.');
        $this->browser->until(
            fn (): bool => array_column(
                $this->walk($machine['id'])['findings'],
                'spot',
                'title',
            ) === ['Low power, or it runs unevenly' => 'fuel_filter'],
            'the finding',
        );
    }

    public function test_pedals_unlatched_for_measuring_are_latched_before_it_is_written_down(): void
    {
        $machine = $this->machine('90', 'tractor');
        $this->signIn('ilse');
        $this->browser->open("/walkaround/{$machine['id']}/before_season?at=pedal_play");
        $this->browser->type('Left, or the only one, in', '1');
        $this->browser->type('Right', '1');
        $this->browser->see('FIT');
        $this->browser->see('First: pedals latched together again');
        $this->browser->press('Pedals latched together again');
        $this->browser->press('Write it down, next check');
        $this->browser->until(
            fn (): bool => in_array('pedal_play', array_column($this->walk($machine['id'])['looks'], 'check'), true),
            'the measurement',
        );
    }

    public function test_the_keeper_changes_the_sheet_and_prints_labels(): void
    {
        $this->browser->resize(Browser::DESK);
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/checks");
        $this->browser->press('Add a check');
        $this->browser->press('Add this check');
        $this->browser->see('Say what is looked at.');
        $this->browser->type('What is looked at', 'Grass box');
        $this->browser->type('What is fine', 'Empty, shut');
        $this->browser->press('Add this check');
        $this->browser->see('Say which spot of the machine it looks at.');
        $this->browser->choose('It looks at', 'Deck underside');
        $this->browser->press('Add this check');
        $this->browser->see('Fine: Empty, shut');
        $this->browser->press('Drop it here: Fuel');
        $this->browser->until(
            fn (): bool => ! in_array('fuel_level', array_column($this->walk($machine['id'])['checks'], 'key'), true),
            'fuel to be dropped',
        );
        $this->browser->press('Earlier: Grass box');
        $this->browser->until(
            fn (): bool => array_search(
                'own-grass-box',
                $keys = array_column($this->walk($machine['id'])['checks'], 'key'),
                true,
            ) === count($keys) - 2,
            'the box to stand earlier',
        );

        $this->browser->open('/walkaround/labels');
        $this->browser->see($machine['name']);
        $address = getenv('JARDINIER_URL')."/walkaround/{$machine['id']}";
        self::assertTrue(
            (bool) $this->browser->script(
                'return document.querySelector(`img[alt$="${arguments[0]}"]`)?.naturalWidth > 0',
                $address,
            ),
        );
        $this->assertNoComplaints();
    }

    private function assertPressesAreLarge(): void
    {
        $small = $this->browser->script(
            'return [...document.querySelectorAll("main button")].filter(b => b.offsetParent && !b.closest("figure")).map(b => [b.innerText, b.getBoundingClientRect()]).filter(([, r]) => r.width < 48 || r.height < 48).map(([name]) => name)',
        );
        self::assertSame([], $small);
    }
}
