<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\MachineClass;

/** What drives a machine, as far as it changes the order of a service. */
enum Engine: string
{
    case Petrol = 'petrol';
    case Diesel = 'diesel';
    case Electric = 'electric';

    /** Classes whose engines mostly are diesels. Common practice, no source. */
    private const USUALLY_DIESEL = [MachineClass::Tractor, MachineClass::Crawler];

    /**
     * As its fuel says; where nobody has written that down, as such machines mostly are.
     *
     * @param  list<string>  $fuels  what its tank takes, as designations
     */
    public static function of(MachineClass $class, array $fuels): self
    {
        return match (true) {
            $class === MachineClass::ElectricCart => self::Electric,
            $fuels === [] => in_array($class, self::USUALLY_DIESEL, true) ? self::Diesel : self::Petrol,
            in_array('diesel', array_map(mb_strtolower(...), $fuels), true) => self::Diesel,
            default => self::Petrol,
        };
    }
}
