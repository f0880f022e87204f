<?php

declare(strict_types=1);

namespace Database\Demo;

use App\People\Role;

/** The people of the invented estate. */
final class DemoPeople
{
    /**
     * @var list<array{name: string, sign_in_name: string, role: Role}> the keeper first, then the mechanics, then the
     *     operators
     */
    public const ALL = [
        ['name' => 'Rosa Alder', 'sign_in_name' => 'rosa', 'role' => Role::Keeper],
        ['name' => 'Tamsin Oakhill', 'sign_in_name' => 'tamsin', 'role' => Role::Mechanic],
        ['name' => 'Piet Harrow', 'sign_in_name' => 'piet', 'role' => Role::Mechanic],
        ['name' => 'Bram Fenwick', 'sign_in_name' => 'bram', 'role' => Role::Operator],
        ['name' => 'Ilse Moor', 'sign_in_name' => 'ilse', 'role' => Role::Operator],
        ['name' => 'Jory Vane', 'sign_in_name' => 'jory', 'role' => Role::Operator],
        ['name' => 'Nell Ashby', 'sign_in_name' => 'nell', 'role' => Role::Operator],
        ['name' => 'Otis Brook', 'sign_in_name' => 'otis', 'role' => Role::Operator],
        ['name' => 'Wilf Garth', 'sign_in_name' => 'wilf', 'role' => Role::Operator],
        ['name' => 'Estate office', 'sign_in_name' => 'office', 'role' => Role::Reader],
    ];

    /** Jory is new and drives only the carts. */
    public const RESTRICTED = ['jory' => ['Dabchick', 'Grebe', 'Gadwall']];

    public static function password(string $signInName): string
    {
        return "coldbrook-{$signInName}";
    }
}
