<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Notes\NoteKinds;
use App\People\AccessEnded;
use App\Shelf\Kinds\BoughtNote;
use App\Shelf\Kinds\CollectedNote;
use App\Shelf\Kinds\CountedNote;
use App\Shelf\Kinds\GatherNote;
use App\Shelf\Ready\CounterLink;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

/** What the shelf makes known: its kinds of note, and whose links end with their access. */
final class ShelfProvider extends ServiceProvider
{
    private const NOTES = [
        'bought' => BoughtNote::class,
        'counted' => CountedNote::class,
        'collected' => CollectedNote::class,
        'gather' => GatherNote::class,
    ];

    public function register(): void
    {
        $this->callAfterResolving(NoteKinds::class, fn (NoteKinds $kinds) => $kinds->register(self::NOTES));
    }

    public function boot(): void
    {
        Event::listen(
            AccessEnded::class,
            fn (AccessEnded $ended) => CounterLink::query()->where('person_id', $ended->personId)->delete(),
        );
    }
}
