<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Machines\Yard;
use App\Upkeep\Backup\Unusable;
use App\Upkeep\StateFolder;
use Carbon\CarbonImmutable;
use Symfony\Component\Process\Process;

/** The certificate is made anew before it ends, and when the computer has another address. */
final class RenewCertificates implements NightWork
{
    private const HOURS_BETWEEN = 1;

    public function name(): string
    {
        return 'certificates';
    }

    public function title(): string
    {
        return 'Certificate';
    }

    public function isDue(?CarbonImmutable $lastDone, CarbonImmutable $now): bool
    {
        return config('upkeep.lan.address') !== null
            && ($lastDone === null || $lastDone <= $now->subHours(self::HOURS_BETWEEN));
    }

    public function do(Yard $yard): string
    {
        $port = substr((string) strrchr(StateFolder::path(), '-'), 1);
        $renewal = new Process([base_path('jardinier'), 'certificates', '--port', $port]);
        if ($renewal->run() !== 0) {
            throw new Unusable(trim($renewal->getErrorOutput()));
        }

        return trim($renewal->getOutput());
    }
}
