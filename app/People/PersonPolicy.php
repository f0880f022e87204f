<?php

declare(strict_types=1);

namespace App\People;

/** Accounts are the keepers' business; one's own password and tokens are everybody's. */
final class PersonPolicy
{
    public function manage(Person $person): bool
    {
        return $person->role === Role::Keeper;
    }

    public function beSignedIn(Person $person): bool
    {
        return true;
    }
}
