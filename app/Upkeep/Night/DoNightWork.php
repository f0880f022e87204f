<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Machines\Yard;
use App\Upkeep\Backup\Unusable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** One work of the night in the hands of the worker; how it went is written down. */
final class DoNightWork implements ShouldBeUnique, ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;

    /** Where the worker was killed, it may be handed over again after so many seconds. */
    public int $uniqueFor = 3600;

    public int $tries = 1;

    public int $timeout = 3500;

    public function __construct(private readonly string $work) {}

    public function uniqueId(): string
    {
        return $this->work;
    }

    public function handle(): void
    {
        $yard = Yard::query()->first();
        if ($yard === null) {
            return;
        }
        $run = NightRun::query()->create(['work' => $this->work, 'began_at' => now()]);
        try {
            $says = NightWorks::named($this->work)->do($yard);
            $run->update(['succeeded' => true, 'says' => mb_substr($says, 0, 400), 'ended_at' => now()]);
        } catch (\Throwable $fault) {
            $isTold = $fault instanceof Unusable;
            $isTold || report($fault);
            $run->update(['succeeded' => false, 'says' => $isTold ? mb_substr($fault->getMessage(), 0, 400) : 'The log of the night tells more.', 'ended_at' => now()]);
        }
    }
}
