<?php

declare(strict_types=1);

namespace App\Machines;

use App\People\Person;
use App\People\Role;
use Illuminate\Support\Facades\DB;

/** Everybody sees the yard; who may write depends on the role, and for an operator on the machine. */
final class MachinePolicy
{
    public function view(Person $person): bool
    {
        return true;
    }

    /** Adding and changing machines and their rulebooks, and the yard itself. */
    public function keep(Person $person): bool
    {
        return $person->role === Role::Keeper;
    }

    /** Logging a reading, or standing the machine down. */
    public function log(Person $person, Machine $machine): bool
    {
        return match ($person->role) {
            Role::Keeper, Role::Mechanic => true,
            Role::Operator => $person->may_use_all_machines || DB::table('machine_operator')
                ->where(['person_id' => $person->id, 'machine_id' => $machine->id])
                ->exists(),
            Role::Reader => false,
        };
    }

    /** Whether there is any machine this person may log on. */
    public function logSome(Person $person): bool
    {
        return $person->role->mayWrite();
    }

    /** Recording services, replacing meters, lifting a stood-down machine. */
    public function service(Person $person): bool
    {
        return $person->role->mayService();
    }
}
