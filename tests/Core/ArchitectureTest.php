<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ArchitectureTest extends TestCase
{
    /** Where the web may reckon with what it was told: where things stand on a screen, how a number is written, what a key adds to what is typed. */
    private const LAYOUT = ['kit/Rail.tsx', 'kit/railLayout.ts', 'kit/format.ts', 'kit/stepping.ts', 'kit/clock.ts', 'kept/store.ts', 'machine/ruleDraft.ts', 'machine/UseStrip.tsx', 'walkaround/WearChart.tsx', 'walkaround/Plate.tsx', 'walkaround/useDigits.ts'];

    /** Fields of the contract that hold amounts of the trade. */
    private const AMOUNTS = 'most|least|limit|late|early|strokes|value|hours|km|months|at|every|run|volts|remaining|set|shown|rings_at|last|share_used|runs_for';

    public function test_the_core_reaches_for_nothing_but_itself_and_the_arithmetic_library(): void
    {
        $outside = [];
        foreach (self::files('core', 'php') as $file) {
            preg_match_all('/^use (?!Core\\\\|Brick\\\\Math\\\\)(\S+);/m', (string) file_get_contents($file), $found);
            preg_match_all('/\b(Illuminate|Carbon|App)\\\\|\b(file_get_contents|fopen|curl_init|time|microtime|date)\(|new \\\\DateTimeImmutable(\(\)|;|\(\'now)/', (string) file_get_contents($file), $reached);
            foreach ([...$found[0], ...$reached[0]] as $what) {
                $outside[] = "{$file}: {$what}";
            }
        }
        self::assertSame([], $outside);
    }

    /** Measure knows nobody and Form only Measure; Reckoner knows everybody and nobody knows Reckoner. */
    public function test_in_the_core_what_is_read_lies_below_and_the_calculators_above_all_else(): void
    {
        $known = [];
        foreach (self::files('core', 'php') as $file) {
            preg_match('~core/(\w+)/~', $file, $folder);
            preg_match_all('/^use Core\\\\(\w+)\\\\/m', (string) file_get_contents($file), $used);
            $known[$folder[1]] = array_unique([...$known[$folder[1]] ?? [], ...array_diff($used[1], [$folder[1]])]);
        }

        self::assertSame([[], ['Measure']], [array_values($known['Measure']), array_values($known['Form'])]);
        self::assertSame([], array_keys(array_filter($known, fn (array $used): bool => in_array('Reckoner', $used, true))));
    }

    public function test_the_web_has_no_rule_of_the_trade(): void
    {
        $rules = [];
        foreach ([...self::files('web', 'ts'), ...self::files('web', 'tsx')] as $file) {
            $name = preg_replace('~^.*/web/~', '', $file);
            foreach (in_array($name, self::LAYOUT, true) ? [] : self::rulesIn((string) file_get_contents($file)) as $rule) {
                $rules[] = "{$name}: {$rule}";
            }
        }

        self::assertSame([], $rules);
    }

    /** That such a rule would be found, whichever way it is written. */
    #[DataProvider('rulesInTheWeb')]
    public function test_a_rule_of_the_trade_in_the_web_would_be_found(string $code): void
    {
        self::assertNotSame([], self::rulesIn($code), $code);
    }

    /** @return iterable<array{string}> */
    public static function rulesInTheWeb(): iterable
    {
        yield ['const litres = quarts * 0.946;'];
        yield ['const due = Number(rule.last) + Number(rule.every.hours);'];
        yield ['if (count > point.most) warn();'];
        yield ['const late = parseFloat(meter.value) >= 100;'];
        yield ['const verdict = drop > limit.volts ? "act" : "fit";'];
        yield ['const left = 250 - Number(line.run);'];
        yield ['const over = reading.value > 14;'];
        yield ['const share = stake.at / rule.every;'];
    }

    public function test_the_web_fetches_nothing_from_elsewhere(): void
    {
        foreach ([...self::files('web', 'ts'), ...self::files('web', 'tsx')] as $file) {
            self::assertDoesNotMatchRegularExpression('~https?://~', (string) file_get_contents($file), "{$file} names an address outside");
        }
    }

    /** Tests and pictures have a day of their own, which holds only where everybody asks the one clock. */
    public function test_there_is_one_clock(): void
    {
        $others = [];
        $clocks = [
            'web' => '/new Date\(\)|Date\.now\(/',
            'app' => '/\bnew \\\\?DateTime(Immutable)?(;|\(\)|\(\'now)|(?<![\w>:$])(time|date|microtime)\(|\bnow\(\) [-+]|CURRENT_TIMESTAMP|CURDATE|UTC_TIMESTAMP/i',
            'database' => '/useCurrent|CURRENT_TIMESTAMP|\bnew \\\\?DateTime(Immutable)?(;|\(\)|\(\'now)|(?<![\w>:$])(time|date)\(/',
        ];
        foreach ($clocks as $folder => $clock) {
            foreach ([...self::files($folder, 'php'), ...self::files($folder, 'ts'), ...self::files($folder, 'tsx')] as $file) {
                if (! str_ends_with($file, 'web/kit/clock.ts') && preg_match($clock, (string) file_get_contents($file), $found)) {
                    $others[] = "{$file}: {$found[0]}";
                }
            }
        }

        self::assertSame([], $others);
    }

    public function test_every_file_of_ours_declares_strict_types(): void
    {
        foreach (['core', 'app', 'database', 'routes', 'config', 'tests'] as $folder) {
            foreach (self::files($folder, 'php') as $file) {
                self::assertStringContainsString('declare(strict_types=1);', (string) file_get_contents($file), $file);
            }
        }
    }

    /**
     * Arithmetic or a comparison with amounts of the trade, and factors between units, outside of styles and drawings.
     *
     * @return list<string>
     */
    private static function rulesIn(string $code): array
    {
        $code = preg_replace(['~styled(\.\w+|\([^`]*?\))(<[^`]*?>)?`[^`]*`~s', '~css`[^`]*`~s', '~//.*|/\*.*?\*/~s', '~\bclassName="[^"]*"~'], '', $code) ?? '';
        $read = '(?:Number|parseFloat)\([^()]*(?:\([^()]*\))?[^()]*\)';
        $amount = '\b\w+(?:\??\.\w+)*\??\.(?:'.self::AMOUNTS.')\b(?![\w(.])';
        $sign = '(?:[*/%]|[<>]=?|(?<=[\s)])[-+](?=\s))';
        preg_match_all("~{$read}\s*{$sign}\s*[\w(]|[\w)]\s*{$sign}\s*{$read}|{$amount}\s*{$sign}\s*[\w(]|(?<!=)[\w)]\s+{$sign}\s+{$amount}|\b(?:25\.4|0\.0254|1\.609\d*|0\.946\d*|3\.785\d*|4\.546\d*|4\.448\d*|6\.894\d*|1\.3558\d*|0\.4536?)\b~", $code, $found);

        return $found[0];
    }

    /** @return list<string> */
    private static function files(string $folder, string $ending): array
    {
        $root = dirname(__DIR__, 2);
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$root}/{$folder}", \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file->getExtension() === $ending && $file->getFilename() !== 'schema.ts') {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }
}
