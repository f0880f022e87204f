<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Contracts\Auth\Authenticatable;

/**
 * Finds whoever a session belongs to, by what the session was given at sign-in: the person and their epoch. Whoever may
 * not sign in has none.
 */
final class PeopleByEpoch extends EloquentUserProvider
{
    public function retrieveById($identifier): ?Authenticatable
    {
        [$id, $epoch] = explode(' ', "{$identifier} ");

        return Person::query()->where(['id' => $id, 'epoch' => (int) $epoch, 'active' => true])->first();
    }
}
