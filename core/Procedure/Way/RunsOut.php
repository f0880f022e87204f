<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\OpeningRole;
use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\Hold;
use Core\Procedure\Opening;
use Core\Procedure\OpeningSteps;
use Core\Procedure\School;
use Core\Procedure\ServicedMachine;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Workpiece;

/** What every way out has in common: the filler is proved, air gets in, it drips, and what came is looked at. */
final readonly class RunsOut
{
    public function __construct(
        private Draft $draft,
        private ServicedMachine $machine,
        private OpeningSteps $openings,
    ) {}

    /** @return list<string> that everything with a thread through which it is filled and read will open */
    public function proved(Circuit $circuit): array
    {
        $keys = [];
        foreach ([...$circuit->fills(), ...$circuit->levelPlugs()] as $opening) {
            $key = $this->openings->loosen($opening);
            if ($key !== null) {
                $keys[] = $key;
                $this->draft->needs($key, StepVerb::CleanRound->at());
            }
        }

        return $keys;
    }

    /**
     * @param  list<Opening>  $besides  through which it is sucked out
     * @return list<string> the openings through which air gets in
     */
    public function airIn(Circuit $circuit, array $besides = []): array
    {
        $keys = [];
        $ways = [...$circuit->openings(OpeningRole::Vent), ...$circuit->fills()];
        foreach (array_diff_key(array_column($ways, null, 'key'), array_column($besides, null, 'key')) as $opening) {
            $keys[] = $key = $this->openings->open($opening, ', so that air gets in');
            $loosen = StepVerb::Loosen->at($opening->key);
            $this->draft->needs($key, $this->draft->has($loosen) ? $loosen : StepVerb::CleanRound->at());
        }

        return $keys;
    }

    /** What comes, and whether the pan takes it; empty where no book says how much. */
    public function comes(Circuit $circuit): string
    {
        $most = $circuit->holder->capacity?->most;

        return $most === null ? '' : ": about {$most->inWords()} comes in all{$this->machine->pan($most)}";
    }

    /**
     * It runs out by itself, over a pan; what came is looked at.
     *
     * @param  string  $open  the step that lets it run
     * @return string the look, after which it may be shut
     */
    public function drips(Circuit $circuit, Compartment $housing, Workpiece $at, string $name, string $open, bool $magnet = false): string
    {
        $minutes = $housing->dripMinutes();
        $drain = $this->draft->step(
            new StepKey(StepVerb::Drain, $at->at),
            "Let {$circuit->name} run out at {$name} and drip for {$minutes} min{$this->theLast($housing)}. Other work meanwhile.",
            $at,
            minutes: $minutes,
        );
        $this->draft->needs($drain, $open);

        return $this->looked($circuit, $at, $drain, $magnet);
    }

    public function looked(Circuit $circuit, Workpiece $at, string $out, bool $magnet = false): string
    {
        $look = $this->draft->step(
            new StepKey(StepVerb::WhatRanOut, $at->at),
            "Look at what came out of {$circuit->name}: how much, colour, smell, water, metal"
                .($magnet ? ', and what hangs on the magnet.' : '.'),
            $at,
        );
        $this->draft->needs($look, $out);

        return $look;
    }

    /** What runs out while something is off, and is measured to be poured back. */
    public function caught(Circuit $circuit, string $at, string $open): string
    {
        $look = $this->draft->step(
            new StepKey(StepVerb::WhatRanOut, $at),
            "Catch and measure what runs out of {$circuit->name} meanwhile: how much, and how it looks.",
        );
        $this->draft->needs($look, $open);

        return $look;
    }

    public function overAPan(string $open, string $shut): void
    {
        $this->draft->hold(Hold::PAN, $open, $shut);
    }

    private function theLast(Compartment $housing): string
    {
        $isTurned = $housing->isEngine() && $this->machine->schools->way(School::LastOfOil) === 'turned';

        return $isTurned ? '; for the last of it '.$this->machine->schools->says(School::LastOfOil).', key out' : '';
    }
}
