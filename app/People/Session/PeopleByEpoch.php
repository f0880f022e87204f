<?php

declare(strict_types=1);

namespace App\People\Session;

use App\People\Person;
use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Contracts\Hashing\Hasher;

/**
 * Finds whoever a session belongs to, by what the session was given at sign-in: the person, their epoch and the sign-in
 * itself. Whoever may not sign in has none.
 */
final class PeopleByEpoch extends EloquentUserProvider
{
    /** @param  \Closure(): EndedAccess  $endedAccess  of the request */
    public function __construct(Hasher $hasher, string $model, private readonly \Closure $endedAccess)
    {
        parent::__construct($hasher, $model);
    }

    public function retrieveById($identifier): ?Authenticatable
    {
        [$id, $epoch, $signIn] = explode(' ', "{$identifier}  ");
        $person = Person::query()
            ->where(['id' => $id, 'epoch' => (int) $epoch, 'active' => true])
            ->whereExists(fn ($signIns) => $signIns->from('sign_ins')->where('id', (int) $signIn)->whereColumn('person_id', 'people.id'))
            ->first();
        if ($person === null) {
            ($this->endedAccess)()->note();

            return null;
        }
        $person->signIn = (int) $signIn;

        return $person;
    }
}
