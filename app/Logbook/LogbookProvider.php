<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Logbook\Acts\WhatMeets;
use App\Logbook\Kinds\AnswerNote;
use App\Logbook\Kinds\FluidNote;
use App\Logbook\Kinds\LiftNote;
use App\Logbook\Kinds\LineNote;
use App\Logbook\Kinds\MeterNote;
use App\Logbook\Kinds\MeterTruthNote;
use App\Logbook\Kinds\ReadingNote;
use App\Logbook\Kinds\RemarkNote;
use App\Logbook\Kinds\ReminderNote;
use App\Logbook\Kinds\StandDownNote;
use App\Logbook\Kinds\StrikeNote;
use App\Logbook\Kinds\TopUpNote;
use App\Machines\SpotChanged;
use App\Notes\NoteKinds;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\ServiceProvider;

/** What the logbook makes known: its kinds of note, and who strikes an entry. */
final class LogbookProvider extends ServiceProvider
{
    private const NOTES = [
        'reading' => ReadingNote::class,
        'line' => LineNote::class,
        'meter' => MeterNote::class,
        'meter_truth' => MeterTruthNote::class,
        'stand_down' => StandDownNote::class,
        'lift' => LiftNote::class,
        'reminder' => ReminderNote::class,
        'remark' => RemarkNote::class,
        'answer' => AnswerNote::class,
        'top_up' => TopUpNote::class,
        'fluid' => FluidNote::class,
        'strike' => StrikeNote::class,
    ];

    public function register(): void
    {
        $this->callAfterResolving(NoteKinds::class, fn (NoteKinds $kinds) => $kinds->register(self::NOTES));
    }

    public function boot(): void
    {
        Gate::policy(Entry::class, EntryPolicy::class);
        Event::listen(
            SpotChanged::class,
            fn (SpotChanged $changed) => $this->app->make(WhatMeets::class)->ofPoint($changed->spot),
        );
    }
}
