<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** A machine's plate by mouse, by touch, by key and by its list; a spot's story, and what is begun from it. */
final class PlateTest extends BrowserTestCase
{
    public function test_a_spot_pressed_with_the_mouse_tells_its_story_and_the_address_names_it(): void
    {
        $machine = $this->machine('96');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Plate');
        $this->browser->press('Engine oil: fluid, nearing');
        $this->browser->see('Due at 100 h, 100 h after 0 h, its beginning. 4 h left, inside the early window.');
        $this->browser->see('Engine oil filler');
        self::assertSame("/machines/{$machine['id']}/plate/engine_oil", $this->browser->path());
        self::assertSame("Engine oil, {$machine['name']}", $this->browser->script('return document.title'));
        $this->browser->press('Engine oil drain: opening');
        $this->browser->see('Belongs to');
        $this->browser->script('history.back()');
        $this->browser->see('Fluids,');
        self::assertSame("/machines/{$machine['id']}/plate", $this->browser->path());
        $this->assertNoComplaints();
    }

    public function test_the_arrow_keys_walk_the_spots_in_walking_order_and_enter_opens_one(): void
    {
        $machine = $this->machine('96');
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/plate");
        $this->browser->see('Arrow keys walk the spots');
        $this->browser->script('document.querySelector("[role=listbox]").focus()');
        $order = array_column(
            $this->keeper()->ask('GET', "/machines/{$machine['id']}/plate")['body']['spots'] ?? [],
            'name',
        );
        $first = $this->browser->focused();
        self::assertStringStartsWith("{$order[0]}: ", $first);
        $this->browser->keys(self::RIGHT, WebDriverKeys::ARROW_DOWN);
        self::assertStringStartsWith("{$order[2]}: ", $this->browser->focused());
        $this->browser->keys(WebDriverKeys::ARROW_LEFT);
        self::assertStringStartsWith("{$order[1]}: ", $this->browser->focused());
        $this->browser->keys('deck b');
        $this->browser->until(
            fn (): bool => str_starts_with($this->browser->focused(), 'Deck belt: '),
            'the spot whose name was typed',
        );
        $this->browser->keys(self::ENTER);
        $this->browser->until(
            fn (): bool => $this->browser->path() === "/machines/{$machine['id']}/plate/deck_belt",
            'its story',
        );
    }

    /** @param  array{int, int}  $size */
    #[DataProvider('sizes')]
    public function test_a_finger_finds_a_spot(array $size): void
    {
        $machine = $this->machine('96');
        $this->signIn();
        $this->browser->resize($size);
        $this->browser->command('Emulation.setTouchEmulationEnabled', ['enabled' => true]);
        try {
            $this->browser->open("/machines/{$machine['id']}/plate");
            $this->browser->see('Add a spot');
            $isPhone = $size === Browser::PHONE;
            if ($isPhone) {
                self::assertSame(['plain'], $this->kinds(), 'one kind at a time, that of what is due');
                $this->tap('[role=radio]', 'Fluids');
            }
            $this->tap('[role=option]', 'Engine oil: ');
            $this->browser->see('Lately');
            self::assertStringStartsWith("/machines/{$machine['id']}/plate/engine_oil", $this->browser->path());
            self::assertSame([], $this->browser->barriers());
            self::assertSame(
                $isPhone ? ['compartment'] : ['compartment', 'grease_point', 'opening', 'part', 'plain'],
                $this->kinds(),
            );
            self::assertSame([], $this->browser->script(<<<'JS'
                const boxes = [...document.querySelectorAll('[role=option]')].map(spot => [spot.ariaLabel, spot.getBoundingClientRect()]);
                return boxes.flatMap(([name, box], index) => [
                    ...(box.width < arguments[0] || box.height < arguments[0] ? [`${name} is ${box.width} x ${box.height}`] : []),
                    ...boxes.slice(index + 1).filter(([, other]) => Math.hypot(box.x - other.x, box.y - other.y) < arguments[1]).map(([other]) => `${name} covers ${other}`),
                ]);
                JS, $isPhone ? 44 : 34, $isPhone ? 40 : 30));
        } finally {
            $this->browser->command('Emulation.setTouchEmulationEnabled', ['enabled' => false]);
        }
    }

    /** @return iterable<string, array{array{int, int}}> */
    public static function sizes(): iterable
    {
        yield 'phone' => [Browser::PHONE];
        yield 'desk' => [Browser::DESK];
    }

    public function test_whoever_cannot_see_the_drawing_does_the_same_from_the_list(): void
    {
        $machine = $this->machine('96');
        $this->signIn('nell');
        $this->browser->open("/machines/{$machine['id']}/plate");
        $this->browser->until(
            fn (): bool => (bool) $this->browser->script(<<<'JS'
                const spot = [...document.querySelectorAll('section[aria-label=Fluids] a')].find(link => link.innerText.startsWith('Engine oil'));
                spot?.focus();
                return spot !== undefined;
                JS),
            'engine oil in the list',
        );
        $this->browser->keys(self::ENTER);
        $this->browser->see('Lately');
        $this->browser->press('Top it up');
        $this->browser->press('It is topped up');
        $this->browser->see('Say how much went in.');
        $this->browser->type('How much went in', 'a drop');
        $this->browser->press('a drop went in');
        $this->browser->see('"a drop" is not an amount');
        self::assertSame('a drop', $this->browser->value('How much went in'), 'what was typed is kept');
        $this->browser->type('How much went in', '0.3 qt');
        $this->browser->press('0.3 qt went in');
        $this->browser->see('engine oil topped up.');
        $this->browser->see('topped up, 0.3 qt');
        self::assertSame(
            'Engine oil topped up, 0.3 qt',
            $this->entries($machine['id'], 'topped_up')[0]['in_words'] ?? '',
        );
    }

    public function test_a_look_and_a_task_are_begun_from_a_spot(): void
    {
        $machine = $this->machine('96');
        $this->signIn('tamsin');
        $this->browser->open("/machines/{$machine['id']}/plate/engine_oil");
        $this->browser->press('Look at it');
        $this->browser->see('one look');
        $this->browser->press('Fine, between the marks');
        $this->browser->see('is noted.');
        $this->browser->see('looked at, fit');
        self::assertSame("/machines/{$machine['id']}/plate/engine_oil", $this->browser->path());
        self::assertSame(
            'Looked at: Engine oil: fit',
            $this->entries($machine['id'], 'found')[0]['in_words'] ?? '',
        );

        $this->browser->press('Record it done');
        $this->browser->press('Record 1 task done');
        $this->browser->see('service recorded.');
        $this->browser->open("/machines/{$machine['id']}/plate/engine_oil");
        $this->browser->see('changed');
        $this->browser->see('Due at 196 h');
        $this->browser->press('Something is wrong here');
        $this->browser->type('What it is about', 'Cap cracked');
        $this->browser->press('Not right, but it can wait');
        $this->browser->see('Cap cracked is noted.');
    }

    public function test_a_spot_of_the_keepers_own_is_placed_by_key_and_by_press(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/plate?kind=part");
        $this->browser->press('Add a spot');
        $this->browser->type('Name', 'Tow bar');
        $this->browser->script('document.querySelector("[role=application]").focus()');
        $this->browser->keys(WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_DOWN);
        $this->browser->see('52 of 100 from the front, 51 of 100 from the left.');
        $this->browser->script(<<<'JS'
            const plate = document.querySelector('[role=application]'), box = plate.getBoundingClientRect();
            plate.dispatchEvent(new PointerEvent('pointerdown', {bubbles: true, clientX: box.x + box.width * 0.9, clientY: box.y + box.height * 0.25}));
            JS);
        $this->browser->see('90 of 100 from the front, 25 of 100 from the left.');
        $this->browser->press('Add it');
        $this->browser->press('Tow bar: part, fresh');
        $this->browser->see('Nothing was ever written down here.');
        $spots = $this->keeper()->ask('GET', "/machines/{$machine['id']}/spots")['body']['spots'] ?? [];
        $bar = array_column($spots, null, 'name')['Tow bar'];
        self::assertSame([90, 25], [$bar['x'], $bar['y']]);
    }

    public function test_a_letter_leads_to_each_leaf_and_back_keeps_its_place(): void
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}");
        foreach (['r' => ['rulebook', '/rulebook'], 'b' => ['book', '/book'], 'p' => ['Plate', '/plate'], 'n' => ['now', '']] as $key => [$leaf, $path]) {
            $this->browser->see('Record service');
            $this->browser->keys($key);
            $this->browser->until(
                fn (): bool => $this->browser->path() === "/machines/{$machine['id']}{$path}",
                "key {$key} to lead to {$leaf}",
            );
            $this->browser->until(
                fn (): bool => str_contains((string) $this->browser->script('return document.title'), $leaf),
                "the title to say {$leaf}",
            );
        }
        $this->browser->open('/machines/2/book');
        $this->browser->press('Show earlier entries');
        $this->browser->until(fn (): bool => $this->height() > 2500, 'earlier entries');
        $this->browser->script('window.scrollTo(0, 1500)');
        $this->browser->keys('6');
        $this->browser->until(fn (): bool => $this->browser->path() === '/logbook', 'the logbook');
        $this->browser->until(fn (): bool => $this->scrolled() === 0, 'a new page to begin at its top');
        $this->browser->script('history.back()');
        $this->browser->until(fn (): bool => abs($this->scrolled() - 1500) < 20, 'the place where it was left');
    }

    private function height(): int
    {
        return (int) $this->browser->script('return document.documentElement.scrollHeight');
    }

    private function scrolled(): int
    {
        return (int) $this->browser->script('return window.scrollY');
    }

    /** @return list<string> the kinds of spot that are drawn */
    private function kinds(): array
    {
        return $this->browser->script(
            'return [...new Set([...document.querySelectorAll("[role=option]")].map(spot => spot.dataset.kind))].sort()',
        );
    }

    private function tap(string $what, string $name): void
    {
        [$x, $y] = $this->browser->until(
            fn (): ?array => $this->browser->script(<<<'JS'
                const found = [...document.querySelectorAll(arguments[0])].find(one => (one.ariaLabel ?? one.innerText).startsWith(arguments[1]));
                found?.scrollIntoView({block: 'center'});
                const box = found?.getBoundingClientRect();
                return box && [box.x + box.width / 2, box.y + box.height / 2];
                JS, $what, $name),
            "{$name} to tap",
        );
        $touch = fn (string $type, array $at) => $this->browser->command(
            'Input.dispatchTouchEvent',
            ['type' => $type, 'touchPoints' => $at],
        );
        $touch('touchStart', [['x' => $x, 'y' => $y]]);
        $touch('touchEnd', []);
    }
}
