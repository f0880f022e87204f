<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The hour rail as it is drawn and pressed. */
final class RailTest extends BrowserTestCase
{
    public function test_rails_line_up_so_that_soonest_reads_down_the_sheet(): void
    {
        $this->signIn();
        $this->browser->open('/');
        $this->browser->see('Bittern');
        $notches = $this->browser->script(
            'return [...document.querySelectorAll("button[aria-label^=\"Log hours for\"]")].map(notch => Math.round(notch.getBoundingClientRect().x))',
        );

        self::assertGreaterThan(10, count($notches));
        self::assertCount(1, array_unique($notches), 'now stands in one line down the sheet');
    }

    public function test_labels_neither_overlap_nor_stick_out(): void
    {
        foreach ([Browser::DESK, [1440, 900], Browser::PHONE] as $size) {
            $this->browser->startAfresh();
            $this->browser->resize($size);
            $this->signIn();
            $this->browser->open('/');
            $this->browser->see('Bittern');
            $clashes = $this->browser->script(<<<'JS'
                const clashes = [];
                for (const rail of document.querySelectorAll('[role=group]')) {
                    const labels = [...rail.querySelectorAll('[data-stakes]')].filter(stake => stake.innerText).map(stake => [stake.innerText, stake.getBoundingClientRect()]);
                    const edge = rail.getBoundingClientRect();
                    for (const [text, box] of labels) {
                        if (box.left < edge.left - 2 || box.right > edge.right + 2) clashes.push(text + ' sticks out');
                        for (const [other, place] of labels) {
                            if (text < other && box.left < place.right - 1 && place.left < box.right - 1 && box.top < place.bottom - 1 && place.top < box.bottom - 1) clashes.push(text + ' on ' + other);
                        }
                    }
                }
                return clashes;
                JS);
            self::assertSame([], $clashes, implode('x', $size));
        }
    }

    public function test_a_screen_reader_hears_a_sentence_and_pressing_a_stake_opens_what_falls_due(): void
    {
        $machine = $this->machine('92');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->see('What is due');
        $spoken = (string) $this->browser->script(
            'return document.querySelector("[role=group]").getAttribute("aria-label")',
        );
        self::assertSame("{$machine['name']} stands at 92.0 h. First point: 95 h, deck underside, nearing.", $spoken);

        $this->browser->press('100 h, engine oil');
        $this->browser->see('At 100.0 h');
        $this->browser->see('Engine oil, replace');
        $this->browser->press('Record it done');
        $this->browser->see('Record 1 task done');
        self::assertMatchesRegularExpression('~/service\?rules=\d+$~', $this->browser->path());
    }

    public function test_the_stake_moves_when_hours_are_logged(): void
    {
        $machine = $this->machine('92');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->see('What is due');
        $place = fn (): float => (float) $this->browser->script(
            'return document.querySelector("[data-stakes]").getBoundingClientRect().x - document.querySelector("[role=group]").getBoundingClientRect().x',
        );
        $this->browser->until(
            fn (): bool => $this->browser->script('return document.querySelector("[data-stakes]") !== null'),
            'the rail',
        );
        $before = $place();
        $this->browser->keys('/');
        $this->browser->keys(mb_strtolower($machine['name']).' +2');
        $this->browser->see('94 is 2 h more than 92');
        $this->browser->keys(self::ENTER);
        $this->browser->see('94 h logged.');
        $this->browser->until(fn (): bool => $place() < $before - 3, 'the stake to come nearer');
        $this->browser->see('set 1, which rings at 95');
        $this->assertNoComplaints();
    }

    public function test_a_replaced_meter_shows_what_it_reads_and_what_was_run(): void
    {
        $this->signIn();
        $this->browser->open('/yard?name=avocet');
        $this->browser->see('Avocet');
        self::assertMatchesRegularExpression(
            '/\d+\.\d h read (today|yesterday), [\d,]+\.\d h run/',
            $this->browser->text(),
        );
    }

    public function test_the_page_prints_without_what_can_only_be_pressed(): void
    {
        $this->signIn();
        $this->browser->open('/');
        $this->browser->see('Bittern');
        $this->browser->command('Emulation.setEmulatedMedia', ['media' => 'print']);
        $shown = $this->browser->script(
            'return [...document.querySelectorAll("header, [role=search], article button")].filter(e => e.offsetParent && !e.dataset.stake && !e.closest("[role=group]") && e.tagName !== "BUTTON").length',
        );
        $this->browser->command('Emulation.setEmulatedMedia', ['media' => '']);
        self::assertSame(0, $shown);
    }
}
