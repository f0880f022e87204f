<?php

declare(strict_types=1);

namespace Tests\Browser;

use Illuminate\Support\Str;
use Tests\ServedClock;

/** The flows at a desk, 1280x800. */
final class DeskTest extends BrowserTestCase
{
    public function test_a_stranger_signs_in_and_a_wrong_password_keeps_the_name(): void
    {
        $this->browser->open('/');
        $this->browser->type('Sign-in name', 'rosa');
        $this->browser->type('Password', 'not this one');
        $this->browser->press('Sign in');
        $this->browser->see('That name and password do not belong together.');
        self::assertSame('rosa', $this->browser->value('Sign-in name'));

        $this->browser->type('Password', 'coldbrook-rosa');
        $this->browser->press('Sign in');
        $this->browser->see('Bittern');
        // A machine of another test may be in pieces beside it.
        $this->browser->see('stood down');
        $this->assertNoComplaints();
    }

    public function test_a_service_is_recorded_undone_recorded_again_and_corrected(): void
    {
        $machine = $this->machine('96');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/service");
        $this->browser->see('Tick what was done.');
        self::assertFalse(
            $this->browser->offers('Record 1 task done'),
            'nothing is ticked by itself, though both are nearing',
        );
        self::assertSame(
            0,
            $this->browser->script('return document.querySelectorAll("main input[type=checkbox]:checked").length'),
        );
        $this->browser->press('Engine oil');
        $this->browser->press('Deck underside');
        $this->browser->see('Hot oil and exhaust burn');
        $this->browser->type('Hour meter', '96.4');
        $this->browser->type('Note', 'Oil clear brown');
        $this->browser->press('Record 2 tasks done');
        $this->browser->see('service recorded.');
        $this->browser->press('Rulebook');
        $this->browser->see('Due at 196.4 h, 100 h after 96.4 h.');

        $this->browser->press('Undo');
        $this->browser->see('Taken back.');
        $this->browser->see('Due at 100 h, 100 h after 0 h, its beginning.');
        $this->browser->press('Book');
        $this->browser->see('Taken back at once.');

        $this->browser->open("/machines/{$machine['id']}/service");
        $this->browser->press('Engine oil');
        $this->browser->press('Deck underside');
        $this->browser->press('Record 2 tasks done');
        $this->browser->press('Rulebook');
        $this->browser->see('Due at 196 h');
        $this->browser->press('Book');
        $this->browser->press('Correct: At 96 h');
        $this->browser->type('The meter showed', '96.8');
        $this->browser->type('Why it was wrong', 'Read through a dirty glass');
        $this->browser->press('Strike it, write this beside it');
        $this->browser->see('corrected.');
        $this->browser->see('Struck by Rosa Alder');
        $this->browser->see('Read through a dirty glass');
        $this->browser->see('At 96 h: deck underside cleaned, engine oil replaced');
        $this->browser->press('Rulebook');
        $this->browser->see('Due at 196.8 h');
        $this->assertNoComplaints();
    }

    public function test_a_service_tells_of_something_that_has_no_rule(): void
    {
        $machine = $this->machine('96');
        $this->signIn('tamsin');
        $this->browser->open("/machines/{$machine['id']}/service");
        $this->browser->press('Tell of something that has no rule');
        $this->browser->choose('Where', 'Engine oil');
        $this->browser->choose('What', 'topped up');
        $this->browser->type('How much', 'a little');
        $this->browser->press('Record 1 thing done');
        $this->browser->see('"a little" is not an amount');
        self::assertSame('a little', $this->browser->value('How much'), 'what was typed is kept');
        $this->browser->type('How much', '0.3 qt');
        $this->browser->press('One more');
        $this->browser->press('Leave out what was done in row 2');
        $this->browser->press('Record 1 thing done');
        $this->browser->see('service recorded.');
        $this->browser->press('Book');
        $this->browser->see('At 96 h: engine oil topped up, 0.3 qt');
        $this->assertNoComplaints();
    }

    public function test_a_used_machine_is_asked_what_speaks_for_or_against_its_meter(): void
    {
        $this->signIn('tamsin');
        $this->browser->open('/yard?name=lapwing');
        $this->browser->press('Lapwing');
        $this->browser->press('Does this meter tell the truth?');
        $this->browser->press('Keep it');
        $this->browser->see('Say what was seen of at least one.');
        $this->browser->choose('The original shims', 'still in');
        $this->browser->choose('Date codes of belts and hoses', 'renewed more often than the hours explain');
        $this->browser->press('Keep it');
        $this->browser->see('One sign speaks against the');
        $this->browser->see('Take');
        $this->browser->press('Undo');
        $this->browser->see('Taken back.');
    }

    public function test_a_machine_is_added_from_scratch_with_a_starter_rulebook(): void
    {
        $name = 'Garganey'.bin2hex(random_bytes(2));
        $this->signIn();
        $this->browser->open('/');
        $this->browser->press('Add a machine');
        $this->browser->type('Name', $name);
        $this->browser->choose('Class', 'generator');
        $this->browser->see('Run under load');
        $this->browser->see('Common practice for a generator, no source.');
        $this->browser->press("Add {$name} with 10 rules");
        $this->browser->see('Look at the fields marked');
        self::assertSame($name, $this->browser->value('Name'), 'what was typed is kept');

        $this->browser->type('Place', 'Boiler house');
        $this->browser->open('/machines/new');
        self::assertSame('Boiler house', $this->browser->value('Place'), 'and survives a reload');
        $this->browser->choose('Its history', 'used, nothing is known');
        $this->browser->type('Hour meter', '288.9');
        $this->browser->press("Add {$name} with 10 rules");
        $this->browser->see("{$name} is in the book.");
        $this->browser->see('10 tasks have no history.');
        $this->browser->see('288.9 h');
    }

    /** What a tractor's starter counts by hours alone. */
    private const BY_HOURS = [
        'Grease all points, grease',
        'Air cleaner, clean',
        'Alternator belt, inspect',
        'Brake pedals, adjust',
        'Hydraulic suction screen, clean',
        'Fuel filter, replace',
        'Air cleaner, replace',
        'Inner air element, replace',
        'Hydrostatic oil and filter, replace',
        'Front axle oil, replace',
        'Reduction gear and PTO oil, replace',
        'Loader pivots, left, grease',
        'Loader pivots, right, grease',
        'Clutch hub, grease', 'Brake pivots, grease', 'PTO shaft joints, grease',
    ];

    public function test_a_towed_machine_without_a_meter_is_kept_by_date(): void
    {
        $name = 'Smew'.bin2hex(random_bytes(2));
        $this->signIn();
        $this->browser->open('/machines/new');
        $this->browser->see('Grease all points');
        $this->browser->type('Name', $name);
        $this->browser->type('Place', 'Shed');
        $this->browser->choose('Does it count its own use', 'no meter: by date only');
        foreach (self::BY_HOURS as $byHours) {
            $this->browser->press("Take {$byHours}");
        }
        $this->browser->press("Add {$name} with 4 rules");
        $this->browser->see("{$name} is in the book.");
        $this->browser->see('No meter: what falls due here falls due by date.');
        $this->browser->press('Rulebook');
        $this->browser->see('12 months after');
        self::assertFalse($this->browser->offers('Log hours'));
    }

    public function test_a_rule_is_added_and_changed_and_its_why_stands_in_the_margin(): void
    {
        $machine = $this->machine('12');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/rules/new");
        $this->browser->type('Task', 'Blades');
        $this->browser->choose('What is done', 'adjust');
        $this->browser->press('Yes, at Blades');
        $this->browser->choose('Last done', "never: counted from the machine's beginning");
        $this->browser->press('Add the rule');
        $this->browser->see('When does it come?');
        $this->browser->type('Hours', '25');
        $this->browser->press('Add the rule');
        $this->browser->see('Blades added.');
        $this->browser->see('Due at 25 h, 25 h after 0 h, its beginning. 13 h left.');

        $this->browser->press('Change the rule for Blades');
        $this->browser->see('Blades: change the rule');
        $this->browser->type('Hours', '20');
        $this->browser->press('Change the rule');
        $this->browser->press('Book');
        $this->browser->see('Blades: every 25 h, now every 20 h.');
        $this->browser->press('Undo');
        $this->browser->see('Blades: every 20 h, now every 25 h.');
    }

    public function test_standing_a_machine_down_hatches_it_until_it_is_lifted(): void
    {
        $machine = $this->machine();
        $this->signIn('bram');
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Stand down');
        $this->browser->press('Stand it down');
        $this->browser->see('Say what is wrong with it.');
        $this->browser->type('What is wrong with it', 'Brake drags');
        $this->browser->press('Stand it down');
        $this->browser->see('Nobody may use it until a keeper or mechanic lifts this.');
        self::assertFalse($this->browser->offers('Lift'));

        $this->browser->startAfresh();
        $this->signIn('tamsin');
        $this->browser->open('/');
        $this->find($machine['name']);
        $this->browser->press('Look and lift');
        $this->browser->see('Bram Fenwick, today: Brake drags');
        $this->browser->press('Leave it');
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Something else keeps it down');
        $this->browser->type('What is wrong with it', 'Guard off');
        $this->browser->press('Stand it down');
        $this->browser->see('Guard off');

        // What is ticked is lifted, and nothing else.
        $this->browser->press('Lift');
        $this->browser->press('Tamsin Oakhill, today: Guard off');
        $this->browser->type('Why it may be used again', 'Guard on');
        $this->browser->press('Lift what is ticked');
        $this->browser->see('still stands down: Brake drags');
        $this->browser->press('Lift');
        $this->browser->see('Bram Fenwick, today: Brake drags');
        $this->browser->type('Why it may be used again', 'Cable freed');
        $this->browser->press('Lift it, fit for use');
        $this->browser->see('is lifted.');
    }

    public function test_a_slip_is_undone_and_what_others_go_by_is_not(): void
    {
        $machine = $this->machine();
        $this->signIn('bram');
        $down = function () use ($machine): void {
            $this->browser->open("/machines/{$machine['id']}");
            $this->browser->press('Stand down');
            $this->browser->type('What is wrong with it', 'Brake drags');
            $this->browser->press('Stand it down');
            $this->browser->see('is stood down.');
        };
        $down();
        $this->browser->press('Undo');
        $this->browser->see('Taken back.');
        self::assertNull($this->walk($machine['id'])['stood_down']);

        $down();
        $this->keeper()->ask('POST', '/notes', ['notes' => [['id' => (string) Str::uuid(), 'kind' => 'stand_down', 'at' => ServedClock::now()->format(DATE_ATOM), 'machine_id' => $machine['id'], 'note' => 'Do not use']]]);
        $this->browser->open("/machines/{$machine['id']}/book");
        $this->browser->see('Brake drags');
        self::assertFalse($this->browser->offers('Correct: Stood down'), 'it is no slip any more');
        self::assertCount(2, $this->walk($machine['id'])['stood_down']['words']);
    }

    public function test_what_a_role_may_not_do_is_not_offered(): void
    {
        $this->signIn('office');
        $this->browser->open('/');
        $this->browser->see('Bittern');
        foreach (['Log hours', 'Record service', 'Add a machine'] as $action) {
            self::assertFalse($this->browser->offers($action), $action);
        }
        $this->browser->startAfresh();
        $this->signIn('jory');
        $this->browser->open('/');
        $this->browser->see('Bittern');
        self::assertTrue($this->browser->offers('Log hours', 'Grebe'));
        self::assertFalse($this->browser->offers('Log hours', 'Bittern'));
    }

    public function test_the_yard_is_filtered_and_the_view_can_be_sent_to_a_colleague(): void
    {
        $this->signIn();
        $this->browser->open('/');
        $this->browser->see('Bittern');
        $this->browser->choose('Place', 'House');
        $this->browser->notSee('front mower, cider orchard');
        $this->browser->choose('Class', 'generator');
        $this->browser->until(fn (): bool => $this->shown() === ['Curlew'], 'Curlew alone');
        self::assertSame('/yard?place=House&class=generator', $this->browser->path());

        $this->browser->open('/yard?state=stood_down');
        $this->browser->see('Brake pedal play 41 mm, limit 30 mm.');
        self::assertNotContains('Curlew', $this->shown());
        $this->browser->press('Show all');
        $this->browser->until(fn (): bool => in_array('Curlew', $this->shown(), true), 'all of them');
        $this->browser->script('[...document.querySelectorAll("main a, main button")].find(part => part.innerText.endsWith("stood down")).click()');
        $this->browser->until(fn (): bool => ! in_array('Curlew', $this->shown(), true), 'those stood down');
        self::assertSame('/yard?state=stood_down', $this->browser->path());
    }

    public function test_light_and_contrast_are_chosen_and_kept(): void
    {
        $this->signIn();
        $this->browser->open('/');
        $this->browser->press('Rosa Alder');
        $this->browser->press('Light and contrast');
        $this->browser->press('Shed, for the dark');
        $ground = fn (): string => (string) $this->browser->script(
            'return getComputedStyle(document.body).backgroundColor',
        );
        self::assertSame('rgb(23, 28, 25)', $ground());
        $this->browser->open('/logbook');
        $this->browser->see('Logbook');
        self::assertSame('rgb(23, 28, 25)', $ground());
    }

    public function test_a_record_is_changed_and_a_machine_leaves_the_yard_and_comes_back(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/edit");
        $this->browser->type('Place', 'North meadow');
        $this->browser->type('Its countdown is set in steps of', '0.5');
        $this->browser->press('Change the record');
        $this->browser->see('record changed.');
        $this->browser->see('north meadow');
        $this->browser->see('set 5, which rings at 95');

        $this->browser->press('Change the record');
        $this->browser->press('Take it out of the yard');
        $this->browser->see("{$machine['name']} is out of the yard.");
        $this->browser->notSee('north meadow');
        $this->browser->press('Undo');
        $this->browser->see('Taken back.');
        $this->find($machine['name']);
    }

    public function test_from_the_keyboard_alone(): void
    {
        $machine = $this->machine('90');
        $this->browser->open('/');
        $this->browser->field('Sign-in name');
        $this->browser->keys('rosa', self::TAB, 'coldbrook-rosa', self::ENTER);
        $this->browser->see('Bittern');
        $this->browser->keys('6');
        $this->browser->until(fn (): bool => $this->browser->path() === '/logbook', 'the logbook');
        $this->browser->keys('1');
        $this->browser->until(fn (): bool => $this->browser->path() === '/yard', 'the yard');
        $this->browser->keys('?');
        $this->browser->see('Walk the stakes, or the spots');
        $this->browser->keys(self::ESCAPE);
        $this->browser->notSee('Walk the stakes of a rail');

        $this->browser->open('/yard?name='.$machine['name']);
        $this->browser->see('Deck underside');
        $this->tabTo('95 h, deck underside');
        $this->browser->keys("\u{E014}");
        self::assertStringStartsWith(
            '100 h, engine oil',
            $this->browser->focused(),
            'the arrow walks to the next stake',
        );
        $this->browser->keys(self::ENTER);
        $this->browser->see('Record it done');
        $this->tabTo('Record it done');
        $this->browser->keys(self::ENTER);
        $this->browser->see('What was done');
        $this->tabTo('Hour meter');
        $this->browser->keys('98');
        $this->tabTo('Record 1 task done');
        $this->browser->keys(self::ENTER);
        $this->browser->see('service recorded.');
        $this->browser->see('Nothing found is open');
        $this->browser->keys('r');
        $this->browser->see('Due at 198 h, 100 h after 98 h.');
        $this->assertNoComplaints();
    }

    public function test_a_keeper_adds_a_person_and_makes_a_token(): void
    {
        $name = 'pia'.bin2hex(random_bytes(2));
        $this->signIn();
        $this->browser->open('/');
        $this->browser->press('Rosa Alder');
        $this->browser->press('People and the yard');
        $this->browser->press('Add a person');
        $this->browser->type('Name', 'Pia Thorn');
        $this->browser->type('Sign-in name', $name);
        $this->browser->press('Add and invite');
        $this->browser->see('Invite Pia Thorn');
        $code = $this->browser->until(fn (): ?string => preg_match('/[2-9A-Z]{4}(-[2-9A-Z]{4}){2}/', $this->browser->text(), $found) === 1 ? $found[0] : null, 'the code');
        self::assertSame([], $this->browser->barriers());
        $this->browser->press('Done');
        $this->browser->see("signs in as {$name}");

        $this->browser->startAfresh();
        $this->browser->resize(Browser::PHONE);
        $this->browser->visit(getenv('JARDINIER_URL')."/welcome#{$code}");
        $this->browser->see('Choose a password of your own');
        self::assertSame($code, $this->browser->value('The code that you were given'));
        self::assertSame([], $this->browser->barriers());
        $this->browser->type('Password, at least 10 characters', 'password12');
        $this->browser->press('Come in');
        $this->browser->see('Everybody tries that one first.');
        $this->browser->type('Password, at least 10 characters', 'hens in the orchard');
        $this->browser->press('Come in');
        $this->browser->see('Walkaround');
        $this->browser->startAfresh();
        $this->browser->visit(getenv('JARDINIER_URL')."/welcome#{$code}");
        $this->browser->type('Password, at least 10 characters', 'geese in the orchard');
        $this->browser->press('Come in');
        $this->browser->see('That invitation has been used, or has ended.');

        $this->browser->startAfresh();
        $this->browser->resize(Browser::DESK);
        $this->signIn();
        $this->browser->open('/account');
        $this->browser->see('Where you are signed in');
        $this->browser->see('This device');
        $this->browser->type('What it is for', 'Office wall');
        $this->browser->press('Make a token');
        $this->browser->see('Copy it now; it is not shown again.');
    }

    private function tabTo(string $name): void
    {
        $this->browser->until(function () use ($name): bool {
            if (str_starts_with($this->browser->focused(), $name)) {
                return true;
            }
            $this->browser->keys(self::TAB);

            return false;
        }, "the focus to reach \"{$name}\"");
    }

    /** @return list<string> the machines on the yard's sheet */
    private function shown(): array
    {
        return $this->browser->script(
            'return [...document.querySelectorAll("article h2, article h3")].map(name => name.innerText)',
        );
    }
}
