<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;
use Core\Procedure\Draft;
use Core\Procedure\LevelReading;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Workpiece;

/** Filled in the hand to the line inside the cup, and then put on. */
final readonly class IntoItsCup implements Fills
{
    public function __construct(private Draft $draft) {}

    public function steps(Circuit $circuit, LevelReading $reading): Ports
    {
        $most = $circuit->holder->capacity?->most;
        $book = $most === null ? '' : ", {$most->inWords()} by the book";
        $pour = $this->draft->step(
            new StepKey(StepVerb::Pour, $circuit->key),
            "Fill the cup of {$circuit->name} to its line, no higher{$book}: more is sucked into the engine.",
            new Workpiece($circuit->key, amount: $most),
            block: $circuit->key,
        );
        $fit = $this->draft->step(
            new StepKey(StepVerb::Fit, $circuit->key),
            "Put the cup of {$circuit->name} on level: its ring sits all round and every clip holds.",
            block: $circuit->key,
        );
        $this->draft->onlyIf($fit, StepVerb::Remove->at($circuit->key));
        $this->draft->needs($fit, $pour);

        return new Ports(filled: [$pour], done: [$fit]);
    }
}
