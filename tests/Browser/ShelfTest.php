<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The shelf: a plan, what is bought, gathered on the phone and poured; the link at the counter; a label scanned. */
final class ShelfTest extends BrowserTestCase
{
    public function test_all_that_is_due_is_planned_bought_gathered_on_the_phone_and_poured_and_the_shelf_falls(): void
    {
        [$machine, $oil, $filter] = $this->mower();
        $this->signIn();
        $this->browser->open("/shelf/ready?until=2027-04-01&machine={$machine['id']}");
        $this->browser->see('Nothing is due by');
        $this->browser->press('Engine oil nobody can tell when');
        $this->browser->press('Oil filter nobody can tell when');
        $this->browser->see('What it takes');
        $this->browser->see($oil);
        $this->browser->see('1 × 2 L');
        self::assertSame([], $this->browser->barriers());
        $this->browser->press('Make a list of it');
        $this->browser->see('0 of 4 gathered');
        $this->browser->see('To buy');
        $this->browser->press("Bought: {$oil}");
        $this->browser->type('Price of one', '-2');
        $this->browser->press("Put 1 × 2 L {$oil} on the shelf");
        $this->browser->see('The price is never less than nothing.');
        $this->browser->type('Price of one', '14.20');
        $this->browser->press("Put 1 × 2 L {$oil} on the shelf");
        $this->browser->see("Came to the shelf: 1 × 2 L {$oil}.");
        $this->browser->see('take 1 × 2 L');
        $this->browser->press("Bought: {$filter}");
        $this->browser->press("Put 1 × {$filter} on the shelf");
        $this->browser->see("take 1 × {$filter}");
        $list = $this->browser->path();

        $this->browser->resize(Browser::PHONE);
        $this->browser->open($list);
        $this->browser->see('gathered');
        self::assertSame([], $this->browser->barriers());
        $this->browser->press("{$oil}, 1.9 L (2.01 qt)");
        $this->browser->see('1 of 4 gathered');
        $this->browser->outOfReach();
        $this->browser->press("1 × {$filter}");
        $this->browser->see('2 of 4 gathered');
        $this->browser->open($list);
        $this->browser->see('2 of 4 gathered');
        $this->browser->outOfReach(false);
        $this->browser->open($list);
        $this->browser->until(
            fn (): bool => count($this->keeper()->ask('GET', '/lists/'.basename($list))['body']['gathered']) === 2,
            'what was gathered without signal to arrive',
        );

        $this->browser->open("/machines/{$machine['id']}/fluids/engine_oil");
        $this->browser->press('Write down a pour or a drain');
        $this->browser->choose('It was', 'changed: drained and filled');
        $this->browser->type('How much went in', '1.9 L');
        $this->browser->choose('Of what', "{$oil}, a new 2 L");
        $this->browser->press('1.9 L is in it now');
        $this->browser->see("1.9 L of {$oil} out of the 2 L container");
        $this->browser->open('/shelf');
        $this->browser->type('Find by name or number', $oil);
        $this->browser->see('0.1 L (0.11 qt)');
        $this->browser->press($oil);
        $this->browser->see('1.9 L');
        $this->browser->see("for {$machine['name']}: Engine oil");
        $this->browser->see('2 L at £14.20');
    }

    public function test_the_link_at_the_counter_shows_the_list_and_nothing_else_until_it_is_taken_back(): void
    {
        [$machine, $oil] = $this->mower();
        $this->signIn();
        $this->browser->open("/shelf/ready?until=2027-04-01&machine={$machine['id']}");
        $this->browser->press('Engine oil nobody can tell when');
        $this->browser->type('Call the list', 'For the counter');
        $this->browser->press('Make a list of it');
        $this->browser->press('Open a link for the counter');
        $this->browser->see('Take it back');
        $path = $this->browser->script('return document.querySelector("main code").innerText.trim().replace(location.origin, "")');
        $list = $this->browser->path();

        $this->browser->startAfresh();
        $this->browser->open($path);
        $this->browser->see('For the counter');
        $this->browser->see($oil);
        $text = $this->browser->text();
        foreach ([$machine['name'], 'Yard', 'Logbook', '£', 'Sign in'] as $other) {
            self::assertStringNotContainsString($other, $text, 'nothing but the list');
        }
        self::assertSame([], $this->browser->barriers());
        self::assertSame([], $this->browser->script('return [...document.querySelectorAll("a")].map(a => a.href)'), 'and no way on');
        $this->browser->open('/shelf');
        $this->browser->see('Sign in');

        $this->signIn();
        $this->browser->open($list);
        $this->browser->press('Take it back');
        $this->browser->until(fn (): bool => ! $this->browser->offers('Take it back'), 'the link to be taken back');
        $this->browser->startAfresh();
        $this->browser->open($path);
        $this->browser->see('This link has ended, or was taken back.');
    }

    public function test_what_is_kept_is_written_down_counted_with_a_reason_and_what_is_wrong_stands_beside_its_field(): void
    {
        $name = 'Ring '.bin2hex(random_bytes(3));
        $this->signIn();
        $this->browser->open('/shelf/new');
        $this->browser->choose('It is', 'a part, by the piece');
        $this->browser->type('What it is called here', $name);
        $this->browser->press("Keep {$name}");
        $this->browser->see('Say the number to ask for.');
        $this->browser->type('The number to ask for', "{$name} 1");
        $this->browser->type('Price of one', '1,10');
        $this->browser->type('Where it stands', 'Drawer 3');
        $this->browser->press("Keep {$name}");
        $this->browser->see('Nobody has counted it yet');
        $this->browser->press('Some came');
        $this->browser->type('How many', '7');
        $this->browser->press("Put 7 × {$name} on the shelf");
        $this->browser->see('7 pieces');
        $this->browser->press('Count it');
        $this->browser->type('How many are there', '5');
        $this->browser->press('So much is there');
        $this->browser->see('By the book there is 7 pieces. Say why there is 5 pieces.');
        self::assertSame('5', $this->browser->value('How many are there'));
        $this->browser->type('Why it is not what the book says', 'Two rolled away');
        $this->browser->press('So much is there');
        $this->browser->see("{$name} counted: 5 pieces");
        $this->browser->see('Two rolled away');
        $this->browser->press('Undo');
        $this->browser->see('Taken back.');
        $this->browser->see('7 pieces');
        $this->assertNoComplaints();
    }

    /** A camera that sees a label printed by us; the browser here has no reader of its own, so the one that ships with the yard reads it. */
    public function test_a_label_that_is_scanned_opens_what_stands_behind_it(): void
    {
        [, $oil] = $this->mower();
        $code = collect($this->keeper()->ask('GET', '/shelf')['body']['supplies'])->firstWhere('name', $oil)['code'];
        $this->signIn();
        $this->browser->open('/shelf/labels');
        $this->browser->see($code);
        // What a camera would see: the label itself, drawn as large as it is printed.
        $label = $this->browser->script('return [...document.querySelectorAll("main img")].find(i => i.alt.endsWith(arguments[0])).src', $code);
        $this->browser->onEveryPage(<<<'JS'
            delete globalThis.BarcodeDetector;
            const seen = document.createElement('canvas');
            seen.width = 640; seen.height = 480;
            Object.defineProperty(navigator, 'mediaDevices', { value: { getUserMedia: async () => {
                const picture = new Image();
                picture.src = sessionStorage.getItem('label');
                await picture.decode();
                const draw = () => { const on = seen.getContext('2d'); on.fillStyle = '#fff'; on.fillRect(0, 0, 640, 480); on.drawImage(picture, 140, 60, 360, 360); requestAnimationFrame(draw); };
                draw();
                return seen.captureStream(10);
            } } });
            JS);
        $this->browser->script('sessionStorage.setItem("label", arguments[0])', $label);
        $this->browser->open('/shelf/scan');
        $this->browser->until(fn (): bool => preg_match('~^/shelf/\d+$~', $this->browser->path()) === 1, 'the label to be read');
        $this->browser->see($oil);
        $this->browser->startAfresh();
        $this->signIn();
        $this->browser->open('/shelf/code/ZZZZZZ');
        $this->browser->see('Nothing that is kept here has the code ZZZZZZ.');
        $this->assertNoComplaints();
    }

    /** @return array{array{id: int, name: string}, string, string} a mower with its book, and its oil and filter kept but not there */
    private function mower(): array
    {
        $machine = $this->machine('90', 'zero_turn');
        $mark = strtoupper(bin2hex(random_bytes(3)));
        [$oil, $filter] = ["Wader {$mark}", "WD {$mark}"];
        $keeper = $this->keeper();
        $sheet = function (string $spot, array $sheet) use ($keeper, $machine): void {
            $story = $keeper->ask('GET', "/machines/{$machine['id']}/spots/{$spot}")['body'];
            $answer = $keeper->ask('PATCH', "/spots/{$story['id']}", ['sheet' => $sheet], ["If-Match: \"{$story['version']}\""]);
            self::assertSame(200, $answer['status'], (string) json_encode($answer));
        };
        $sheet('engine_oil', [
            'capacities' => [['amount' => '1.9 L']],
            'specification' => ['kind' => 'engine_oil', 'grades' => [['grade' => '10W-30']], 'makers_own' => $oil],
        ]);
        $sheet('engine_oil_filter', ['kind' => 'filter', 'number' => $filter]);
        $sheet('engine_oil_drain', ['seal' => "W {$mark}", 'tool' => '10 mm socket']);
        $rule = $keeper->ask('POST', "/machines/{$machine['id']}/rules", [
            'task' => 'Oil filter', 'kind' => 'replace', 'spots' => ['engine_oil_filter'], 'every' => ['hours' => '100'],
        ]);
        self::assertSame(201, $rule['status'], (string) json_encode($rule));
        $supply = $keeper->ask('POST', '/supplies', [
            'name' => $oil,
            'label' => ['kind' => 'engine_oil', 'grade' => '10W-30', 'makers_own' => $oil],
            'sold_in' => [['size' => '2 L', 'price' => '15.00']],
        ]);
        self::assertSame(201, $supply['status'], (string) json_encode($supply));

        return [$machine, $oil, $filter];
    }
}
