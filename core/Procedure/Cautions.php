<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\CompartmentKind;
use Core\Machine\MachineClass;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;

/** Which cautions belong to a task, from its spots and what is done to them, and to each step of a service. */
final class Cautions
{
    private const LOOKED_AT_ONLY = [TaskKind::Inspect, TaskKind::Run];

    private const OIL = [Subject::EngineOil, Subject::GearOil, Subject::Hydraulics];

    private const AXLES = [
        CompartmentKind::FrontDifferential,
        CompartmentKind::RearDifferential,
        CompartmentKind::WetBrakeAxle,
        CompartmentKind::FinalDrive,
        CompartmentKind::ReductionGear,
    ];

    /**
     * @param  list<Spot>  $spots
     * @return list<Caution>
     */
    public static function of(MachineClass $class, TaskKind $kind, array $spots): array
    {
        $cautions = [...self::ofClass($class), $kind === TaskKind::Run ? Caution::Running : null];
        foreach ($spots as $spot) {
            $cautions = [...$cautions, ...self::at($spot, $kind)];
        }

        return self::each($cautions);
    }

    /** @return list<Caution> what is always so of such a machine */
    public static function ofClass(MachineClass $class): array
    {
        return match ($class) {
            MachineClass::Generator => [Caution::Generator],
            MachineClass::ElectricCart => [Caution::ElectricCart],
            MachineClass::Crawler => [Caution::Crawler],
            default => [],
        };
    }

    /** @return list<Caution> where hands reach in at something of such a subject */
    public static function reachingIn(Subject $subject): array
    {
        return self::each([self::ofSubject($subject)]);
    }

    private static function ofSubject(Subject $subject): ?Caution
    {
        return match ($subject) {
            Subject::Cutting => Caution::Blades,
            Subject::Cooling => Caution::HotCoolant,
            Subject::Fuel => Caution::Fuel,
            Subject::Hydraulics => Caution::Pressure,
            Subject::Battery => Caution::Battery,
            Subject::Belts => Caution::Belts,
            Subject::Brakes, Subject::Wheels => Caution::OffTheGround,
            Subject::Exhaust => Caution::Exhaust,
            Subject::Safety => Caution::Switches,
            default => null,
        };
    }

    /** @return list<Caution|null> */
    private static function at(Spot $spot, TaskKind $kind): array
    {
        $opens = ! in_array($kind, self::LOOKED_AT_ONLY, true);

        return [
            $spot->subject === Subject::Cooling && $spot->kind === SpotKind::Plain
                ? null
                : self::ofSubject($spot->subject),
            $opens && in_array($spot->subject, self::OIL, true) ? Caution::HotOil : null,
            in_array($spot->compartment, self::AXLES, true) ? Caution::OffTheGround : null,
        ];
    }

    /**
     * @param  list<Caution|null>  $cautions
     * @return list<Caution>
     */
    private static function each(array $cautions): array
    {
        $each = [];
        foreach (array_filter($cautions) as $caution) {
            $each[$caution->value] = $caution;
        }

        return array_values($each);
    }
}
