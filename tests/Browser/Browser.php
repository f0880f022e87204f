<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDriver;
use Facebook\WebDriver\Chrome\ChromeDriverService;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Cookie;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;
use PHPUnit\Framework\Assert;
use Tests\Ports;

/** A real browser on the served application, and the ways in which a person finds things in it. */
final class Browser
{
    public const DESK = [1280, 800];

    public const PHONE = [390, 844];

    private const PATIENCE = 30.0;

    /** Between two questions at first, in microseconds. */
    private const PAUSE = 100_000;

    private const LONGEST_PAUSE = 600_000;

    /** A page of the yard on which nothing runs. */
    private const STILL = '/api/session';

    private ChromeDriver $driver;

    private string $profile;

    /** @var list<string> */
    private array $scripts = [];

    private int $clockMoved = 0;

    /** @param  string|null  $trusts  the file of an authority's certificate that it was told to trust */
    public function __construct(
        private readonly string $address,
        private readonly bool $touch = false,
        private readonly ?string $trusts = null,
    ) {
        $this->profile = sys_get_temp_dir().'/jardinier-browser-'.bin2hex(random_bytes(6));
        $this->start();
    }

    /** The browser is killed as by a flat battery, and opened again with what it had kept. */
    public function dieAndStartAgain(): void
    {
        exec('pkill -9 -f '.escapeshellarg($this->profile));
        array_map(unlink(...), glob("{$this->profile}/Singleton*") ?: []);
        $this->start();
    }

    /** Takes the signal away, or gives it back. */
    public function outOfReach(bool $out = true): void
    {
        $this->command('Network.enable', []);
        $this->command(
            'Network.emulateNetworkConditions',
            ['offline' => $out, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
        );
    }

    /** Something of the browser's own works otherwise on every page from here on, until it starts afresh. */
    public function onEveryPage(string $script): void
    {
        $this->scripts[] = $this->command('Page.addScriptToEvaluateOnNewDocument', ['source' => $script])['identifier'];
    }

    /** It is later from here on, for this browser and for whatever it asks of the server: nobody waits for a timer. */
    public function moveClock(int $seconds): void
    {
        $this->untilAllIsSent();
        if ($this->clockMoved === 0) {
            $moved = 'const real = Date.now; Date.now = () => real() + 1000 * Number((/clock_moved_seconds=(\d+)/.exec(document.cookie) ?? [0, 0])[1]);';
            $this->onEveryPage($moved);
            $this->script($moved);
        }
        $this->clockMoved += $seconds;
        $this->command('Network.setCookie', [
            'name' => 'clock_moved_seconds',
            'value' => (string) $this->clockMoved,
            'url' => $this->address,
        ]);
    }

    /** Until nothing that was written down waits on this device: what another device shows next is not before it. */
    public function untilAllIsSent(): void
    {
        $this->until($this->allIsSent(...), 'all that was written down to be sent');
    }

    private function allIsSent(): bool
    {
        return (bool) $this->asyncScript(<<<'JS'
            const told = arguments[0];
            const kept = indexedDB.open('jardinier');
            kept.onupgradeneeded = () => kept.transaction.abort();
            kept.onerror = kept.onblocked = () => told(true);
            kept.onsuccess = () => {
                const notes = kept.result.transaction('notes').objectStore('notes').getAll();
                notes.onsuccess = () => {
                    kept.result.close();
                    told(notes.result.every(note => note.refused));
                };
            };
            JS);
    }

    /** Until what has just changed stands where it will be pressed. */
    public function settle(): void
    {
        $this->asyncScript('const told = arguments[0]; setTimeout(() => requestAnimationFrame(() => told(true)), 100)');
    }

    private function start(): void
    {
        $options = (new ChromeOptions)->addArguments([
            '--headless=new',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--disable-dev-shm-usage',
            '--hide-scrollbars',
            '--lang=en-GB',
            "--user-data-dir={$this->profile}",
        ]);
        if ($this->touch) {
            $options->setExperimentalOption(
                'mobileEmulation',
                [
                    'deviceMetrics' => [
                        'width' => self::PHONE[0],
                        'height' => self::PHONE[1],
                        'pixelRatio' => 1.0,
                        'touch' => true,
                        'mobile' => true,
                    ],
                ],
            );
        }
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $port = Ports::free();
        $this->driver = ChromeDriver::start(
            $capabilities,
            new ChromeDriverService('/usr/bin/chromedriver', $port, ["--port={$port}", '--log-level=OFF'], $this->home()),
        );
        $this->command('Emulation.setLocaleOverride', ['locale' => 'en-GB']);
        if (! $this->touch) {
            $this->resize(self::DESK);
        }
    }

    /** @return array<string, string>|null what it finds around it: a home in which it trusts an authority of its own */
    private function home(): ?array
    {
        if ($this->trusts === null) {
            return null;
        }
        $known = "{$this->profile}/.pki/nssdb";
        if (! is_dir($known)) {
            mkdir($known, 0700, recursive: true);
            exec(sprintf('certutil -d sql:%1$s -N --empty-password && certutil -d sql:%1$s -A -t C,, -n yard -i %2$s 2>&1', escapeshellarg($known), escapeshellarg($this->trusts)), $out, $code);
            Assert::assertSame(0, $code, implode("\n", $out));
        }

        return [...getenv(), 'HOME' => $this->profile];
    }

    /** @param  array{int, int}  $size of what is seen */
    public function resize(array $size): void
    {
        $this->command(
            'Emulation.setDeviceMetricsOverride',
            ['width' => $size[0], 'height' => $size[1], 'deviceScaleFactor' => 1, 'mobile' => $size === self::PHONE],
        );
    }

    /** @param  array<string, mixed>  $parameters of a DevTools command */
    public function command(string $name, array $parameters): mixed
    {
        return $this->driver->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute',
            'POST',
            ['cmd' => $name, 'params' => (object) $parameters],
        );
    }

    public function open(string $path): void
    {
        $this->driver->get($this->address.$path);
    }

    /** Goes to another address altogether. */
    public function visit(string $address): void
    {
        $this->driver->get($address);
    }

    /** @return list<array<string, mixed>> */
    public function cookies(): array
    {
        return array_map(fn (Cookie $cookie): array => $cookie->toArray(), $this->driver->manage()->getCookies());
    }

    /** Turns to another page without reading the application anew; reads it anew where one could not tell the two apart. */
    public function turnTo(string $path, string $shows): void
    {
        if (str_contains($this->text(), $shows)) {
            $this->open($path);
        } else {
            $this->script('history.pushState(null, "", arguments[0]); dispatchEvent(new PopStateEvent("popstate"))', $path);
        }
        $this->see($shows);
    }

    public function path(): string
    {
        $url = parse_url($this->driver->getCurrentURL());

        return ($url['path'] ?? '').(isset($url['query']) ? '?'.$url['query'] : '');
    }

    /** Signs in without going through the gate. */
    public function signIn(string $name, string $password): void
    {
        $this->open(self::STILL);
        $status = $this->asyncScript(<<<'JS'
            const [name, password, done] = arguments;
            fetch('/api/session', {
                method: 'POST',
                headers: {Accept: 'application/json', 'Content-Type': 'application/json'},
                body: JSON.stringify({sign_in_name: name, password}),
            }).then(answer => done(answer.status), done);
            JS, $name, $password);
        Assert::assertSame(200, $status, "{$name} signs in");
    }

    /** Waits until a condition holds. */
    public function until(\Closure $condition, string $what): mixed
    {
        $deadline = microtime(true) + self::PATIENCE;
        $pause = self::PAUSE;
        do {
            try {
                $result = $condition();
                if ($result !== null && $result !== false) {
                    return $result;
                }
            } catch (StaleElementReferenceException|ElementClickInterceptedException) {
                // What is just being drawn anew, or still lies under a closing slip, is tried again.
            }
            usleep($pause);
            // Whoever asks all the time keeps the browser from its work.
            $pause = min(self::LONGEST_PAUSE, intdiv($pause * 6, 5));
        } while (microtime(true) < $deadline);
        throw new \RuntimeException(
            "Waited in vain for {$what} at {$this->path()}. Seen: ".mb_substr($this->text(), 0, 1500),
        );
    }

    public function text(): string
    {
        return (string) $this->driver->executeScript('return document.body.innerText');
    }

    public function see(string $text): void
    {
        $seen = $this->until(
            fn (): ?string => str_contains($shown = $this->text(), $text) ? $shown : null,
            "\"{$text}\"",
        );
        Assert::assertStringContainsString($text, $seen);
    }

    public function notSee(string $text): void
    {
        $this->until(fn (): bool => ! str_contains($this->text(), $text), "\"{$text}\" to be gone");
    }

    /** Types into the field of that label what a person would, key by key, after emptying it. */
    public function type(string $label, string $text): void
    {
        $field = $this->field($label);
        $this->script('arguments[0].select && arguments[0].select()', $field);
        $field->sendKeys($text === '' ? "\u{E017}" : $text);
    }

    public function value(string $label): string
    {
        return (string) $this->field($label)->getAttribute('value');
    }

    /** Opens the choice of that label and takes the option. */
    public function choose(string $label, string $option): void
    {
        $quoted = self::quoted($label);
        $this->pressFound(
            "//button[@aria-haspopup='listbox'][starts-with(@aria-label, {$quoted}) or starts-with(normalize-space(ancestor::*[@data-choice]), {$quoted})]",
            "a choice called \"{$label}\"",
        );
        $this->pressFound('//*[@role="option"][normalize-space()='.self::quoted($option).']', "the option \"{$option}\"");
        $this->until(
            fn (): bool => $this->driver->findElements(WebDriverBy::xpath('//*[@role="listbox"][not(ancestor::figure)]')) === [],
            'the options to be put away',
        );
    }

    /** Types a day into the field of that label, in the yard's order. */
    public function setDay(string $label, string $day): void
    {
        $quoted = self::quoted($label);
        $segments = fn (): array => $this->driver->findElements(
            WebDriverBy::xpath(
                "//*[@data-day][starts-with(normalize-space(), {$quoted})]//*[@role='spinbutton']",
            ),
        );
        $this->until(fn (): bool => count($segments()) === 3, "a day called \"{$label}\"");
        [$year, $month, $dayOfMonth] = explode('-', $day);
        foreach ($segments() as $index => $segment) {
            $segment->click();
            $segment->sendKeys([$dayOfMonth, $month, $year][$index]);
        }
    }

    private function pressFound(string $path, string $what): void
    {
        $this->until(function () use ($path): bool {
            foreach ($this->driver->findElements(WebDriverBy::xpath($path)) as $found) {
                if ($found->isDisplayed()) {
                    $this->script('arguments[0].scrollIntoView({block: "center"})', $found);
                    $found->click();

                    return true;
                }
            }

            return false;
        }, $what);
    }

    /** Presses the button or link of that name; within a part of the page if one is given. */
    public function press(string $name, ?string $within = null): void
    {
        $this->until(function () use ($name, $within): bool {
            $found = $this->named($name, $within);
            if ($found === null || $this->isUnseen()) {
                return false;
            }
            $this->script('arguments[0].scrollIntoView({block: "center"})', $found);
            $found->click();

            return true;
        }, "something to press called \"{$name}\"");
    }

    /** Waits until nothing has been asked of the server for a while: what is fetched ahead is there. */
    public function untilQuiet(): void
    {
        $before = -1;
        $this->until(function () use (&$before): bool {
            usleep(400_000);
            $asked = (int) $this->script('performance.setResourceTimingBufferSize(5000); return performance.getEntriesByType("resource").length');
            [$isQuiet, $before] = [$asked === $before, $asked];

            return $isQuiet;
        }, 'the page to ask for nothing more');
    }

    /** Whether the page has come and hears a key. */
    private function stands(): bool
    {
        return (bool) $this->script('return document.querySelector("#jardinier main:not([aria-busy=true])") !== null');
    }

    /** What is shown takes no press yet. */
    private function isUnseen(): bool
    {
        return (bool) $this->script('return "unseen" in document.documentElement.dataset');
    }

    /** What the page is called. */
    public function title(): string
    {
        return $this->driver->getTitle();
    }

    /** A thumb comes down twice at the same place, so many milliseconds apart. */
    public function tapTwice(string $name, int $milliseconds): void
    {
        [$x, $y] = $this->middleOf($name);
        $this->finger('touchStart', $x, $y);
        $this->finger('touchEnd');
        usleep($milliseconds * 1000);
        $this->finger('touchStart', $x, $y);
        $this->finger('touchEnd');
    }

    public function tapLong(string $name, int $milliseconds): void
    {
        $this->finger('touchStart', ...$this->middleOf($name));
        usleep($milliseconds * 1000);
        $this->finger('touchEnd');
    }

    /** A thumb comes down on something and slides away from it before it is lifted. */
    public function slideOff(string $name): void
    {
        [$x, $y] = $this->middleOf($name);
        $this->finger('touchStart', $x, $y);
        foreach ([60, 120, 180, 240] as $up) {
            $this->finger('touchMove', $x, $y - $up);
        }
        $this->finger('touchEnd');
    }

    /** @return array{float, float} of what can be pressed by now */
    private function middleOf(string $name): array
    {
        return $this->until(function () use ($name): ?array {
            $found = $this->named($name, null);

            return $found === null || $this->isUnseen() ? null : $this->script(
                'const box = arguments[0].getBoundingClientRect(); return [box.left + box.width / 2, box.top + box.height / 2]',
                $found,
            );
        }, "something to press called \"{$name}\"");
    }

    private function finger(string $does, float ...$at): void
    {
        $points = $at === [] ? [] : [['x' => $at[0], 'y' => $at[1]]];
        $this->command('Input.dispatchTouchEvent', ['type' => $does, 'touchPoints' => $points]);
    }

    public function offers(string $name, ?string $within = null): bool
    {
        return $this->named($name, $within) !== null;
    }

    /** What has the keyboard's focus, by its accessible name. */
    public function focused(): string
    {
        return (string) $this->script(
            'const e = document.activeElement; return e.getAttribute("aria-label") || (e.labels && e.labels[0] && e.labels[0].innerText) || e.innerText || e.tagName',
        );
    }

    /** Pressed on the keyboard, whatever has the focus then. */
    public function keys(string ...$keys): void
    {
        foreach ($keys as $key) {
            $this->until(fn (): bool => $this->stands() && ! $this->isUnseen(), 'what is shown to be seen');
            $presses = array_merge(...array_map(fn (string $sign): array => [
                ['type' => 'keyDown', 'value' => $sign],
                ['type' => 'keyUp', 'value' => $sign],
            ], mb_str_split($key)));
            $this->driver->executeCustomCommand('/session/:sessionId/actions', 'POST', ['actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => $presses]]]);
        }
    }

    public function script(string $script, mixed ...$given): mixed
    {
        return $this->driver->executeScript($script, $given);
    }

    public function asyncScript(string $script, mixed ...$given): mixed
    {
        return $this->driver->executeAsyncScript($script, $given);
    }

    public function picture(string $file): void
    {
        $this->script('document.fonts.ready');
        $this->until(
            fn (): bool => (bool) $this->script(
                'return document.querySelector("[aria-busy=true]") === null && document.fonts.status === "loaded"',
            ),
            'the page to be drawn',
        );
        usleep(120_000);
        $this->driver->takeScreenshot($file);
    }

    /** What comes out of the printer, as a PDF file. */
    public function print(string $file): void
    {
        $printed = $this->command('Page.printToPDF', ['preferCSSPageSize' => true]);
        file_put_contents($file, base64_decode((string) ($printed['data'] ?? ''), true));
    }

    public function isDisabled(string $button): bool
    {
        return (bool) $this->script(
            'return [...document.querySelectorAll("button")].find(button => button.innerText === arguments[0]).disabled',
            $button,
        );
    }

    /** The picture, the text and the console's complaints, for whoever has to find out what went wrong. */
    public function keepEvidence(string $file): void
    {
        $this->driver->takeScreenshot("{$file}.png");
        file_put_contents("{$file}.txt", $this->path()."\n\n".$this->text()."\n\n".implode("\n", $this->complaints()));
    }

    /** @return list<string> complaints of the browser's console */
    public function complaints(): array
    {
        return array_values(array_map(fn (array $line): string => $line['message'], array_filter($this->driver->manage()->getLog('browser'),
            fn (array $line): bool => $line['level'] === 'SEVERE' && ! str_contains($line['message'], 'status of 4'))));
    }

    /** What a page looks like in another scheme of colours differs from it in nothing but these. */
    public const OF_COLOURS = ['color-contrast', 'link-in-text-block'];

    public const OF_A_PAGE = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

    /**
     * @param  list<string>  $rules  of axe-core, or tags of them
     * @return list<string> what axe-core finds of serious barriers on the page (WCAG 2.2 AA)
     */
    public function barriers(array $rules = self::OF_A_PAGE): array
    {
        if ($this->script('return typeof axe') === 'undefined') {
            $this->script((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        }

        return $this->asyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            axe.run(document, {resultTypes: ['violations'], selectors: false, runOnly: arguments[0]}).then(result => done(result.violations
                .filter(violation => ['serious', 'critical'].includes(violation.impact))
                .map(violation => violation.id + ': ' + violation.nodes.map(node => node.html.slice(0, 160) + ' ' + (node.any[0]?.message ?? '')).slice(0, 4).join(' | '))));
            JS, $rules);
    }

    /**
     * The marks of every rail on the page that a finger or an eye would miss: too small, covered, or sticking out.
     *
     * @param  int  $least  pixels a mark must measure either way
     * @return list<string>
     */
    public function missedMarks(int $least): array
    {
        return $this->script(<<<'JS'
            const missed = [];
            for (const mark of document.querySelectorAll('[data-stakes]')) {
                mark.scrollIntoView({block: 'center'});
                const box = mark.getBoundingClientRect();
                const edge = mark.closest('[role=group]').getBoundingClientRect();
                const name = mark.closest('[role=group]').getAttribute('aria-label').slice(0, 24) + ' ' + mark.getAttribute('aria-label');
                if (box.width < arguments[0] - 0.5 || box.height < arguments[0] - 0.5) missed.push(name + ' is ' + Math.round(box.width) + ' x ' + Math.round(box.height));
                if (box.left < edge.left - 2 || box.right > edge.right + 2) missed.push(name + ' sticks out');
                if (document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2)?.closest('[data-stakes]') !== mark) missed.push(name + ' is covered');
                const told = mark.getAttribute('aria-label').replace(/^\d+ here: /, '').split('; ').length;
                if (Number(mark.dataset.stakes) !== told) missed.push(name + ' is heard as ' + told);
            }
            return missed;
            JS, $least);
    }

    /**
     * Nobody is signed in and nothing is kept on the device. The session is ended at the yard too, because an answer
     * still under way may bring its cookie back.
     *
     * @param  list<string>  $forgets
     */
    public function startAfresh(array $forgets = ['local_storage', 'indexeddb']): void
    {
        $this->clockMoved = 0;
        while ($script = array_pop($this->scripts)) {
            $this->command('Page.removeScriptToEvaluateOnNewDocument', ['identifier' => $script]);
        }
        $this->outOfReach(false);
        $this->until(function () use ($forgets): bool {
            $this->open(self::STILL);
            $this->asyncScript(<<<'JS'
                const done = arguments[arguments.length - 1];
                fetch('/api/session', {method: 'DELETE', headers: {Accept: 'application/json'}}).then(done, done);
                JS);
            $this->command('Network.clearBrowserCookies', []);
            $this->forget(...$forgets);

            return $this->asyncScript(<<<'JS'
                const done = arguments[arguments.length - 1];
                fetch('/api/session', {headers: {Accept: 'application/json'}}).then(answer => answer.json()).then(session => done(session.person === null), () => done(false));
                JS);
        }, 'nobody to be signed in');
        // What the console still holds is of the test before.
        $this->complaints();
    }

    /** As when the browser itself makes room, or somebody clears what it keeps of the site. */
    public function forget(string ...$kinds): void
    {
        $this->command(
            'Storage.clearDataForOrigin',
            ['origin' => $this->address, 'storageTypes' => implode(',', $kinds)],
        );
    }

    public function quit(): void
    {
        $this->driver->quit();
        exec('rm -rf '.escapeshellarg($this->profile));
    }

    public function field(string $label): WebDriverElement
    {
        return $this->until(function () use ($label): ?WebDriverElement {
            $quoted = self::quoted($label);
            $found = array_filter([
                ...$this->driver->findElements(
                    WebDriverBy::xpath(
                        "//*[self::input or self::textarea or self::select][starts-with(@aria-label, {$quoted})]",
                    ),
                ),
                ...$this->driver->findElements(
                    WebDriverBy::xpath(
                        "//*[self::input or self::textarea or self::select][@id=//label[starts-with(normalize-space(), {$quoted})]/@for or @aria-labelledby=//label[starts-with(normalize-space(), {$quoted})]/@id]",
                    ),
                ),
                ...$this->driver->findElements(
                    WebDriverBy::xpath(
                        "//label[starts-with(normalize-space(), {$quoted})]//*[self::input or self::select or self::textarea]",
                    ),
                ),
            ], fn (RemoteWebElement $element): bool => $element->isDisplayed());

            return $found === [] ? null : reset($found);
        }, "a field called \"{$label}\"");
    }

    private function named(string $name, ?string $within): ?WebDriverElement
    {
        $quoted = self::quoted($name);
        $slips = $this->driver->findElements(WebDriverBy::xpath('//*[@role="dialog"]'));
        $root = match (true) {
            $within !== null => '//*[@aria-label='.self::quoted($within).']',
            // What lies on top hides what is under it.
            $slips !== [] => '//*[@role="dialog"]',
            default => '',
        };
        $path = "{$root}//*[self::button or self::a or self::summary or @role='menuitem' or @role='radio' or @role='option' or @type='checkbox' or (self::label and .//input)][@aria-label={$quoted} or normalize-space()={$quoted} or normalize-space(text()[1])={$quoted} or starts-with(@aria-label, {$quoted}) or (self::label and .//input[starts-with(@aria-label, {$quoted})]) or (self::label and .//input and starts-with(normalize-space(), {$quoted}))]";
        $shown = array_filter(
            $this->driver->findElements(WebDriverBy::xpath($path)),
            fn (RemoteWebElement $element): bool => $element->isDisplayed() && $element->isEnabled(),
        );

        return $shown === [] ? null : reset($shown);
    }

    private static function quoted(string $text): string
    {
        return str_contains($text, "'") ? '"'.$text.'"' : "'{$text}'";
    }
}
