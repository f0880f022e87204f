<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;

/** An oil bath or a bowl: the cup comes off whole, level, and is emptied and washed. */
final readonly class ByCup implements Empties
{
    public function __construct(private Draft $draft) {}

    public function steps(Circuit $circuit, Compartment $housing): Ports
    {
        $off = $this->draft->step(
            new StepKey(StepVerb::Remove, $housing->key),
            "Unclip the cup of {$housing->name} and take it off level, so that nothing slops into the engine.",
            block: $housing->key,
        );
        $this->draft->needs($off, StepVerb::CleanRound->at());
        $look = $this->draft->step(
            new StepKey(StepVerb::WhatRanOut, $housing->key),
            'Look into the cup: how deep the mud lies, water, and the mesh above it.',
            block: $housing->key,
        );
        $this->draft->needs($look, $off);
        $clean = $this->draft->step(
            new StepKey(StepVerb::Clean, $housing->key),
            "Empty the cup of {$housing->name} and wash it out; let it dry. Look at its ring.",
            block: $housing->key,
        );
        $this->draft->needs($clean, $look);

        return new Ports([$off], [$clean]);
    }
}
