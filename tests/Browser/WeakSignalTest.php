<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\TestWith;
use Tests\Ports;
use Tests\ServedClock;

/** The signal is there and is not: answers come late, never, cut off, twice, or are another's. */
final class WeakSignalTest extends BrowserTestCase
{
    private static int $port;

    /** @var resource */
    private static $weak;

    private static ?Browser $behind = null;

    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        self::$port = Ports::free();
        $weak = proc_open(['node', __DIR__.'/weak.mjs', (string) self::$port, (string) getenv('JARDINIER_URL')], [], $pipes);
        assert(is_resource($weak));
        self::$weak = $weak;
        self::$behind = new Browser('http://127.0.0.1:'.self::$port);
    }

    public static function tearDownAfterClass(): void
    {
        self::$behind?->quit();
        proc_terminate(self::$weak);
        parent::tearDownAfterClass();
    }

    protected function setUp(): void
    {
        parent::setUp();
        assert(self::$behind !== null);
        $this->browser = self::$behind;
        $this->weak();
        $this->browser->resize(Browser::DESK);
        $this->browser->startAfresh();
    }

    public function test_what_is_taken_back_while_it_is_on_its_way_is_struck_after_the_answer_and_said_only_then(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Log hours');
        $this->browser->type('The meter shows', '94.4');
        $this->weak(['method' => 'POST', 'path' => '^/api/notes$', 'does' => 'late', 'ms' => 14_000, 'times' => 1]);
        $this->browser->press('Log 94.4 h');
        $this->browser->see('kept on this device until it can be sent');
        $this->browser->press('Undo');
        $this->browser->see('It may be with the yard already.');
        self::assertStringNotContainsString('Taken back.', $this->browser->text());
        $this->browser->see('Taken back.');
        self::assertSame([true], array_column(array_map(fn (array $one): array => ['struck' => $one['struck'] !== null], $this->entries($machine['id'], 'reading')), 'struck'));
    }

    /** @param  array<string, mixed>  $how */
    #[TestWith([['does' => 'silent']])]
    #[TestWith([['does' => 'answer', 'status' => 502]])]
    #[TestWith([['does' => 'cut']])]
    public function test_what_is_on_the_device_is_shown_with_its_age_where_the_yard_does_not_answer(array $how): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->see('90.0 h');
        $this->keptOnTheDevice();
        $this->browser->moveClock(7200);
        $this->weak(['path' => '^/', ...$how]);
        $this->browser->open('/');
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->see($machine['name']);
        $this->browser->see('90.0 h');
        $this->browser->see('As of 1');
        $this->browser->see('The yard does not answer');
        $this->weak();
        $this->browser->press('Try again');
        $this->browser->notSee('As of');
    }

    public function test_a_note_that_is_written_while_its_answer_is_lost_and_one_that_arrives_twice_are_written_once(): void
    {
        $machine = $this->machine();
        $this->signIn();
        foreach (['lost' => '91.1', 'twice' => '92.2'] as $does => $value) {
            $this->browser->open("/machines/{$machine['id']}");
            $this->browser->press('Log hours');
            $this->browser->type('The meter shows', $value);
            $this->weak(['method' => 'POST', 'path' => '^/api/notes$', 'does' => $does, 'times' => 1]);
            $this->browser->press("Log {$value} h");
            $this->browser->until(fn (): bool => ($this->entries($machine['id'], 'reading')[0]['in_words'] ?? '') === "{$value} h", 'the reading');
            $this->browser->notSee('to be sent');
        }
        self::assertSame(['92.2 h', '91.1 h'], array_column($this->entries($machine['id'], 'reading'), 'in_words'));
    }

    public function test_a_sending_that_is_refused_comes_back_to_its_writer_and_holds_up_nothing(): void
    {
        $machine = $this->machine();
        $this->signIn('nell');
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=leaks");
        $this->browser->see('Not looked at');
        $this->weak(['method' => 'POST', 'path' => '^/api/notes$', 'does' => 'answer', 'status' => 403, 'times' => 1]);
        $this->browser->press('Fine');
        $this->browser->see('One note came back');
        $this->browser->press('Fine');
        $this->browser->until(fn (): bool => count($this->walk($machine['id'])['looks']) === 1, 'the other note to be sent');
        $this->browser->press('One note came back');
        $this->browser->press('Throw this note away');
        $this->browser->see('None.');
    }

    #[TestWith([60])]
    #[TestWith([160])]
    #[TestWith([250])]
    public function test_a_second_tap_answers_no_check_that_nobody_has_seen(int $milliseconds): void
    {
        $machine = $this->machine();
        $this->signIn('nell');
        $this->browser->resize(Browser::PHONE);
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=leaks");
        $this->browser->see('Leaks');
        $this->browser->tapTwice('Fine', $milliseconds);
        $this->browser->until(fn (): bool => count($this->walk($machine['id'])['looks']) >= 1, 'the look');
        usleep(1_500_000);
        self::assertCount(1, $this->walk($machine['id'])['looks']);
        $this->browser->see('of 12');
    }

    public function test_a_thumb_that_stays_or_slides_answers_once_or_not_at_all(): void
    {
        $machine = $this->machine();
        $this->signIn('nell');
        $this->browser->resize(Browser::PHONE);
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=leaks");
        $this->browser->see('Leaks');
        $this->browser->slideOff('Fine');
        usleep(1_000_000);
        self::assertSame([], $this->walk($machine['id'])['looks']);
        $this->browser->tapLong('Fine', 1_200);
        $this->browser->until(fn (): bool => count($this->walk($machine['id'])['looks']) === 1, 'the look');
        usleep(1_000_000);
        self::assertCount(1, $this->walk($machine['id'])['looks']);
    }

    public function test_on_a_phone_of_the_other_half_of_the_world_times_and_days_are_the_yards(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->command('Emulation.setTimezoneOverride', ['timezoneId' => 'Pacific/Auckland']);
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Log hours');
        $this->browser->type('The meter shows', '94.4');
        $this->browser->press('Log 94.4 h');
        $this->browser->see('94.4 h logged');
        $this->browser->open("/machines/{$machine['id']}/book");
        $this->browser->see(ServedClock::now()->setTimezone(new \DateTimeZone('Europe/London'))->format('j M Y, H:'));
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=leaks");
        $this->browser->press('Fine');
        $this->browser->until(fn (): bool => count($this->walk($machine['id'])['looks']) === 1, 'the look');
        $day = $this->browser->asyncScript(<<<'JS'
            const done = arguments[0];
            const opened = indexedDB.open('jardinier');
            opened.onsuccess = () => {
                const asked = opened.result.transaction('rounds').objectStore('rounds').getAll();
                asked.onsuccess = () => { opened.result.close(); done(asked.result[0].day); };
            };
            JS);
        self::assertSame('2026-05-14', $day);
        $this->browser->command('Emulation.setTimezoneOverride', ['timezoneId' => '']);
    }

    /** Clocks went from 01:00 to 02:00 in the night to 29 March 2026, and a phone of Auckland was already at noon. */
    public function test_what_was_seen_in_the_night_in_which_the_clocks_were_changed_stands_at_the_yards_hours(): void
    {
        $machine = $this->machine();
        foreach (['leaks' => '2026-03-29T00:59:00Z', 'engine_oil' => '2026-03-29T01:00:00Z', 'chute' => '2026-03-28T23:59:00Z'] as $check => $at) {
            $id = sprintf('%08x-0000-4000-8000-%012x', random_int(0, 0xFFFFFFFF), random_int(0, 0xFFFFFFFFFFFF));
            $note = ['id' => $id, 'kind' => 'look', 'machine_id' => $machine['id'], 'check' => $check, 'said' => 'fine', 'at' => $at];
            $this->keeper()->ask('POST', '/notes', ['notes' => [$note]]);
        }
        $this->signIn();
        $this->browser->command('Emulation.setTimezoneOverride', ['timezoneId' => 'Pacific/Auckland']);
        $this->browser->open("/machines/{$machine['id']}/book");
        foreach (['29 Mar 2026, 00:59', '29 Mar 2026, 02:00', '28 Mar 2026, 23:59'] as $hour) {
            $this->browser->see($hour);
        }
        $this->browser->command('Emulation.setTimezoneOverride', ['timezoneId' => '']);
    }

    public function test_the_yard_stands_still_when_the_morning_comes_late(): void
    {
        $this->signIn();
        $this->browser->open('/walkaround');
        $this->browser->see('Bittern');
        $this->weak(['path' => '^/api/walkaround/morning', 'does' => 'late', 'ms' => 1_500]);
        $this->browser->press('Yard');
        $this->browser->see('not looked at today');
        $this->browser->see('Bittern');
        $moved = $this->browser->asyncScript(<<<'JS'
            const done = arguments[0];
            new PerformanceObserver((list) => done(list.getEntries().reduce((sum, { value, hadRecentInput }) => sum + (hadRecentInput ? 0 : value), 0)))
                .observe({ type: 'layout-shift', buffered: true });
            setTimeout(() => done(0), 1000);
            JS);
        self::assertLessThan(0.1, $moved);
        $this->weak();
    }

    public function test_the_yard_stands_though_the_morning_does_not_come_at_all(): void
    {
        $this->signIn();
        $this->browser->open('/walkaround');
        $this->browser->see('Bittern');
        $this->weak(['path' => '^/api/walkaround/morning', 'does' => 'cut']);
        $this->browser->press('Yard');
        $this->browser->see('Add a machine');
        $this->browser->untilQuiet();
        self::assertTrue($this->browser->offers('Add a machine'));
        $this->weak();
    }

    public function test_who_signs_out_without_signal_is_told_so_and_nothing_is_forgotten(): void
    {
        $machine = $this->machine();
        $this->signIn('nell');
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=leaks");
        $this->browser->press('Fine');
        $this->browser->until(fn (): bool => count($this->walk($machine['id'])['looks']) === 1, 'the look');
        $this->browser->open('/walkaround');
        $this->browser->see($machine['name']);
        $this->keptOnTheDevice();
        $this->weak(['path' => '^/api/', 'does' => 'cut']);
        $this->browser->press('Nell Ashby');
        $this->browser->press('Sign out');
        $this->browser->see('What you read here and what you began is forgotten on this device.');
        $this->browser->press('Sign out');
        $this->browser->see('nobody could be signed out, and nothing was forgotten');
        $this->browser->open("/walkaround/{$machine['id']}/daily");
        $this->browser->see('morning round, 1 of 12');
        $this->weak();
    }

    public function test_what_one_person_began_is_not_in_the_next_ones_form(): void
    {
        $machine = $this->machine();
        $this->signIn('bram');
        $this->browser->open("/machines/{$machine['id']}/service");
        $this->browser->type('Note', 'Only for Bram');
        $this->browser->untilQuiet();
        $this->browser->command('Network.clearBrowserCookies', []);
        $this->signIn('jory');
        $this->browser->open("/machines/{$machine['id']}/service");
        $this->browser->see($machine['name']);
        self::assertNotSame('Only for Bram', $this->browser->value('Note'));
    }

    public function test_no_number_is_offered_to_be_logged_that_is_none_and_thousands_stay_thousands(): void
    {
        $machine = $this->machine('1204.3');
        $this->signIn('nell');
        $this->browser->open("/walkaround/{$machine['id']}/daily");
        $this->browser->type('It shows', 'abc');
        $this->browser->see('"abc" is not a number.');
        self::assertFalse($this->browser->offers('Log abc h, first check'));
        $this->browser->type('It shows', '1,204.3');
        $this->browser->press('It shows more');
        self::assertSame('1,204.4', $this->browser->value('It shows'));
        $this->browser->see('Log 1,204.4 h, first check');
    }

    #[TestWith(['/machines/99999', 'There is no such thing in this yard.'])]
    #[TestWith(['/shelf/99999', 'There is no such thing in this yard.'])]
    #[TestWith(['/nowhere/at/all', 'There is no page at this address.'])]
    public function test_an_address_that_names_nothing_leads_back(string $address, string $says): void
    {
        $this->signIn();
        $this->browser->open($address);
        $this->browser->see($says);
        self::assertSame('Not here', $this->browser->title());
        self::assertSame(1, $this->browser->script('return document.querySelectorAll("main a").length'));
    }

    public function test_a_round_of_no_such_kind_is_none(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/walkaround/{$machine['id']}/nonsense");
        $this->browser->see('There is no such round.');
        $this->browser->press("The rounds of {$machine['name']}");
        $this->browser->see('Which round?');
    }

    /** @param  array<string, mixed>  ...$rules  as `weak.mjs` has them */
    private function weak(array ...$rules): void
    {
        $asked = stream_context_create(['http' => ['method' => 'POST', 'content' => json_encode($rules), 'header' => 'Content-Type: application/json']]);
        for ($try = 0; @file_get_contents('http://127.0.0.1:'.self::$port.'/weak', context: $asked) === false; $try++) {
            self::assertLessThan(50, $try, 'the weak signal does not begin');
            usleep(100_000);
        }
    }
}
