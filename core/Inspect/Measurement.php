<?php

declare(strict_types=1);

namespace Core\Inspect;

/** The kinds of measurement that a check can ask for. */
enum Measurement: string
{
    case Belt = 'belt';
    case FreePlay = 'free_play';
    case Tyres = 'tyres';
    case Left = 'left';
    case Clearance = 'clearance';
    case FluidAge = 'fluid_age';
    case Battery = 'battery';
    case Plug = 'plug';
    case Coolant = 'coolant';
    case FluidLook = 'fluid_look';
    case Level = 'level';
    case CellWater = 'cell_water';

    public function instrument(): Instrument
    {
        return match ($this) {
            self::Belt => new Instrument\Belt,
            self::FreePlay => new Instrument\FreePlay,
            self::Tyres => new Instrument\Tyres,
            self::Left => new Instrument\WearLeft,
            self::Clearance => new Instrument\Clearance,
            self::FluidAge => new Instrument\FluidAge,
            self::Battery => new Instrument\Battery,
            self::Plug => new Instrument\Plug,
            self::Coolant => new Instrument\Coolant,
            self::FluidLook => new Instrument\FluidLook,
            self::Level => new Instrument\Level,
            self::CellWater => new Instrument\CellWater,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Belt => 'belt deflection',
            self::FreePlay => 'pedal free play',
            self::Tyres => 'tyre pressures',
            self::Left => 'what is left of a part',
            self::Clearance => 'clearance',
            self::FluidAge => 'age of a fluid',
            self::Battery => 'battery voltage',
            self::Plug => 'spark plug',
            self::Coolant => 'coolant protection',
            self::FluidLook => 'look of a fluid',
            self::Level => 'level',
            self::CellWater => 'water in the cells',
        };
    }
}
