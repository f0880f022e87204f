<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** axe-core finds nothing serious on any screen, in any scheme (WCAG 2.2 AA). */
final class AccessibilityTest extends BrowserTestCase
{
    /** @var list<string> */
    private array $rules;

    /**
     * @param  array{int, int}  $size
     * @param  list<string>  $rules
     */
    #[DataProvider('settings')]
    public function test_every_screen(array $size, string $scheme, array $rules): void
    {
        $this->rules = $rules;
        $this->browser->resize($size);
        $this->browser->open('/');
        $this->browser->see('Sign-in name');
        $this->assertSound('sign in');
        $this->signIn();
        $this->browser->script('localStorage.setItem("jardinier.scheme", arguments[0])', $scheme);
        $machine = $this->machine('96');
        $this->browser->open('/yard');
        foreach (self::screens($machine['id']) as $path => [$shows, $every]) {
            if (! $every && $scheme !== 'paper') {
                continue;
            }
            $this->browser->turnTo($path, $shows);
            $this->assertSound($path);
        }
        $this->browser->open("/machines/{$machine['id']}");
        $this->browser->press('Log hours');
        $this->browser->type('The meter shows', '5000');
        $this->browser->press('Log 5000 h');
        $this->browser->see('Why 5000 is right');
        $this->assertSound('a reading asked about');
        $this->assertNoComplaints();
    }

    /** @return iterable<string, array{array{int, int}, string, list<string>}> */
    public static function settings(): iterable
    {
        yield 'desk, paper' => [Browser::DESK, 'paper', Browser::OF_A_PAGE];
        yield 'desk, shed' => [Browser::DESK, 'shed', Browser::OF_COLOURS];
        yield 'phone, sun' => [Browser::PHONE, 'sun', Browser::OF_A_PAGE];
    }

    /**
     * @return array<string, array{string, bool}> what each shows, and whether it is held against every scheme; the
     *     others have nothing that these have not
     */
    private static function screens(int $machine): array
    {
        return [
            '/yard' => ['Bittern', true],
            "/machines/{$machine}" => ['What is due', true],
            "/machines/{$machine}/plate" => ['Fluids', true],
            "/machines/{$machine}/plate/engine_oil" => ['Lately', true],
            '/machines/9/plate/pads' => ['Wear', false],
            "/machines/{$machine}/rulebook" => ['The chart', false],
            "/machines/{$machine}/book" => ['Entered in the book', true],
            "/machines/{$machine}/service" => ['What was done', true],
            '/bench' => ['Heron', false],
            "/bench/new/{$machine}" => ['What falls due', true],
            '/bench/5e0a4c1e-2f52-4c0e-9d53-6a1c7f3b8e21' => ['Begin', true],
            '/bench/5e0a4c1e-2f52-4c0e-9d53-6a1c7f3b8e21/step' => ['Make it safe', true],
            '/bench/5e0a4c1e-2f52-4c0e-9d53-6a1c7f3b8e21/step?at=pour%3Aengine_oil' => ['Not yet', false],
            "/machines/{$machine}/meter" => ['The old meter', false],
            "/machines/{$machine}/edit" => ['countdown is set', false],
            "/machines/{$machine}/rules/new" => ['Every so many', false],
            "/machines/{$machine}/chart" => ['Which means', true],
            '/machines/new' => [
                'A rulebook to begin with',
                false,
            ],
            "/walkaround/{$machine}" => ['Which round', true],
            "/walkaround/{$machine}/daily" => ['Hour meter', true],
            "/walkaround/{$machine}/daily?at=leaks" => ['Not looked at', true],
            '/walkaround/2/daily?at=leaks' => ['found before', true],
            "/walkaround/{$machine}/before_season?at=plug" => ['Colour of the nose', true],
            "/walkaround/{$machine}/grease" => ['strokes given', true],
            "/walkaround/{$machine}/found" => [
                'What is wrong, and where?',
                false,
            ], '/walkaround' => ['walked today', true],
            '/walkaround/labels' => ['weatherproof', false],
            '/walkaround/waiting' => ['None.', false],
            '/machines/9/findings/pads' => ['reaches the limit', true],
            "/machines/{$machine}/checks" => ['check sheet', false],
            "/machines/{$machine}/plate?kind=grease_point" => ['A whole round', true],
            "/walkaround/{$machine}/look/leaks" => ['one look', false],
            '/logbook' => ['Correct', false],
            '/reckoner' => ['One measure', false],
            '/reckoner/stick?marks.0.level=0&marks.1.level=0.5&marks.1.poured_since=0.4+qt' => ['Source', true],
            '/reckoner/needs' => ['as you type', false],
            '/shelf' => ['Orchard 10W-30', true],
            '/shelf/parts' => ['Drain washer, Velmoor', false],
            '/shelf/orders' => ['For all that falls due', true],
            '/shelf/ready?until=2027-04-01' => ['What it takes', false],
            '/shelf/used' => ['used oil', false],
            '/shelf/2' => ['came and went', true],
            '/shelf/2/change' => ['Where it stands', false],
            '/shelf/lists/1' => ['gathered', true],
            '/shelf/labels' => ['Labels for the shelf', false],
            '/people' => ['Bram Fenwick', false],
            '/account' => ['Tokens', false],
            '/computer' => ['Room on its disk', false],
        ];
    }

    private function assertSound(string $screen): void
    {
        self::assertSame([], $this->browser->barriers($this->rules), $screen);
    }
}
