<?php

declare(strict_types=1);

namespace Core\Machine;

/** What can hurt somebody. The maker's manual, local rules and licensed trades come first. */
enum Caution: string
{
    case BeforeAnyWork = 'before_any_work';
    case Generator = 'generator';
    case StartingGenerator = 'starting_generator';
    case ElectricCart = 'electric_cart';
    case Crawler = 'crawler';
    case OffTheGround = 'off_the_ground';
    case TurningWheels = 'turning_wheels';
    case HotCoolant = 'hot_coolant';
    case HotOil = 'hot_oil';
    case HotParts = 'hot_parts';
    case Fuel = 'fuel';
    case Pressure = 'pressure';
    case Leaks = 'leaks';
    case Blades = 'blades';
    case BrakeFluid = 'brake_fluid';
    case Battery = 'battery';
    case BatteryPosts = 'battery_posts';
    case BatteryAcid = 'battery_acid';
    case Belts = 'belts';
    case Exhaust = 'exhaust';
    case Switches = 'switches';
    case Running = 'running';

    public function says(): string
    {
        return match ($this) {
            self::BeforeAnyWork => 'Park level, brake on, implement down, key out, wheels that stay on the ground chocked. The maker\'s manual wins over anything said here.',
            self::Generator => 'Disable starting: control off, its fuse out or the starter battery off. House wiring and transfer switches are a licensed electrician\'s.',
            self::StartingGenerator => 'Before it is started: nobody at it, its load off, its fuse in last. It is never connected to house wiring but through a transfer switch that a licensed electrician set.',
            self::ElectricCart => 'Lift batteries with help, and make no sparks near them.',
            self::Crawler => 'Keep hands and feet clear of the tracks; block the blade before reaching under it.',
            self::OffTheGround => 'A jack is not a stand: use stands or a locked lift before reaching under.',
            self::TurningWheels => 'The wheels are off the ground and turn: nobody near.',
            self::HotCoolant => 'Never open the cooling system hot.',
            self::HotOil => 'Hot oil and exhaust burn: warm is enough. Used oil goes to the collection point that local rules name.',
            self::HotParts => 'What has just run is hot: let it cool first.',
            self::Fuel => 'No flame, no sparks; ventilate and wear gloves.',
            self::Pressure => 'Pressure off first. Never feel for a leak with a hand: an injection injury is an emergency.',
            self::Leaks => 'Never feel for a leak with a hand: an injection injury is an emergency.',
            self::Blades => 'Take the spark-plug lead off or disconnect the battery first, and wear gloves.',
            self::BrakeFluid => 'Brake fluid eats paint and skin: gloves, and wash off what drips. Not sure of it: a licensed mechanic. With a soft or uneven pedal the machine is not moved.',
            self::Battery => 'Negative off first, on last; no sparks.',
            self::BatteryPosts => 'No sparks near a battery, no tools across its posts.',
            self::BatteryAcid => 'Battery acid burns: glasses and gloves. No sparks, no flame.',
            self::Belts => 'Engine off, key out, before a hand goes near belts, chains or shafts.',
            self::Exhaust => 'Exhaust burns, and kills where it gathers.',
            self::Switches => 'Never bypass a switch or leave a guard off. Keep everybody clear.',
            self::Running => 'Run it only where exhaust cannot gather.',
        };
    }

    /** Whether it is acknowledged each time and not once a job. */
    public function everyTime(): bool
    {
        return in_array($this, [self::OffTheGround, self::TurningWheels, self::HotCoolant, self::StartingGenerator], true);
    }
}
