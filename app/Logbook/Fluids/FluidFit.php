<?php

declare(strict_types=1);

namespace App\Logbook\Fluids;

use App\Logbook\Acts\Placing;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\Machines\Yard;
use Carbon\CarbonImmutable;
use Core\Fluid\Bottle;
use Core\Fluid\Conditions;
use Core\Fluid\WillItDo;
use Core\Machine\CompartmentKind;
use Core\Machine\Point;

/** Whether a bottle will do for a compartment, as things stand in this yard. */
final readonly class FluidFit
{
    public function __construct(private Yard $yard)
    {
    }

    public function judge(Bottle $bottle, Machine $machine, Spot $compartment): WillItDo
    {
        $kind = $compartment->compartment ?? CompartmentKind::Engine;

        return WillItDo::judge($bottle, Sheets::compartment($compartment)->housing($kind), new Conditions(
            $this->yard->coldestNight(),
            $this->yard->hottestDay(),
            $machine->warranty()->runs($this->now($machine)),
            $this->yard->fluid_school,
        ));
    }

    private function now(Machine $machine): Point
    {
        $now = CarbonImmutable::now();

        return new Point(Placing::of($machine)->run($now, distance: false), null, $this->yard->dayOf($now));
    }
}
