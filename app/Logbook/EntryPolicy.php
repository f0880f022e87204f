<?php

declare(strict_types=1);

namespace App\Logbook;

use App\People\Person;
use Illuminate\Support\Facades\Gate;

/** Keepers and mechanics strike any entry; operators their own, of kinds and on machines that they may still write. */
final class EntryPolicy
{
    public function viewAny(Person $person): bool
    {
        return true;
    }

    public function strike(Person $person, Entry $entry): bool
    {
        return $person->role->mayService()
            || ($entry->person_id === $person->id
                && ! $entry->kind->isOfService()
                && $entry->kind !== EntryKind::StoodDown
                && ($entry->machine === null || Gate::forUser($person)->allows('log', $entry->machine)));
    }
}
