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
use Core\Meter\Limit;

/** Whether a bottle will do for a compartment, as things stand in this yard. */
final readonly class FluidFit
{
    public function __construct(private Yard $yard) {}

    public function judge(Bottle $bottle, Machine $machine, Spot $compartment): WillItDo
    {
        $kind = $compartment->compartment ?? CompartmentKind::Engine;

        return WillItDo::judge(
            $bottle,
            Sheets::compartment($compartment)->housing($kind),
            $this->conditions($this->isUnderWarranty($machine)),
        );
    }

    public function conditions(bool $isUnderWarranty): Conditions
    {
        return new Conditions(
            $this->yard->coldestNight(),
            $this->yard->hottestDay(),
            $isUnderWarranty,
            $this->yard->fluid_school,
        );
    }

    public function isUnderWarranty(Machine $machine): bool
    {
        $warranty = $machine->warranty();
        $now = CarbonImmutable::now();

        return ($warranty->until !== null || $warranty->hours !== null) && $warranty->runs(
            new Point(Placing::of($machine)->run($now, Limit::Hours), null, $this->yard->dayOf($now)),
        );
    }
}
