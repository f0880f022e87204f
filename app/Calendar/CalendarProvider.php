<?php

declare(strict_types=1);

namespace App\Calendar;

use App\People\AccessEnded;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

/** A calendar ends with the access of whoever opened it. */
final class CalendarProvider extends ServiceProvider
{
    public function boot(): void
    {
        Event::listen(
            AccessEnded::class,
            fn (AccessEnded $ended) => CalendarFeed::query()->where('person_id', $ended->personId)->delete(),
        );
    }
}
