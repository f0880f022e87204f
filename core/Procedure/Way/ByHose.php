<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Workpiece;

/** By taking a low hose off its elbow. */
final readonly class ByHose implements Empties
{
    public function __construct(private Draft $draft, private RunsOut $runsOut) {}

    public function steps(Circuit $circuit, Compartment $housing): Ports
    {
        $proved = $this->runsOut->proved($circuit);
        $air = $this->runsOut->airIn($circuit);
        $open = $this->draft->step(
            new StepKey(StepVerb::Open, $housing->key),
            "Pan under it; take the low hose of {$housing->name} off its elbow, a second wrench on the fitting{$this->runsOut->comes($circuit)}.",
            cautions: [match (true) {
                $housing->isFuel() => Caution::Fuel,
                $housing->isCoolant() => Caution::HotCoolant,
                default => Caution::HotOil,
            }],
        );
        $this->draft->needs($open, [StepVerb::CleanRound->at(), ...$proved]);
        $this->draft->waits($open, $air);
        $look = $this->runsOut->drips($circuit, $housing, new Workpiece($housing->key), "the hose of {$housing->name}", $open);
        $close = $this->draft->step(
            new StepKey(StepVerb::Close, $housing->key),
            "Put the hose of {$housing->name} back, its clamp tight: it holds, and cuts nothing.",
        );
        $this->draft->onlyIf($close, $open);
        $this->draft->waits($close, $look);
        $this->runsOut->overAPan($open, $close);

        return new Ports([...$proved, ...$air, $open], [$look], [$close]);
    }
}
