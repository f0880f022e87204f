<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Machines\Yard;
use App\Upkeep\Backup\BackUp;
use App\Upkeep\Backup\SecondFolder;
use Carbon\CarbonImmutable;

/** Every night's backup. */
final readonly class BackUpTheYard implements NightWork
{
    private const HOUR = '02:10';

    public function __construct(private BackUp $backUp) {}

    public function name(): string
    {
        return 'backup';
    }

    public function title(): string
    {
        return 'Backup';
    }

    public function isDue(?CarbonImmutable $lastDone, CarbonImmutable $now): bool
    {
        return Nightly::isDue(self::HOUR, $lastDone, $now);
    }

    public function do(Yard $yard): string
    {
        $file = $this->backUp->make();
        $second = SecondFolder::path();

        return basename($file).', '.number_format(filesize($file) / 1e6, 1).' MB.'.match (true) {
            $second === null => '',
            SecondFolder::isThere() => ' It lies in the second folder too.',
            default => ' The second folder is not there: is its stick in?',
        };
    }
}
