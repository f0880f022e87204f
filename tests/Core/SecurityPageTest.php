<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** What the security page promises is held by tests that are there. */
final class SecurityPageTest extends TestCase
{
    public function test_every_test_that_the_page_names_is_there(): void
    {
        $page = (string) file_get_contents(dirname(__DIR__, 2).'/docs/security.md');
        self::assertGreaterThan(25, preg_match_all('/`(\w+Test)::(test_\w+)`/', $page, $named, PREG_SET_ORDER));
        $missing = array_filter($named, function (array $one): bool {
            foreach (glob(dirname(__DIR__)."/{Core,Core/*,Http,Browser,Faults}/{$one[1]}.php", GLOB_BRACE) ?: [] as $file) {
                if (str_contains((string) file_get_contents($file), "function {$one[2]}(")) {
                    return false;
                }
            }

            return true;
        });
        self::assertSame([], array_column($missing, 0));
        $promises = preg_grep('/^\| [A-Z]/m', explode("\n", $page)) ?: [];
        self::assertSame([], array_filter($promises, fn (string $row): bool => ! str_contains($row, 'Test::test_')), 'every promise names its test');
    }
}
