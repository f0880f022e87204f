<?php

declare(strict_types=1);

use App\Bench\BenchProvider;
use App\Calendar\CalendarProvider;
use App\Logbook\LogbookProvider;
use App\Machines\MachinesProvider;
use App\People\PeopleProvider;
use App\Providers\AppServiceProvider;
use App\Rulebook\RulebookProvider;
use App\Shelf\ShelfProvider;
use App\Walkaround\WalkaroundProvider;
use App\Yard\YardProvider;

return [
    AppServiceProvider::class,
    PeopleProvider::class,
    MachinesProvider::class,
    LogbookProvider::class,
    RulebookProvider::class,
    WalkaroundProvider::class,
    ShelfProvider::class,
    BenchProvider::class,
    YardProvider::class,
    CalendarProvider::class,
];
