<?php

declare(strict_types=1);

namespace Tests\Mutants;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Drawn;

/** Every rule that is made wrong is found by core's own suite. */
final class MutantsTest extends TestCase
{
    /** Every run tries a mutant on the same examples. */
    private const SEED = '27';

    private const ROOT = __DIR__.'/../..';

    /** @return iterable<string, array{Mutant}> */
    public static function mutants(): iterable
    {
        $all = require __DIR__.'/mutants.php';
        if (! Drawn::isWhole()) {
            $all = Drawn::of(array_filter($all, fn (Mutant $mutant): bool => $mutant->equivalent === ''), seed: 27);
        }
        foreach ($all as $mutant) {
            yield $mutant->name() => [$mutant];
        }
    }

    #[Group('long')]
    #[DataProvider('mutants')]
    public function test_a_rule_made_wrong_is_found(Mutant $mutant): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'mutant');
        file_put_contents($file, $mutant->code(self::ROOT.'/core'));
        try {
            $isFound = $this->fails($file, "tests/Core/{$mutant->room()}") || $this->fails($file, 'tests/Core');
        } finally {
            unlink($file);
        }
        self::assertSame($mutant->equivalent === '', $isFound, $mutant->name());
    }

    private function fails(string $mutated, string $tests): bool
    {
        $suite = new Process(
            [PHP_BINARY, '-d', 'memory_limit=1G', 'vendor/bin/phpunit', '--bootstrap', 'tests/Mutants/mutated.php', '--do-not-cache-result', '--stop-on-defect', $tests],
            self::ROOT,
            ['JARDINIER_MUTANT' => $mutated, 'JARDINIER_LONG' => false, 'ERIS_SEED' => self::SEED],
            timeout: 300,
        );
        $suite->run();
        if (! in_array($suite->getExitCode(), [0, 1, 2], true) || ! str_contains($suite->getOutput(), 'Tests:') && ! str_contains($suite->getOutput(), 'OK (')) {
            self::fail("The suite did not run.\n{$suite->getOutput()}{$suite->getErrorOutput()}");
        }

        return $suite->getExitCode() !== 0;
    }
}
