<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Kinds\SignOffNote;
use App\Bench\Kinds\StepNote;
use App\Notes\KnownJobs;
use App\Notes\NoteKinds;
use Illuminate\Support\ServiceProvider;

/** What the bench makes known: its kinds of note, and which jobs there are. */
final class BenchProvider extends ServiceProvider
{
    private const NOTES = [
        'step' => StepNote::class,
        'sign_off' => SignOffNote::class,
    ];

    public function register(): void
    {
        $this->callAfterResolving(NoteKinds::class, fn (NoteKinds $kinds) => $kinds->register(self::NOTES));
        $this->app->bind(KnownJobs::class, JobsOfMachines::class);
    }
}
