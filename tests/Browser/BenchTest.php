<?php

declare(strict_types=1);

namespace Tests\Browser;

/**
 * A service led on a phone, from the due point to the book. The clock is moved, never waited for; names and numbers are
 * invented.
 */
final class BenchTest extends BrowserTestCase
{
    /** From the due point to signed off, oil and filter of one engine. */
    private const MOST_PRESSES = 45;

    private int $presses = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->browser->resize(Browser::PHONE);
        $this->presses = 0;
    }

    public function test_oil_and_filter_from_due_to_signed_off_in_few_presses_through_a_reload_and_another_device(): void
    {
        $machine = $this->engine();
        $this->signIn();
        $this->browser->open("/bench/new/{$machine['id']}");
        $this->browser->see('What falls due');
        $this->press('Deck underside');
        $this->press('Make a job of 1 thing');
        $this->press('Begin');
        $this->done('Make it safe');
        $this->tick('Run it only where exhaust cannot gather');
        $this->at('Warm it up', 'Start, 5 min');
        $this->browser->see('Not over yet');
        $this->browser->moveClock(200);
        $this->browser->script('location.reload()');
        $this->browser->see('1:');
        $this->browser->moveClock(110);
        $this->at('Warm it up', 'Done, it stands');
        $this->done('Clean round what is opened');
        $this->done('Loosen: Engine oil filler', 'Open: Engine oil filler');
        $this->see('Open: Engine oil drain');
        $this->tick('Hot oil and exhaust burn');
        $this->done('Open: Engine oil drain');
        $this->browser->see('Not over yet');
        $this->browser->script('location.reload()');
        $this->browser->see('Not over yet');
        $this->browser->moveClock(600);
        $this->see('Look: Engine oil drain');
        $this->press('dark');
        $this->browser->see('Go on: it carries the dirt it should.');
        $this->press('Write it down');
        $this->done('Take off: Engine oil filter');

        $job = explode('/', $this->browser->path())[2];
        $this->onAnotherDevice(function (Browser $other) use ($job): void {
            $other->open("/bench/{$job}/step");
            $other->see('Look: Engine oil filter');
            $other->press('Done');
            $other->see('Compare old with new');
        });
        $this->browser->script('location.reload()');
        $this->done('Compare old with new: Engine oil filter');
        $this->see('Write on it: Engine oil filter');
        $this->browser->see("{$machine['name']} · 14 May 2026 · 101.0 h");
        $this->done('Write on it: Engine oil filter', 'Fit: Engine oil filter', 'Look it over: Engine oil filter');
        $this->at('Close: Engine oil drain', 'Done, new W 18');
        $this->at('Tighten: Engine oil drain', 'Tight at 21.7 N·m');
        $this->at('Pour: Engine oil', 'Poured 1.3 L');
        $this->done('Close: Engine oil filler');
        $this->at('Tighten: Engine oil filler', 'Tight at 27.1 N·m');
        $this->at('Run it: Engine oil', 'Start, 2 min');
        $this->browser->moveClock(125);
        $this->at('Run it: Engine oil', 'Done, it stands');
        $this->see('Look for leaks');
        $this->tick('Never feel for a leak with a hand');
        $this->done('Look for leaks');
        $this->browser->moveClock(125);
        $this->see('Read the level: Engine oil');
        $this->press('level');
        $this->press('1/2');
        $this->at('Read the level: Engine oil', 'It stands between the marks');
        $this->browser->type('Goes in', '150 mL');
        $this->at('Top up: Engine oil', 'Poured 150 mL');
        $this->press('full');
        $this->press('It is right, and shut');
        $this->done('Try it out', 'Look for leaks again', 'Set its own reminder');
        $this->press('Sign it off');
        $this->browser->type('Hour meter', '101.2');
        $this->press('Sign it off');
        $this->browser->see('Due at 201.2 h');

        self::assertLessThanOrEqual(self::MOST_PRESSES, $this->presses);
        $entry = $this->entries($machine['id'], 'service')[0];
        self::assertStringContainsString('engine oil replaced, 1.45 L', $entry['in_words']);
        $this->assertNoComplaints();
    }

    public function test_a_job_goes_on_without_signal_from_its_beginning_to_its_end(): void
    {
        $machine = $this->machine('101');
        $job = $this->make($machine['id'], 'Deck underside');
        $this->signIn();
        $this->browser->open("/bench/{$job}");
        $this->browser->see('Begin');
        $this->browser->open("/bench/{$job}/off");
        $this->browser->see('Not yet');
        $this->keptOnTheDevice();
        $this->browser->open("/bench/{$job}/step");
        $this->browser->see('Make it safe');
        $this->browser->outOfReach();
        $this->done('Make it safe', 'Spark-plug leads off');
        $this->browser->see('2 notes wait to be sent');
        $this->browser->script('location.reload()');
        $this->see('Clean: Deck underside');
        $this->tick('Take the spark-plug lead off');
        $this->done('Clean: Deck underside', 'Spark-plug leads on again', 'Set its own reminder');
        $this->press('Sign it off');
        $this->browser->type('Hour meter', '101.4');
        $this->press('Sign it off');
        $this->browser->see('6 notes wait to be sent');
        self::assertSame([], $this->entries($machine['id'], 'service'));
        $this->browser->outOfReach(false);
        $this->browser->until(
            fn (): bool => count($this->entries($machine['id'], 'service')) === 1,
            'the job to stand in the book',
        );
        self::assertSame('At 101.4 h: deck underside cleaned', $this->entries($machine['id'], 'service')[0]['in_words']);
    }

    public function test_a_plug_that_will_not_open_keeps_the_old_oil_in_and_the_rest_goes_on(): void
    {
        $machine = $this->engine();
        $job = $this->make($machine['id'], 'Engine oil', 'Deck underside');
        $this->signIn();
        $this->browser->open("/bench/{$job}/step?at=open%3Aengine_oil_drain");
        $this->browser->see('Not yet. First: make it safe.');
        $this->browser->open("/bench/{$job}/step");
        $this->done('Make it safe');
        $this->tick('Run it only where exhaust cannot gather');
        $this->at('Warm it up', 'It is warm already');
        $this->done('Clean round what is opened');
        $this->see('Loosen: Engine oil filler');
        $this->press('Cannot do this');
        $this->browser->see('Do not drain: old oil beats no oil.');
        $this->browser->see('Let it run out: Engine oil drain');
        $this->press('It is rounded off.');
        $this->done('Spark-plug leads off');
        $this->see('Clean: Deck underside');
        $this->tick('Take the spark-plug lead off');
        $this->done('Clean: Deck underside', 'Spark-plug leads on again', 'Set its own reminder');
        $this->press('Sign it off');
        $this->browser->see('Could not: Loosen: Engine oil filler');
        $this->browser->type('Hour meter', '101');
        $this->press('Sign it off');
        $this->browser->see('Signed off');
        $entry = $this->entries($machine['id'], 'service')[0];
        self::assertStringContainsString('deck underside cleaned', $entry['in_words']);
        self::assertStringNotContainsString('engine oil replaced', $entry['in_words']);
        $findings = array_column($this->walk($machine['id'])['findings'], 'why');
        self::assertStringContainsString('It is rounded off.', implode(' ', $findings));
    }

    public function test_an_axle_with_two_drains_is_filled_until_it_runs_at_its_level_plug(): void
    {
        $machine = $this->machine('101', 'tractor');
        $this->keeper()->ask('POST', "/machines/{$machine['id']}/rules", [
            'task' => 'Front axle oil',
            'kind' => 'replace',
            'spots' => ['front_axle'],
            'every' => ['hours' => '100'],
        ], ['Idempotency-Key: '.bin2hex(random_bytes(8))]);
        $this->sheet($machine['id'], 'front_axle', [
            'capacities' => [['amount' => '4.5 L']],
            'specification' => ['kind' => 'gear_oil'],
        ]);
        $job = $this->make($machine['id'], 'Front axle oil');
        $this->signIn();
        $this->browser->open("/bench/{$job}/step");
        $met = $this->goOn([
            '/^Look: Front axle oil/' => 'Write it down',
            '/^Pour: Front axle oil/' => 'Poured 3.83 L',
            '/^Read the level/' => 'It stands at the threads, or just running',
            '/^Tighten: /' => 'Snug plus an eighth',
            '/^Warm it up/' => 'Start, 10 min',
        ]);
        $order = array_flip($met);
        foreach (['drain', 'second drain'] as $drain) {
            self::assertLessThan($order["Open: Front axle oil {$drain}"], $order['Loosen: Front axle oil filler'], 'fill plug loose before drain plug');
            self::assertLessThan($order['Pour: Front axle oil'], $order["Close: Front axle oil {$drain}"]);
        }
        self::assertLessThan($order['Close: Front axle oil level plug'], $order['Read the level: Front axle oil']);
        $this->press('Sign it off');
        $this->browser->type('Hour meter', '101.5');
        $this->press('Sign it off');
        $this->browser->see('Due at 201.5 h');
        self::assertStringContainsString('front axle oil replaced, 3.825 L', $this->entries($machine['id'], 'service')[0]['in_words']);
        $findings = array_column($this->walk($machine['id'])['findings'], 'why');
        self::assertContains('Tightened by feel.', $findings, 'nobody wrote a torque down');
    }

    /**
     * Does every step as it comes, by its large press or by what is said for it, and moves the clock where it waits.
     *
     * @param  array<string, string>  $presses  by what a step's title is like
     * @return list<string> the steps met, in their order
     */
    private function goOn(array $presses): array
    {
        $met = [];
        for ($round = 0; $round < 120; $round++) {
            $this->browser->until(fn (): bool => $this->heading() !== null, 'a step');
            $step = (string) $this->heading();
            if ($step === 'All steps are told') {
                return array_values(array_unique($met));
            }
            $met[] = $step;
            if (str_contains($this->browser->text(), 'Not over yet')) {
                $shown = $this->browser->text();
                $this->browser->moveClock(300);
                $this->browser->until(fn (): bool => $this->browser->text() !== $shown, 'the page to tell the time');

                continue;
            }
            $this->browser->settle();
            if ($this->heading() !== $step) {
                continue;
            }
            $this->browser->script('document.querySelectorAll("main div > label > input[type=checkbox], main label[data-rac] input[type=checkbox]").forEach(box => box.closest("[role=group]") || box.checked || box.click())');
            $this->browser->script('[...document.querySelectorAll("main label")].find(label => label.innerText.trim() === "dark")?.querySelector("input:not(:checked)")?.click()');
            $this->browser->script('[...document.querySelectorAll("main label")].filter(label => ["level", "at the threads, or just running"].includes(label.innerText.trim())).forEach(label => label.querySelector("input").click())');
            $press = $this->browser->offers('Done, it stands') ? 'Done, it stands' : 'Done';
            foreach ($presses as $like => $said) {
                $press = preg_match($like, $step) && $press === 'Done' ? $said : $press;
            }
            $this->browser->settle();
            $this->press($press);
            $this->browser->until(
                fn (): bool => $this->heading() !== $step
                    || str_contains($this->browser->text(), 'Not over yet'),
                "{$step} to be left",
            );
        }
        self::fail('The job never ends: '.implode(', ', $met));
    }

    /** @return array{id: int, name: string} a mower whose engine's book is written down, its oil due */
    private function engine(): array
    {
        $machine = $this->machine('101');
        $this->sheet($machine['id'], 'engine_oil', [
            'capacities' => [['amount' => '1.3-1.5 L', 'kind' => 'with_filter']],
            'specification' => ['kind' => 'engine_oil'],
        ]);
        $this->sheet($machine['id'], 'engine_oil_fill', ['tool' => '22 mm', 'torque' => '20 ft-lb']);
        $this->sheet($machine['id'], 'engine_oil_drain', ['seal' => 'W 18', 'torque' => '16 ft-lb']);
        $rule = $this->keeper()->ask('GET', "/machines/{$machine['id']}")['body']['rules'];
        $oil = array_column($rule, null, 'task')['Engine oil'];
        $this->keeper()->ask('PATCH', "/rules/{$oil['id']}", [
            'spots' => ['engine_oil', 'engine_oil_filter'],
        ], ["If-Match: \"{$oil['version']}\""]);

        return $machine;
    }

    /** @param  array<string, mixed>  $sheet */
    private function sheet(int $machine, string $spot, array $sheet): void
    {
        $story = $this->keeper()->ask('GET', "/machines/{$machine}/spots/{$spot}")['body'];
        $answer = $this->keeper()->ask('PATCH', "/spots/{$story['id']}", ['sheet' => $sheet], ["If-Match: \"{$story['version']}\""]);
        self::assertSame(200, $answer['status'] ?? 0, (string) json_encode($answer));
    }

    private function make(int $machine, string ...$tasks): string
    {
        $rules = array_column($this->keeper()->ask('GET', "/machines/{$machine}")['body']['rules'], 'id', 'task');
        $made = $this->keeper()->ask('POST', "/machines/{$machine}/jobs", [
            'rules' => array_map(fn (string $task): int => $rules[$task], $tasks),
        ]);

        return $made['body']['id'] ?? self::fail((string) json_encode($made));
    }

    /** @param  callable(Browser): void  $does */
    private function onAnotherDevice(callable $does): void
    {
        $other = new Browser((string) getenv('JARDINIER_URL'), true);
        try {
            $other->signIn('rosa', 'coldbrook-rosa');
            $other->moveClock(600);
            $does($other);
            $other->untilAllIsSent();
        } finally {
            $other->quit();
        }
    }

    private function done(string ...$steps): void
    {
        foreach ($steps as $step) {
            $this->at($step, 'Done');
        }
    }

    private function at(string $step, string $press): void
    {
        $this->see($step);
        $this->press($press);
    }

    private function see(string $step): void
    {
        $this->browser->until(
            fn (): bool => $this->heading() === $step,
            "the step \"{$step}\"",
        );
    }

    private function heading(): ?string
    {
        return $this->browser->script('return document.querySelector("main h2")?.innerText');
    }

    private function tick(string $caution): void
    {
        $this->press($caution);
    }

    private function press(string $name): void
    {
        $this->presses++;
        $this->browser->press($name);
    }
}
