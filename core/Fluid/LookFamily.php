<?php

declare(strict_types=1);

namespace Core\Fluid;

use Core\Machine\CompartmentKind;
use Core\Machine\Verdict;

/** The kinds of fluid that look, smell and carry things in their own ways. */
enum LookFamily
{
    case EngineOil;
    case GearOil;
    case HydraulicOil;
    case Coolant;
    case Fuel;
    case BrakeFluid;

    public static function in(CompartmentKind $compartment): self
    {
        return match ($compartment) {
            CompartmentKind::Engine, CompartmentKind::OilBath => self::EngineOil,
            CompartmentKind::Hydraulic,
            CompartmentKind::Hydrostatic,
            CompartmentKind::TorqueConverter => self::HydraulicOil,
            CompartmentKind::Coolant => self::Coolant,
            CompartmentKind::Brake => self::BrakeFluid,
            CompartmentKind::Fuel => self::Fuel,
            default => self::GearOil,
        };
    }

    /**
     * @return array{string, Verdict, string} what is read from one thing seen, how grave it is, and what to do. Common
     *     practice, no source.
     */
    public function condition(Seen $seen): array
    {
        return match ($this) {
            self::EngineOil => self::engineOil($seen),
            self::GearOil => self::gearOil($seen),
            self::HydraulicOil => self::hydraulicOil($seen),
            self::Coolant => self::coolant($seen),
            self::Fuel => self::fuel($seen),
            self::BrakeFluid => self::brakeFluid($seen),
        };
    }

    /** @return array{string, Verdict, string} */
    private static function engineOil(Seen $seen): array
    {
        return match ($seen) {
            Seen::Dark => ['normal', Verdict::Fit, 'Go on: it carries the dirt it should.'],
            Seen::Black => ['due for a change', Verdict::Watch, 'Change it at the next chance.'],
            Seen::FuelSmell => [
                'fuel in it',
                Verdict::Act,
                'Find where it comes from before it is run long; change the oil.',
            ],
            default => self::oil($seen),
        };
    }

    /** @return array{string, Verdict, string} */
    private static function gearOil(Seen $seen): array
    {
        return match ($seen) {
            Seen::Dark => ['ageing', Verdict::Watch, 'Look again at the next service, change it then.'],
            Seen::Black => [
                'overheated or long overdue',
                Verdict::Act,
                'Change it, shorten the interval, find out why.',
            ],
            Seen::FuelSmell => [
                'another fluid in it',
                Verdict::Act,
                'Find out what was poured in or leaks in; change it.',
            ],
            default => self::oil($seen),
        };
    }

    /** @return array{string, Verdict, string} */
    private static function hydraulicOil(Seen $seen): array
    {
        return match ($seen) {
            Seen::Grey => [
                'a pump or motor wearing',
                Verdict::Act,
                'Change oil and filter, clean the suction screen, look at the filter cut open.',
            ],
            Seen::Fuzz => ['normal wear', Verdict::Fit, 'Wipe it, look at the suction screen, note it.'],
            default => self::gearOil($seen),
        };
    }

    /** @return array{string, Verdict, string} what holds for every oil */
    private static function oil(Seen $seen): array
    {
        return match ($seen) {
            Seen::Grey => [
                'fine metal after break-in',
                Verdict::Act,
                'Change it, look at the magnet, check again soon.',
            ],
            Seen::Milky, Seen::WaterDrops, Seen::Foam => [
                'water',
                Verdict::Act,
                'Find the way in, change it, change again soon.',
            ],
            Seen::BurntSmell => [
                'overheated or long overdue',
                Verdict::Act,
                'Change it, shorten the interval, find out why.',
            ],
            Seen::Fuzz => ['normal wear', Verdict::Fit, 'Wipe it, go on, note it.'],
            Seen::Slivers, Seen::Chips => [
                'something is breaking',
                Verdict::StandDown,
                'Stop. Find it before it is run again.',
            ],
            Seen::Overfull => [
                'not run down yet, or too much',
                Verdict::Watch,
                'Wait and read again; if it stays, draw some off.',
            ],
            Seen::Low => ['low', Verdict::Act, 'Top it up, log how much, and look for where it goes.'],
            default => ['normal', Verdict::Fit, 'Go on.'],
        };
    }

    /** @return array{string, Verdict, string} */
    private static function coolant(Seen $seen): array
    {
        return match ($seen) {
            Seen::Clear, Seen::WaterDrops => [
                'normal',
                Verdict::Fit,
                'Go on; its colour tells nothing of what it protects to, so test that too.',
            ],
            Seen::Dark => [
                'rust, or long overdue',
                Verdict::Act,
                'Flush it and fill it anew with one chemistry and distilled water.',
            ],
            Seen::Grey => [
                'two coolants mixed, or scale',
                Verdict::Act,
                'Flush it and fill it anew with one chemistry and distilled water.',
            ],
            Seen::Black, Seen::Milky => [
                'oil in it',
                Verdict::StandDown,
                'Do not run it. Find where oil gets in, a head gasket or an oil cooler, then flush it; look at the oil too.',
            ],
            Seen::Foam => [
                'air or gas getting in',
                Verdict::Act,
                'Let it cool until it can be touched; look at the cap, the hoses and the water pump, test for exhaust gas.',
            ],
            Seen::BurntSmell, Seen::FuelSmell => [
                'exhaust gas or fuel in it',
                Verdict::StandDown,
                'Do not run it. Have the head gasket tested.',
            ],
            Seen::Fuzz => ['rust', Verdict::Watch, 'Flush it at the next change.'],
            Seen::Slivers, Seen::Chips => [
                'the water pump, or scale, coming apart',
                Verdict::Act,
                'Look at the water pump and flush the system before it is run long.',
            ],
            Seen::Overfull => [
                'filled warm, or gas pushing it up',
                Verdict::Watch,
                'Read it cold; if it has risen again, test for exhaust gas.',
            ],
            Seen::Low => [
                'a leak, or boiled off',
                Verdict::Act,
                'Let it cool until it can be touched, top up with the same chemistry, log how much, look for the leak.',
            ],
        };
    }

    /** @return array{string, Verdict, string} */
    private static function fuel(Seen $seen): array
    {
        return match ($seen) {
            Seen::Clear, Seen::FuelSmell => ['normal', Verdict::Fit, 'Go on.'],
            Seen::Dark => ['stale or dirty', Verdict::Watch, 'Use it up soon or drain it; look at the filter.'],
            Seen::Black => [
                'growth or dirt in the tank',
                Verdict::Act,
                'Drain and clean the tank, change the filter. No flame, no sparks.',
            ],
            Seen::Grey, Seen::Milky, Seen::WaterDrops => [
                'water in it',
                Verdict::Act,
                'Drain the bowl and the bottom of the tank until it runs clear; find the way in.',
            ],
            Seen::Foam => [
                'air drawn in',
                Verdict::Watch,
                'Let it settle; if it comes again, look along the suction side.',
            ],
            Seen::BurntSmell => ['another fluid in it', Verdict::Act, 'Drain it before the engine is run on it.'],
            Seen::Fuzz => ['rust in the tank', Verdict::Watch, 'Change the filter, look into the tank.'],
            Seen::Slivers, Seen::Chips => [
                'the pump or the tank coming apart',
                Verdict::StandDown,
                'Stop. Find it before it reaches the injectors.',
            ],
            Seen::Overfull => [
                'no room to grow',
                Verdict::Watch,
                'Draw some off: it grows as it warms. No flame, no sparks.',
            ],
            Seen::Low => [
                'low',
                Verdict::Watch,
                'Fill it, engine off, no flame, no sparks; a diesel run dry must be bled.',
            ],
        };
    }

    /** @return array{string, Verdict, string} */
    private static function brakeFluid(Seen $seen): array
    {
        return match ($seen) {
            Seen::Clear => ['normal', Verdict::Fit, 'Go on.'],
            Seen::Dark, Seen::Grey => [
                'old, it has taken up water',
                Verdict::Act,
                'Change it and bleed; by date, not by looks, the next time.',
            ],
            Seen::Black => [
                'seals coming apart',
                Verdict::Act,
                'Change it, and look at every cylinder before it is relied on.',
            ],
            Seen::Milky, Seen::WaterDrops => [
                'water in it',
                Verdict::StandDown,
                'Not to be driven: it boils when braked hard. Change it and bleed.',
            ],
            Seen::Foam => ['air in it', Verdict::StandDown, 'Not to be driven until it is bled and the pedal is hard.'],
            Seen::BurntSmell => ['overheated', Verdict::Act, 'Look for a dragging brake; change it and bleed.'],
            Seen::FuelSmell => [
                'another fluid in it',
                Verdict::StandDown,
                'Not to be driven: oil or fuel swells every seal. Flush it and renew the seals.',
            ],
            Seen::Fuzz, Seen::Slivers, Seen::Chips => [
                'metal or rubber coming off',
                Verdict::StandDown,
                'Not to be driven. Find which cylinder it comes from.',
            ],
            Seen::Overfull => ['pads pushed back, or too much', Verdict::Watch, 'Draw some off; it takes the paint.'],
            Seen::Low => [
                'worn pads, or a leak',
                Verdict::Act,
                'Measure the pads; if they are good, find the leak before it is driven. Then top up and log how much.',
            ],
        };
    }
}
