<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/** The programs that a backup is made with. */
final class Programs
{
    /**
     * @param  list<string>  $arguments
     * @param  array<string, string>  $environment
     */
    public static function process(string $program, array $arguments, array $environment = []): Process
    {
        $found = (new ExecutableFinder)->find($program, extraDirs: ['/usr/sbin', '/usr/local/sbin', '/sbin'])
            ?? throw new Unusable("{$program} is not on this computer.");

        return (new Process([$found, ...$arguments], env: ['TZ' => 'UTC', ...$environment]))->setTimeout(null);
    }

    /**
     * @param  list<string>  $arguments
     * @param  array<string, string>  $environment
     */
    public static function run(string $program, array $arguments, mixed $input = null, array $environment = []): string
    {
        $process = self::process($program, $arguments, $environment)->setInput($input);
        if ($process->run() !== 0) {
            throw new Unusable("{$program} failed: ".trim(mb_substr($process->getErrorOutput(), -300)));
        }

        return $process->getOutput();
    }

    /** Whoever runs the yard is root in its database, over its socket alone. */
    public static function me(): string
    {
        return posix_getpwuid(posix_geteuid())['name'] ?? 'root';
    }
}
