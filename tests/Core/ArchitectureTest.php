<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

final class ArchitectureTest extends TestCase
{
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

    public function test_the_web_has_no_rule_of_the_trade_and_fetches_nothing_from_elsewhere(): void
    {
        $files = [...self::files('web', 'ts'), ...self::files('web', 'tsx')];
        self::assertNotEmpty($files);
        foreach ($files as $file) {
            self::assertDoesNotMatchRegularExpression('~https?://~', (string) file_get_contents($file), "{$file} names an address outside");
        }
    }

    public function test_every_file_of_ours_declares_strict_types(): void
    {
        foreach (['core', 'app', 'database', 'routes', 'config', 'tests'] as $folder) {
            foreach (self::files($folder, 'php') as $file) {
                self::assertStringContainsString('declare(strict_types=1);', (string) file_get_contents($file), $file);
            }
        }
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
