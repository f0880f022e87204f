<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\OpeningSteps;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Workpiece;

/** Sucked out from above, through a draw-off, the stick's tube or the filler: no pan, no washer, and it counts as changed. */
final readonly class BySuction implements Empties
{
    public function __construct(private Draft $draft, private OpeningSteps $openings, private RunsOut $runsOut) {}

    public function steps(Circuit $circuit, Compartment $housing): Ports
    {
        $draws = $housing->draws();
        $air = $this->runsOut->airIn($circuit, array_merge(...array_map(fn (Compartment $one): array => $one->draws(), $circuit->housings)));
        $opened = $looked = $shut = [];
        foreach ($draws as $draw) {
            $opened[] = $open = $this->openings->open($draw);
            $this->draft->waits($open, $air);
            $book = $housing->capacity === null ? '' : " against the book's {$housing->capacity->most->inWords()}; say what is missing";
            $suck = $this->draft->step(
                new StepKey(StepVerb::Suck, $draw->key),
                "Suck {$housing->name} out through {$draw->name} until it draws air, and measure it{$book}.",
                minutes: $housing->dripMinutes(),
            );
            $this->draft->needs($suck, $open);
            $looked[] = $look = $this->runsOut->looked($circuit, new Workpiece($draw->key), $suck);
            $close = $this->openings->close($draw);
            $this->draft->waits($close, $look);
            if (! in_array($draw->key, array_column($circuit->fills(), 'key'), true)) {
                $shut[] = $close;
            }
            $this->openings->tighten($draw);
        }

        return new Ports([...$air, ...$opened], $looked, $shut);
    }
}
