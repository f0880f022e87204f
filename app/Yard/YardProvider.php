<?php

declare(strict_types=1);

namespace App\Yard;

use App\Machines\FactsChanged;
use App\Rulebook\Standings\KeptStandings;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

/** What the yard keeps of its machines follows the facts. */
final class YardProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(KeptStandings::class, KeptLines::class);
    }

    public function boot(): void
    {
        Event::listen(FactsChanged::class, function (FactsChanged $changed): void {
            if ($changed->machineIds !== []) {
                YardLine::outdate($changed->machineIds);
            }
        });
    }
}
