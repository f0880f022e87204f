<?php

declare(strict_types=1);

namespace Core\Machine;

/** What sort of place on a machine a spot is. */
enum SpotKind: string
{
    /** Holds one fluid. */
    case Compartment = 'compartment';
    /** Where a compartment is opened. */
    case Opening = 'opening';
    /** Where a part sits that is replaced. */
    case Part = 'part';
    /** A nipple. */
    case GreasePoint = 'grease_point';
    /** Anything else that is looked at, cleaned or adjusted. */
    case Plain = 'plain';

    public function label(): string
    {
        return match ($this) {
            self::Compartment => 'fluid',
            self::Opening => 'opening',
            self::Part => 'part',
            self::GreasePoint => 'grease point',
            self::Plain => 'place',
        };
    }
}
