<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Machines\Machine;
use App\People\Person;
use Carbon\CarbonImmutable;
use Illuminate\Auth\Access\Response;
use Illuminate\Support\Facades\Gate;

/** Keepers and mechanics strike any entry; operators their own, of kinds and on machines that they may still write, soon enough. */
final readonly class EntryPolicy
{
    public function __construct(private TakingBack $takingBack) {}

    public function viewAny(Person $person): bool
    {
        return true;
    }

    /** @param  CarbonImmutable|null  $at  when it is struck, by the clock of whoever does; null for now */
    public function strike(Person $person, Entry $entry, ?CarbonImmutable $at = null): Response|bool
    {
        if (Gate::forUser($person)->allows('service', Machine::class)) {
            return true;
        }
        if (
            $entry->person_id !== $person->id
            || $entry->kind->isOfService()
            || ($entry->machine !== null && Gate::forUser($person)->denies('log', $entry->machine))
        ) {
            return false;
        }
        $because = $this->takingBack->refusal($person, $entry, $at ?? CarbonImmutable::now());

        return $because === null ? true : Response::deny($because);
    }
}
