<?php

declare(strict_types=1);

namespace App\People;

/** What a person is to the yard. */
enum Role: string
{
    case Keeper = 'keeper';
    case Mechanic = 'mechanic';
    case Operator = 'operator';
    case Reader = 'reader';

    public function mayWrite(): bool
    {
        return $this !== self::Reader;
    }

    /** Services, meters, lifting a stood-down machine. */
    public function mayService(): bool
    {
        return $this === self::Keeper || $this === self::Mechanic;
    }
}
