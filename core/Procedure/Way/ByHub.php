<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;

/** Its plug turned lowest, drained inside and outside, turned level again, and filled to its mark. */
final readonly class ByHub implements Empties
{
    public function __construct(private Draft $draft, private ByPlug $byPlug) {}

    public function steps(Circuit $circuit, Compartment $housing): Ports
    {
        $low = $this->draft->step(
            new StepKey(StepVerb::TurnLow, $housing->key),
            "Turn the hub of {$housing->name} until its drain plug is lowest: nothing else stands open meanwhile, since the machine may have to move.",
        );
        $ports = $this->byPlug->steps($circuit, $housing);
        foreach ($ports->opened as $open) {
            $this->draft->needs($open, $low);
        }
        $level = $this->draft->step(
            new StepKey(StepVerb::TurnLevel, $housing->key),
            "Turn the hub of {$housing->name} until its marks lie level: it is filled so.",
        );
        $this->draft->onlyIf($level, $low);
        $this->draft->waits($level, $ports->shut);

        return new Ports([$low, ...$ports->opened], $ports->emptied, [...$ports->shut, $level], moves: [$low]);
    }
}
