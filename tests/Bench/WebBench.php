<?php

declare(strict_types=1);

namespace Tests\Bench;

/** What the first load brings of JavaScript, gzipped; other places load when visited. */
final readonly class WebBench
{
    private const AIM_KB = 220;

    public function __construct(private string $build) {}

    public function run(): void
    {
        /** @var array<string, array{file: string, imports?: list<string>}> $manifest */
        $manifest = json_decode((string) file_get_contents("{$this->build}/manifest.json"), true);
        $files = $this->reached($manifest, 'web/main.tsx');
        $bytes = array_sum(
            array_map(
                fn (string $file): int => strlen(
                    (string) gzencode((string) file_get_contents("{$this->build}/{$file}"), 9),
                ),
                $files,
            ),
        );
        printf("web      first load: %.0f kB of JavaScript gzipped in %d files (aim: at most %d kB), %d places load when visited\n",
            $bytes / 1000, count($files), self::AIM_KB, count(
                array_filter($manifest, fn (array $chunk): bool => $chunk['isDynamicEntry'] ?? false),
            ));
    }

    /**
     * @param  array<string, array{file: string, imports?: list<string>}>  $manifest
     * @param  array<string, string>  $found
     * @return array<string, string> files by chunk
     */
    private function reached(array $manifest, string $chunk, array $found = []): array
    {
        if (isset($found[$chunk])) {
            return $found;
        }
        $found[$chunk] = $manifest[$chunk]['file'];
        foreach ($manifest[$chunk]['imports'] ?? [] as $import) {
            $found = $this->reached($manifest, $import, $found);
        }

        return $found;
    }
}
