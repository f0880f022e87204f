<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** axe-core finds nothing serious on any screen, in any scheme (WCAG 2.2 AA). */
final class AccessibilityTest extends BrowserTestCase
{
    /** @param  array{int, int}  $size */
    #[DataProvider('settings')]
    public function test_every_screen(array $size, string $scheme): void
    {
        $this->browser->resize($size);
        $this->assertSound('sign in');
        $this->signIn();
        $this->browser->script('localStorage.setItem("jardinier.scheme", arguments[0])', $scheme);
        $machine = $this->machine('96');
        foreach (['/yard' => 'Bittern', "/machines/{$machine['id']}" => 'Rulebook', "/machines/{$machine['id']}/service" => 'What was done', "/machines/{$machine['id']}/meter" => 'The old meter', "/machines/{$machine['id']}/edit" => 'countdown is set',
            "/machines/{$machine['id']}/rules/new" => 'Every so many', "/machines/{$machine['id']}/chart" => 'Which means', '/machines/new' => 'A rulebook to begin with', "/walkaround/{$machine['id']}" => 'Which round', "/walkaround/{$machine['id']}/daily" => 'Hour meter', "/walkaround/{$machine['id']}/daily?at=leaks" => 'Not looked at', "/walkaround/{$machine['id']}/before_season?at=plug" => 'Colour of the nose',
            "/walkaround/{$machine['id']}/grease" => 'strokes given', '/walkaround' => 'walked today', '/walkaround/labels' => 'weatherproof', '/walkaround/waiting' => 'None.', '/machines/9/findings/pads' => 'reaches the limit', "/machines/{$machine['id']}/checks" => 'check sheet', "/machines/{$machine['id']}/grease" => 'A whole round', '/logbook' => 'Correct', '/reckoner' => 'One measure', '/people' => 'Bram Fenwick', '/account' => 'Tokens'] as $path => $shows) {
            $this->browser->open($path);
            $this->browser->see($shows);
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

    /** @return iterable<string, array{array{int, int}, string}> */
    public static function settings(): iterable
    {
        yield 'desk, paper' => [Browser::DESK, 'paper'];
        yield 'desk, shed' => [Browser::DESK, 'shed'];
        yield 'phone, sun' => [Browser::PHONE, 'sun'];
    }

    private function assertSound(string $screen): void
    {
        $this->browser->script((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        $found = $this->browser->asyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            axe.run(document, {runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']}).then(result => done(result.violations
                .filter(violation => ['serious', 'critical'].includes(violation.impact))
                .map(violation => violation.id + ': ' + violation.nodes.map(node => node.html.slice(0, 160) + ' ' + (node.any[0]?.message ?? '')).slice(0, 4).join(' | '))));
            JS);
        self::assertSame([], $found, $screen);
    }
}
