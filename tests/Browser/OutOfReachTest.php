<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\TestWith;

/** A round in a shed without signal. */
final class OutOfReachTest extends BrowserTestCase
{
    public function test_a_round_goes_on_without_signal_through_a_reload_and_a_killed_browser_and_is_written_once(): void
    {
        $machine = $this->machine();
        $this->browser->resize(Browser::PHONE);
        $this->signIn('nell');
        $this->browser->open("/walkaround/{$machine['id']}/daily");
        $this->browser->see('Hour meter');
        $this->browser->until(
            fn (): bool => (bool) $this->browser->asyncScript(
                'const done = arguments[0]; navigator.serviceWorker.ready.then(() => caches.keys()).then(keys => done(keys.length > 0))',
            ),
            'the application to be kept on the device',
        );
        $this->browser->type('It shows', '91');
        $this->browser->press('Log 91 h, first check');
        $this->browser->see('2 of 12');
        // The next check is shown before the note of the last is kept.
        $this->browser->until(
            fn (): bool => ($this->keeper()->ask('GET', "/machines/{$machine['id']}")['body']['line']['meters'][0]['value'] ?? '') === '91',
            'the reading to be written',
        );
        $this->browser->notSee('to be sent');

        $this->browser->outOfReach();
        $this->browser->press('Fine, between the marks');
        $this->browser->see('1 note waits to be sent');
        $this->browser->press('Fine');
        $this->browser->press('Not fine');
        $this->browser->press('Low');
        $this->browser->see('3 notes wait to be sent');
        $this->browser->see('5 of 12');

        $this->browser->script('location.reload()');
        $this->browser->see('5 of 12');
        $this->browser->see('3 notes wait to be sent');
        $this->browser->press('Fine');
        $this->browser->see('6 of 12');

        $this->browser->dieAndStartAgain();
        $this->browser->resize(Browser::PHONE);
        $this->browser->outOfReach();
        $this->browser->open("/walkaround/{$machine['id']}/daily");
        $this->browser->see('6 of 12');
        $this->browser->see('4 notes wait to be sent');
        for ($check = 6; $check <= 12; $check++) {
            $this->browser->see("{$check} of 12");
            $this->browser->press('Fine');
        }
        $this->browser->see('walked round');
        $this->browser->see('12 notes wait to be sent');
        self::assertSame([], $this->walk($machine['id'])['findings'], 'nothing has been sent yet');

        $this->browser->outOfReach(false);
        $this->browser->open('/walkaround');
        $this->browser->until(
            fn (): bool => str_contains($this->browser->text(), 'Sign in')
                || str_contains($this->browser->text(), 'walked today'),
            'the yard to answer',
        );
        if ($this->browser->offers('Sign in')) {
            $this->signIn('nell');
            $this->browser->open('/');
        }
        $this->browser->until(
            fn (): bool => count($this->walk($machine['id'])['looks'] ?? []) === 11,
            'every look to be sent',
        );
        $this->browser->notSee('to be sent');
        $entries = $this->entries($machine['id'], 'round');
        self::assertCount(1, $entries);
        self::assertSame('Morning round: 11 looked at, watch: Fuel', $entries[0]['in_words']);
        self::assertSame('Nell Ashby', $entries[0]['by']);
        self::assertCount(11, $this->walk($machine['id'])['looks']);
    }

    public function test_a_measurement_without_signal_is_kept_and_judged_when_it_is_sent(): void
    {
        $tractor = $this->machine('90', 'tractor');
        $this->signIn('bram');
        $this->browser->open("/walkaround/{$tractor['id']}/weekly?at=belt");
        $this->browser->see('At rest');
        $this->browser->outOfReach();
        $this->browser->type('At rest', '1 3/4');
        $this->browser->type('Pressed, in', '1 3/8');
        $this->browser->see('ACT');
        $this->browser->see('the yard says the rest when this is sent');
        $this->browser->press('Write it down, next check');
        $this->browser->see('1 note waits to be sent');
        $this->browser->outOfReach(false);
        $this->browser->script('window.dispatchEvent(new Event("online"))');
        $this->browser->until(
            fn (): bool => count($this->walk($tractor['id'])['findings'] ?? []) === 1,
            'the measurement to be sent',
        );
        $this->browser->notSee('to be sent');
        self::assertSame('act', $this->walk($tractor['id'])['findings'][0]['verdict']);
        $this->browser->open("/walkaround/{$tractor['id']}/weekly?at=belt");
        $this->browser->see('over by 1/24 in');
    }

    public function test_of_two_measurements_kept_without_signal_both_verdicts_reach_the_round_though_nobody_looks_at_it(): void
    {
        $tractor = $this->machine('90', 'tractor');
        $round = "/walkaround/{$tractor['id']}/before_season";
        $this->signIn('bram');
        $this->browser->open('/walkaround');
        $this->browser->see($tractor['name']);
        $this->browser->open("{$round}?at=battery");
        $this->browser->see('At rest');
        $this->keptOnTheDevice();
        $this->browser->outOfReach();
        $this->browser->type('At rest', '11.5');
        $this->browser->see('the verdict comes when this is sent');
        $this->browser->press('Write it down, next check');
        $this->browser->see('1 note waits to be sent');
        $this->browser->open("{$round}?at=pedal_play");
        $this->browser->type('Left, or the only one', '1');
        $this->browser->press('Pedals latched together again');
        $this->browser->press('Write it down, next check');
        $this->browser->see('2 notes wait to be sent');
        $this->browser->open('/walkaround');
        $this->browser->see($tractor['name']);
        $this->browser->outOfReach(false);
        $this->browser->script('window.dispatchEvent(new Event("online"))');
        $this->browser->notSee('to be sent');
        $this->browser->open("{$round}?at=~end");
        $this->browser->see("{$tractor['name']}, walked round");
        $this->browser->see('1 fine');
        self::assertStringNotContainsString('no verdict yet', $this->browser->text());
        self::assertSame(['act', 'fit'], array_column($this->walk($tractor['id'])['looks'], 'verdict'));
    }

    public function test_a_service_recorded_after_hours_that_were_logged_without_signal_stands_at_those_hours(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/service");
        $this->browser->see('Last reading 90.0 h');
        $this->keptOnTheDevice();
        $this->browser->outOfReach();
        $this->browser->keys('/');
        $this->browser->keys("{$machine['name']} 94.4");
        $this->browser->keys(self::ENTER);
        $this->browser->see('1 note waits to be sent');
        $this->browser->see('Last reading 94.4 h');
        $this->browser->press('Deck underside');
        $this->browser->press('Record 1 task done');
        $this->browser->see('2 notes wait to be sent');
        $this->browser->outOfReach(false);
        $this->browser->script('window.dispatchEvent(new Event("online"))');
        $this->browser->notSee('to be sent');
        self::assertSame([], $this->entries($machine['id'], 'meter_doubted'));
        self::assertSame('94.4', $this->entries($machine['id'], 'service')[0]['readings'][0]['value'] ?? $this->entries($machine['id'], 'reading')[0]['readings'][0]['value']);
        self::assertCount(1, $this->entries($machine['id'], 'service'));
    }

    public function test_hours_logged_from_the_yard_without_signal_arrive_and_can_be_taken_back_before(): void
    {
        $machine = $this->machine();
        $this->signIn('bram');
        $this->browser->open('/');
        $this->find($machine['name']);
        $this->browser->outOfReach();
        $this->browser->press('Log hours');
        $this->browser->type('The meter shows', '94.4');
        $this->browser->press('Log 94.4 h');
        $this->browser->see("{$machine['name']}: 94.4 h: kept on this device until it can be sent.");
        $this->browser->see('1 note waits to be sent');
        $this->browser->press('Undo');
        $this->browser->notSee('note waits to be sent');

        $this->browser->press('Log hours');
        $this->browser->type('The meter shows', '93.3');
        $this->browser->press('Log 93.3 h');
        $this->browser->see('93.3 h: kept on this device');
        $this->browser->keys('/');
        $this->browser->keys("{$machine['name']} 94.1 h");
        $this->browser->keys(self::ENTER);
        $this->browser->see('2 notes wait to be sent');
        $this->browser->outOfReach(false);
        $this->browser->script('window.dispatchEvent(new Event("online"))');
        $this->browser->notSee('to be sent');
        $this->browser->see('94.1');
        self::assertSame(['94.1 h', '93.3 h'], array_column($this->entries($machine['id'], 'reading'), 'in_words'));
    }

    public function test_what_one_person_keeps_here_is_not_sent_by_another(): void
    {
        $machine = $this->machine();
        $this->signIn('wilf');
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=leaks");
        $this->browser->see('Leaks');
        $this->browser->untilQuiet();
        // The session ends while he stands by the machine.
        $this->browser->command('Network.clearBrowserCookies', []);
        $this->browser->press('Fine');
        $this->browser->see('1 note waits to be sent');
        $this->browser->startAfresh(['local_storage']);
        $this->signIn('ilse');
        $this->browser->open('/walkaround/waiting');
        $this->browser->see('None. Everything else is sent as soon as there is signal.');
        self::assertStringNotContainsString('to be sent', $this->browser->text());
        self::assertSame([], $this->walk($machine['id'])['looks']);

        $this->browser->startAfresh(['local_storage']);
        $this->signIn('wilf');
        $this->browser->open('/');
        $this->browser->until(
            fn (): bool => count($this->walk($machine['id'])['looks']) === 1,
            'the note to be sent by who noted it',
        );
        self::assertSame('Wilf Garth', $this->walk($machine['id'])['looks'][0]['by']);
    }

    /** Private windows, full phones, damaged profiles. */
    #[TestWith(['IDBFactory.prototype.open = () => new EventTarget()', 'never answers'])]
    #[TestWith(['IDBFactory.prototype.open = () => { throw new DOMException("", "SecurityError") }', 'refuses'])]
    #[TestWith(['Object.defineProperty(window, "localStorage", { get() { throw new DOMException("", "SecurityError") } }); IDBFactory.prototype.open = () => { throw new DOMException("", "SecurityError") }', 'refuses even what is small'])]
    #[TestWith(['IDBObjectStore.prototype.add = () => { throw new DOMException("", "QuotaExceededError") }', 'is full'])]
    public function test_a_browser_that_keeps_nothing_walks_the_round_all_the_same_and_says_what_is_at_stake(string $script): void
    {
        $machine = $this->machine();
        $this->signIn('nell');
        $this->browser->onEveryPage($script);
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=leaks");
        $this->browser->see('Not looked at');
        $this->browser->outOfReach();
        $this->browser->press('Fine');
        $this->browser->see('1 note waits to be sent. This browser keeps nothing: leave the page open until then');
        $this->browser->outOfReach(false);
        $this->browser->script('window.dispatchEvent(new Event("online"))');
        $this->browser->until(fn (): bool => count($this->walk($machine['id'])['looks']) === 1, 'the look to be sent');
        $this->browser->notSee('to be sent');
    }

    public function test_what_is_cleared_under_the_hands_is_begun_anew_and_nothing_said_afterwards_is_lost(): void
    {
        $machine = $this->machine();
        $this->signIn('nell');
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=leaks");
        $this->browser->see('Not looked at');
        $this->browser->forget('indexeddb');
        $this->browser->press('Fine');
        $this->browser->until(fn (): bool => count($this->walk($machine['id'])['looks']) === 1, 'the look to be sent');
        $this->browser->notSee('This browser keeps nothing');
    }

    /**
     * The yard falls over, or is being put right: the page says so, and shows what was asked for once it can be had.
     */
    #[TestWith(['/walkaround/%d/daily', '/walk', 'Hour meter'])]
    #[TestWith(['/machines/%d', '/machines/', 'Rulebook'])]
    #[TestWith(['/machines/%d/chart', '/chart', 'Which means'])]
    #[TestWith(['/machines/%d/book', '/entries', 'Entered in the book'])]
    public function test_a_page_that_got_no_answer_says_so_and_asks_again(
        string $path,
        string $fails,
        string $shows,
    ): void {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->onEveryPage(sprintf(<<<'JS'
            document.addEventListener('readystatechange', () => document.getElementById('given')?.remove());
            const fetched = window.fetch;
            window.yardIsDown = true;
            window.fetch = asked => window.yardIsDown && asked.url.includes(%s)
              ? Promise.resolve(new Response('{"type":"/problems/failure","title":"Failed","status":500,"detail":"Something broke here."}', {status: 500, headers: {'Content-Type': 'application/problem+json'}}))
              : fetched(asked);
            JS, json_encode($fails)));
        $this->browser->open(sprintf($path, $machine['id']));
        $this->browser->see('Something broke here.');
        $this->browser->script('window.yardIsDown = false');
        $this->browser->press('Try again');
        $this->browser->see($shows);
        $this->browser->notSee('Something broke here.');
    }

    public function test_a_note_at_which_the_yard_breaks_is_set_aside_with_what_was_typed_and_the_rest_goes_on(): void
    {
        $machine = $this->machine();
        $this->signIn('nell');
        $this->browser->onEveryPage(<<<'JS'
            const fetched = window.fetch;
            window.fetch = async asked => asked.url.endsWith('/api/notes') && (await asked.clone().text()).includes('breaks the yard')
              ? new Response('{"type":"/problems/our-fault","title":"Failed","status":500,"detail":"Something broke here."}', {status: 500, headers: {'Content-Type': 'application/problem+json'}})
              : fetched(asked);
            JS);
        $this->browser->open("/walkaround/{$machine['id']}/daily?at=leaks");
        $this->browser->see('Not looked at');
        $this->browser->press('Not fine');
        $this->browser->type('In your own words', 'It breaks the yard');
        $this->browser->press('Weeping: damp, no drop');
        $this->browser->press('Fine');
        $this->browser->until(
            fn (): bool => count($this->walk($machine['id'])['looks']) === 1,
            'the other note to be sent',
        );
        $this->browser->press('One note came back');
        $this->browser->see('Something broke here.');
        self::assertSame('It breaks the yard', $this->browser->value('Note'));
    }

    public function test_a_dialog_whose_script_does_not_arrive_leaves_the_page_standing(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->command('Network.setBypassServiceWorker', ['bypass' => true]);
        $this->browser->command('Network.setBlockedURLs', ['urls' => ['*/LogHours-*']]);
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Log hours');
        $this->browser->see('A part of this program is missing here. What was noted is kept.');
        $this->browser->keys(self::ESCAPE);
        $this->browser->notSee('A part of this program is missing here.');
        $this->browser->see('90.0 h');
        $this->browser->command('Network.setBlockedURLs', ['urls' => []]);
        $this->browser->command('Network.setBypassServiceWorker', ['bypass' => false]);
    }

    public function test_a_leaf_of_the_program_that_does_not_arrive_leaves_the_places_in_reach(): void
    {
        $this->signIn();
        $this->browser->command('Network.setBypassServiceWorker', ['bypass' => true]);
        $this->browser->command('Network.setBlockedURLs', ['urls' => ['*/people-*']]);
        $this->browser->open('/people');
        $this->browser->see('A part of this program did not arrive.');
        $this->browser->press('Yard');
        $this->browser->see('Bittern');
        $this->browser->command('Network.setBlockedURLs', ['urls' => []]);
        $this->browser->command('Network.setBypassServiceWorker', ['bypass' => false]);
    }
}
