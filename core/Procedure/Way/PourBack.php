<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Fluid\Sheet\CapacityKind;
use Core\Procedure\Circuit;
use Core\Procedure\Draft;
use Core\Procedure\Opening;
use Core\Procedure\OpeningSteps;
use Core\Procedure\Part;
use Core\Procedure\Scope;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Workpiece;

/** Only something below the level comes off: what runs out is caught, measured and poured back before anything runs. */
final readonly class PourBack
{
    public function __construct(
        private Draft $draft,
        private OpeningSteps $openings,
        private RunsOut $runsOut,
        private Scope $scope,
    ) {}

    public function steps(Circuit $circuit): Ports
    {
        $proved = $this->runsOut->proved($circuit);
        $looked = $shut = [];
        foreach ([...$this->scope->partsIn($circuit), ...$this->scope->workedIn($circuit)] as $at) {
            if ($this->scope->letsOut($at)) {
                [$off, $on] = $at instanceof Part
                    ? [StepVerb::Remove->at($at->key), StepVerb::Fit->at($at->key)]
                    : [StepVerb::Open->at($at->key), StepVerb::Close->at($at->key)];
                $this->draft->needs($off, $proved);
                $looked[] = $look = $this->runsOut->caught($circuit, $at->key, $off);
                $this->draft->waits($on, $look);
                $this->runsOut->overAPan($off, $on);
                $shut[] = $on;
            }
        }
        $fills = array_map(fn (Opening $fill): string => $this->openings->open($fill), $circuit->fills());
        $amount = $circuit->holder->sheet->capacity(CapacityKind::FiltersOnly);
        $pour = $this->draft->step(
            new StepKey(StepVerb::Pour, $circuit->key),
            "Pour back into {$circuit->name} as much as ran out, of the same".($amount === null ? '' : ", {$amount->most->inWords()} by the book")
                .', before anything runs.',
            new Workpiece($circuit->key, amount: $amount?->most),
        );
        $this->draft->needs($pour, $fills);
        $done = [];
        foreach ($circuit->fills() as $fill) {
            $done[] = $close = $this->openings->close($fill);
            $this->draft->waits($close, $pour);
            $this->openings->tighten($fill);
        }

        return new Ports([...$proved, ...$fills], $looked, $shut, [$pour], $done);
    }
}
