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

    /** One's own password, sessions, tokens and calendar addresses. */
    public function keepOwn(Person $person): bool
    {
        return true;
    }

    public function beSignedIn(Person $person): bool
    {
        return true;
    }
}
