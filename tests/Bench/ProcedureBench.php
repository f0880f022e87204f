<?php

declare(strict_types=1);

namespace Tests\Bench;

use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Sheet\OpeningSheet;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;
use Core\Procedure\Compartment;
use Core\Procedure\Opening;
use Core\Procedure\Procedure;
use Core\Procedure\Progress;
use Core\Procedure\ServicedMachine;
use Core\Procedure\Timing\TimedStep;
use Core\Procedure\Timing\Timetable;
use Core\Procedure\Timing\Weights;
use Core\Procedure\Timing\Workload;
use Core\Procedure\Work;

/** How long a job of some 120 steps takes to build, to lay out in time, and to be gone through at each press. */
final class ProcedureBench
{
    private const ROUNDS = 20;

    private const KINDS = [
        CompartmentKind::Engine,
        CompartmentKind::Transmission,
        CompartmentKind::FrontDifferential,
        CompartmentKind::RearDifferential,
        CompartmentKind::Hydraulic,
        CompartmentKind::ReductionGear,
        CompartmentKind::Pto,
        CompartmentKind::Coolant,
    ];

    public function run(): void
    {
        $compartments = array_map(self::compartment(...), self::KINDS);
        $works = array_map(fn (Compartment $one): Work => new Work(TaskKind::Replace, $one), $compartments);
        $small = Procedure::of(new ServicedMachine, [$works[0]], $compartments, []);
        $large = Procedure::of(new ServicedMachine, $works, $compartments, []);
        $one = $this->time(fn (): Procedure => Procedure::of(new ServicedMachine, [$works[0]], $compartments, []));
        $all = $this->time(fn (): Procedure => Procedure::of(new ServicedMachine, $works, $compartments, []));
        $laid = $this->time(fn (): Timetable => Timetable::roundTheMachine(
            new Workload(array_map(TimedStep::of(...), $large->steps), $large->holds, ['pan' => 2, 'stand' => 1], 1),
            Weights::usual(),
        ));
        $gone = $this->time(fn (): Progress => new Progress($large->steps, []));
        printf(
            "bench    a job of %d steps built in %.1f ms, %.1f times one of %d steps (aim: 2.5 times as long a step); laid out in time in %.0f ms (aim: 300); gone through in %.2f ms\n",
            count($large->steps),
            $all * 1e3,
            $all / $one,
            count($small->steps),
            $laid * 1e3,
            $gone * 1e3,
        );
    }

    private static function compartment(CompartmentKind $kind): Compartment
    {
        $key = $kind->value;
        $drain = new OpeningSheet('17 mm', seal: 'W 18');

        return new Compartment($key, $kind, $key, [
            new Opening("{$key}_fill", [OpeningRole::Fill], "{$key} filler", new OpeningSheet('17 mm')),
            new Opening("{$key}_drain", [OpeningRole::Drain], "{$key} drain", $drain),
            new Opening("{$key}_drain_2", [OpeningRole::Drain], "{$key} second drain", $drain),
        ], method: LevelMethod::Stick);
    }

    /** @param  callable(): object  $does */
    private function time(callable $does, int $rounds = self::ROUNDS): float
    {
        $began = hrtime(true);
        for ($round = 0; $round < $rounds; $round++) {
            $does();
        }

        return (hrtime(true) - $began) / 1e9 / $rounds;
    }
}
