<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\OpeningRole;
use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\OpeningSteps;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Workpiece;

/** Brakes and a hydraulic clutch: the reservoir alone is drawn down, never below its outlet; the rest is pushed out by the new. */
final readonly class BledThrough implements Empties
{
    public function __construct(private Draft $draft, private OpeningSteps $openings, private RunsOut $runsOut) {}

    public function steps(Circuit $circuit, Compartment $housing): Ports
    {
        $class = $this->draft->step(
            new StepKey(StepVerb::Look, $housing->key),
            "Read the class of the fluid off the cap of {$housing->name}: DOT 3, 4 and 5.1 are glycol, DOT 5 is silicone, and the two never mix. Only from a bottle that was sealed.",
        );
        $opened = [];
        foreach ($circuit->openings(OpeningRole::Fill) as $cap) {
            $opened[] = $open = $this->openings->open($cap);
            $this->draft->needs($open, $class);
        }
        $suck = $this->draft->step(
            new StepKey(StepVerb::Suck, $housing->key),
            "Draw old {$housing->name} out of its reservoir only, never below its outlet: no air may follow.",
        );
        $this->draft->needs($suck, [$class, ...$opened]);
        $look = $this->runsOut->looked($circuit, new Workpiece($housing->key), $suck);

        return new Ports($opened, [$look]);
    }
}
