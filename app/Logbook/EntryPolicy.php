<?php

declare(strict_types=1);

namespace App\Logbook;

use App\People\Person;

/** Keepers and mechanics strike any entry; operators their own. */
final class EntryPolicy
{
    public function viewAny(Person $person): bool
    {
        return true;
    }

    public function strike(Person $person, Entry $entry): bool
    {
        return $person->role->mayService() || ($person->role->mayWrite() && $entry->person_id === $person->id);
    }
}
