<?php

declare(strict_types=1);

namespace Tests\Browser;

use Core\Reckoner\Catalogue;

/** Every calculator is found by what somebody wants to know, opened by the keyboard, and carried by a link. */
final class ReckonerTest extends BrowserTestCase
{
    /**
     * What is asked; numbers as a link carries them, of the handbook and of the contract's worked cases; what is seen.
     */
    private const PAGES = [
        'convert' => ['quarts in litres', 'quantity=1 3/4 qt&to=L', '1.66 L (1.75 qt)'],
        'belt-deflection' => ['belt tension', 'rest=1 3/4 in&pressed=1 3/8 in&limit.deflection=1/3 in&limit.force=15 lbf', 'over by 1/24 in'],
        'free-play' => ['brake pedal', 'left=1 1/2 in&right=1 in&target=1 in&tolerance=1/4 in', 'Act on it'],
        'battery' => ['volts', 'rest_volts=12.6 V&loaded_volts=10.6 V&kind=flooded', 'Act on it'],
        'torque' => ['adapter', 'target=24 in-lb&wrench.min=5 N·m&wrench.max=60 N·m', 'Not with this wrench'],
        'wear' => ['tread', 'points.0.hours=0&points.0.value=10 mm&points.1.hours=100&points.1.value=9 mm&points.2.hours=200&points.2.value=8 mm&limit=3 mm', 'About 700'],
        'grease' => ['cartridges', 'points.0.strokes=50&points.0.times=2&grams_per_stroke=0.85 g', '100 strokes, 85 g'],
        'fill-plan' => ['staged fill', 'capacity.min=1.6 L&capacity.max=1.8 L&prefill=0.8 L&method=stick', '0.8 L'],
        'stick' => ['dipstick', 'marks.0.level=0&marks.1.level=0.5&marks.1.poured_since=0.4 qt', '0.4 qt (0.38 L) to full'],
        'level' => ['slope', 'method=stick&observed=full&protocol.engine=off&actual.engine=off&actual.slope=yes', 'It is no reading'],
        'containers' => ['bottles', 'needs.0.fluid=oil&needs.0.amount=948 mL&sizes.0.fluid=oil&sizes.0.size=946 mL', 'Buy 1 × 946 mL'],
        'coolant-mix' => ['antifreeze', 'volume=7 gal&percent=50&glycol=ethylene', '3.5 gal'],
        'coolant-correct' => ['protects too little', 'volume=7 gal&present_percent=35&target_percent=50', 'fill up with concentrate'],
        'consumption' => ['burn oil', 'top_ups.0.hours=20&top_ups.0.amount=0.2 L&from=0&to=100', '0.2 L'],
        'condition' => ['milky', 'compartment=engine&seen.0=milky', 'water'],
        'will-it-do' => ['wet brakes', 'fluid.kind=engine_oil&fluid.grade=10W-30&compartment.kind=wet_brake_axle', 'It will not do'],
        'covers' => ['GL-5 for GL-4', 'has=GL-5&needs=GL-4&yellow_metals=yes', 'It does not'],
        'engine-grade' => ['cranking', 'grade=10W-30&coldest=-18 °C', 'Fit'],
        'gear-grade' => ['80W-90', 'grade=80W-90&coldest=-30 °C', 'Act on it'],
        'pan' => ['bucket', 'comes_out.0.drain=low&comes_out.0.amount=8 gal&pans.0.size=5 gal', 'Too small by 3.5 gal'],
        'countdown' => ['reminder', 'meter=31.2&next_due=50&step=1', 'Setting 20 would ring at 51.2'],
        'reading' => ['mistyped hours', 'previous.value=24.6&previous.at=2026-05-08&next.value=412.6&next.at=2026-05-14', 'It can hardly be right'],
        'standing' => ['next due', 'rule.every.hours=400&rule.anchor=chart&rule.early=0.10&done.0.hours=362&now.hours=371', 'next at 800 h'],
        'forecast' => ['hours a week', 'readings.0.date=2026-01-01&readings.0.hours=0&readings.1.date=2026-03-05&readings.1.hours=90&due_hours=100&today=2026-03-05', 'h a week'],
        'chart' => ['column chart', 'rules.0.name=Oil&rules.0.every.hours=100&rules.0.anchor=chart&from=0&to=400', '4 columns'],
        'chart-read' => ['paste a schedule', "text=Task;50;100\nOil;R;R&unit=h", 'Oil'],
        'needs' => ['shopping list', 'tasks.0.act=replace&tasks.0.at=e&compartments.0.key=e&compartments.0.kind=engine&compartments.0.fluid=10W-30&compartments.0.pour=2 L', '1 thing to buy'],
        'procedure' => ['fill plug or drain plug', 'tasks.0.act=replace&tasks.0.at=e&compartments.0.key=e&compartments.0.kind=engine&compartments.0.openings.0.key=cap&compartments.0.openings.0.role=fill&compartments.0.openings.1.key=plug&compartments.0.openings.1.role=drain', 'so that air gets in'],
        'schedule' => ['one pan or two', 'steps.0.key=drip&steps.0.minutes=10&steps.0.attended=yes&steps.1.key=grease&steps.1.minutes=8&people=1', '10 min'],
    ];

    public function test_every_calculator_is_found_by_a_question_and_opened_by_the_keyboard_and_its_link_carries_the_numbers(): void
    {
        self::assertEqualsCanonicalizing(Catalogue::names(), array_keys(self::PAGES));
        $this->signIn();
        $this->browser->open('/reckoner');
        foreach (self::PAGES as $name => [$asked, $numbers, $seen]) {
            $this->browser->type('What do you want to know?', $asked);
            $this->browser->until(
                fn (): bool => $this->browser->script('return document.querySelector("main li a")?.getAttribute("href")') === "/reckoner/{$name}",
                "{$name} to be found by \"{$asked}\"",
            );
            $this->browser->keys("\u{E004}");
            $this->browser->keys("\u{E007}");
            $this->browser->until(fn (): bool => $this->browser->path() === "/reckoner/{$name}", "{$name} to open");
            $this->browser->press('All calculators');
            $this->browser->field('What do you want to know?');
            $pairs = array_map(fn (string $pair): array => explode('=', $pair, 2), explode('&', $numbers));
            $this->browser->turnTo("/reckoner/{$name}?".http_build_query(array_combine(array_column($pairs, 0), array_column($pairs, 1))), $seen);
            $this->browser->see('Source: ');
            $this->browser->press('All calculators');
        }
        $this->assertNoComplaints();
    }

    public function test_a_calculator_answers_while_one_types_keeps_what_was_typed_changes_units_and_says_what_is_wrong(): void
    {
        $this->signIn();
        $this->browser->open('/reckoner/convert');
        $this->browser->see('The answer comes as you type.');
        // Through the page by the keyboard alone: the first field after the three links above it.
        $this->browser->script('document.querySelector("main input").focus()');
        $this->browser->keys('1 3/4 qt');
        $this->browser->see('1.66 L (1.75 qt)');
        $this->browser->until(fn (): bool => str_contains($this->browser->script('return location.search'), 'quantity='), 'the address to carry it');
        $this->browser->type('Amount with its unit', '3 buckets');
        $this->browser->see('"buckets" is not a unit known here.');
        self::assertSame('3 buckets', $this->browser->value('Amount with its unit'));

        $this->browser->open('/reckoner/coolant-mix');
        $this->browser->type('It takes in all', '7 gal');
        $this->browser->see('3.5 gal');
        $this->browser->press('L', 'It takes in all: unit');
        $this->browser->until(fn (): bool => $this->browser->value('It takes in all') === '26.5 L', 'the amount in litres');
        $this->browser->see('13.25 L');
        $this->browser->open('/reckoner/coolant-mix');
        $this->browser->see('13.25 L');
        self::assertSame('26.5 L', $this->browser->value('It takes in all'), 'the last values are kept');
        $this->browser->press('Begin anew');
        self::assertSame('', $this->browser->value('It takes in all'));
        $this->assertNoComplaints();
    }

    public function test_what_was_reckoned_is_put_into_a_machines_book(): void
    {
        $machine = $this->machine('31.2');
        $this->signIn();
        $this->browser->open('/reckoner/countdown?meter=31.2&next_due=50&step=1');
        $this->browser->see('Set 18');
        $this->browser->choose('Put it into the book of', $machine['name']);
        $this->browser->press("Write the machine's own reminder down for {$machine['name']}");
        $this->browser->see('put into the book');

        self::assertCount(1, $this->entries($machine['id'], 'reminder_set'));
    }
}
