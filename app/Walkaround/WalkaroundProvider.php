<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Machines\FactsChanged;
use App\Notes\NoteKinds;
use App\Walkaround\Kinds\AcceptNote;
use App\Walkaround\Kinds\EndNote;
use App\Walkaround\Kinds\GreaseNote;
use App\Walkaround\Kinds\LookNote;
use App\Walkaround\Kinds\MendedNote;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

/** What walking round makes known: its kinds of note, and that its lines follow the facts. */
final class WalkaroundProvider extends ServiceProvider
{
    private const NOTES = [
        'look' => LookNote::class,
        'mended' => MendedNote::class,
        'accept' => AcceptNote::class,
        'grease' => GreaseNote::class,
        'end' => EndNote::class,
    ];

    public function register(): void
    {
        $this->callAfterResolving(NoteKinds::class, fn (NoteKinds $kinds) => $kinds->register(self::NOTES));
    }

    public function boot(): void
    {
        Event::listen(FactsChanged::class, function (FactsChanged $changed): void {
            if ($changed->machineIds !== [] && ! $changed->byReadingAlone) {
                WalkLine::outdate($changed->machineIds);
            }
        });
    }
}
