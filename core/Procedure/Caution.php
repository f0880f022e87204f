<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\CompartmentKind;
use Core\Machine\MachineClass;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;

/**
 * What can hurt somebody at a task, from its spots and what is done to them. The maker's manual, local rules and
 * licensed trades come first.
 */
final class Caution
{
    public const BEFORE_ANY_WORK = 'Park level, brake on, implement down, key out, wheels that stay on the ground chocked. The maker\'s manual wins over anything said here.';

    private const HOT_COOLANT = 'Never open the cooling system hot.';

    private const HOT_OIL = 'Hot oil and exhaust burn: warm is enough. Used oil goes to the collection point that local rules name.';

    private const OFF_THE_GROUND = 'A jack is not a stand: use stands or a locked lift before reaching under.';

    private const LOOKED_AT_ONLY = [TaskKind::Inspect, TaskKind::Run];

    private const AXLES = [
        CompartmentKind::FrontDifferential,
        CompartmentKind::RearDifferential,
        CompartmentKind::WetBrakeAxle,
        CompartmentKind::FinalDrive,
        CompartmentKind::ReductionGear,
    ];

    /**
     * @param  list<Spot>  $spots
     * @return list<string>
     */
    public static function for(MachineClass $class, TaskKind $kind, array $spots): array
    {
        $cautions = [
            self::ofClass($class),
            $kind === TaskKind::Run ? 'Run it only where exhaust cannot gather.' : null,
        ];
        foreach ($spots as $spot) {
            $cautions = [...$cautions, ...self::at($spot, $kind)];
        }

        return array_values(array_unique(array_filter($cautions)));
    }

    private static function ofClass(MachineClass $class): ?string
    {
        return match ($class) {
            MachineClass::Generator => 'Disable starting: control off, its fuse out or the starter battery off. House wiring and transfer switches are a licensed electrician\'s.',
            MachineClass::ElectricCart => 'Lift batteries with help, and make no sparks near them.',
            MachineClass::Crawler => 'Keep hands and feet clear of the tracks; block the blade before reaching under it.',
            default => null,
        };
    }

    /** @return list<string> */
    private static function at(Spot $spot, TaskKind $kind): array
    {
        $opens = ! in_array($kind, self::LOOKED_AT_ONLY, true);
        $isOil = in_array($spot->subject, [Subject::EngineOil, Subject::GearOil, Subject::Hydraulics], true);

        return array_values(array_filter([
            match ($spot->subject) {
                Subject::Cutting => 'Take the spark-plug lead off or disconnect the battery first, and wear gloves.',
                Subject::Cooling => $spot->kind === SpotKind::Plain ? null : self::HOT_COOLANT,
                Subject::Fuel => 'No flame, no sparks; ventilate and wear gloves.',
                Subject::Hydraulics => 'Pressure off first. Never feel for a leak with a hand: an injection injury is an emergency.',
                Subject::Battery => 'Negative off first, on last; no sparks.',
                Subject::Belts => 'Engine off, key out, before a hand goes near belts or chains.',
                Subject::Brakes, Subject::Wheels => self::OFF_THE_GROUND,
                Subject::Exhaust => 'Exhaust burns, and kills where it gathers.',
                Subject::Safety => 'Never bypass a switch or leave a guard off. Keep everybody clear.',
                default => null,
            },
            $isOil && $opens ? self::HOT_OIL : null,
            in_array($spot->compartment, self::AXLES, true) ? self::OFF_THE_GROUND : null,
        ]));
    }
}
