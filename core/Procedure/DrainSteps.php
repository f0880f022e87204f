<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Sheet\DrainWay;
use Core\Machine\OpeningRole;

/** The steps by which one compartment is emptied. */
final readonly class DrainSteps
{
    public function __construct(
        private Draft $draft,
        private ServicedMachine $machine,
        private Scope $scope,
        private OpeningSteps $openings,
    ) {}

    /** @param  Phase  $tightened  when its drain plugs are tightened */
    public function add(Compartment $compartment, Phase $tightened): void
    {
        $way = $this->scope->drainsBy($compartment) ?? DrainWay::Plug;
        $sucks = $way === DrainWay::Suction;
        $proved = $sucks ? [] : $this->prove($compartment);
        $air = $this->letAirIn($compartment, $sucks);
        match ($way) {
            DrainWay::Plug, DrainWay::Hub => $this->byPlugs($compartment, $proved, $air, $way === DrainWay::Hub, $tightened),
            DrainWay::Filter => $this->byFilters($compartment, $proved, $air),
            DrainWay::Hose => $this->byHose($compartment, $proved, $air),
            DrainWay::Suction => $this->bySuction($compartment, $air),
        };
    }

    /** @return list<string> that everything through which it is filled and read will open */
    private function prove(Compartment $compartment): array
    {
        $keys = [];
        foreach ($this->mustOpen($compartment) as $opening) {
            $keys[] = $key = $this->openings->loosen($opening);
            $this->draft->needs($key, StepVerb::CleanRound->at());
        }

        return $keys;
    }

    /** @return list<string> the openings through which air gets in */
    private function letAirIn(Compartment $compartment, bool $sucks): array
    {
        $keys = [];
        foreach ($this->scope->openingsOf($compartment, OpeningRole::Vent) as $vent) {
            $keys[] = $this->openings->open($vent, ', so that air gets in');
        }
        foreach ($this->scope->fillsOf($compartment) as $fill) {
            $isDraw = $sucks && $fill->role === OpeningRole::Draw;
            if (! $isDraw) {
                $keys[] = $key = $this->openings->open($fill, ', so that air gets in');
                $loosen = StepVerb::Loosen->at($fill->key);
                $this->draft->needs($key, $this->draft->has($loosen) ? $loosen : StepVerb::CleanRound->at());
            }
        }

        return $keys;
    }

    /**
     * @param  list<string>  $proved
     * @param  list<string>  $air
     */
    private function byPlugs(Compartment $compartment, array $proved, array $air, bool $isHub, Phase $tightened): void
    {
        $drains = $this->scope->openingsOf($compartment, OpeningRole::Drain);
        if ($isHub) {
            $this->step(StepVerb::TurnLow, $compartment, "Turn the hub of {$compartment->name} until its drain plug is lowest.");
        }
        foreach ($drains as $drain) {
            $open = $this->openings->open($drain);
            $this->draft->needs($open, $proved);
            $this->draft->needs($open, StepVerb::TurnLow->at($compartment->key));
            $this->draft->waits($open, $air);
            $this->drips($compartment, $drain->key, $drain->name, $open, $drain->sheet->magnet);
            $close = $this->openings->close($drain);
            $this->draft->waits($close, StepVerb::WhatRanOut->at($drain->key));
            $this->openings->tighten($drain, $tightened);
            $this->draft->hold(Hold::PAN, $open, $close);
        }
        if ($isHub) {
            $this->step(StepVerb::TurnLevel, $compartment, "Turn the hub of {$compartment->name} until its marks lie level.");
            $this->draft->onlyIf(StepVerb::TurnLevel->at($compartment->key), StepVerb::TurnLow->at($compartment->key));
            $this->draft->waits(
                StepVerb::TurnLevel->at($compartment->key),
                array_map(fn (Opening $drain): string => StepVerb::Close->at($drain->key), $drains),
            );
        }
    }

    /**
     * @param  list<string>  $proved
     * @param  list<string>  $air
     */
    private function byFilters(Compartment $compartment, array $proved, array $air): void
    {
        foreach ($this->scope->partsIn($compartment) as $part) {
            if ($part->isFilter()) {
                $remove = StepVerb::Remove->at($part->key);
                $this->draft->needs($remove, $proved);
                $this->draft->waits($remove, $air);
                $this->drips($compartment, $part->key, $part->name, $remove, false);
                $this->draft->waits(StepVerb::Fit->at($part->key), [StepVerb::Drain->at($part->key), StepVerb::WhatRanOut->at($part->key)]);
                $this->draft->hold(Hold::PAN, $remove, StepVerb::Fit->at($part->key));
            }
        }
    }

    /**
     * @param  list<string>  $proved
     * @param  list<string>  $air
     */
    private function byHose(Compartment $compartment, array $proved, array $air): void
    {
        $key = $compartment->key;
        $this->step(StepVerb::Open, $compartment, "Pan under it; take the low hose of {$compartment->name} off its elbow, a second wrench on the fitting.");
        $open = StepVerb::Open->at($key);
        $this->draft->needs($open, [StepVerb::CleanRound->at(), ...$proved]);
        $this->draft->waits($open, $air);
        $this->drips($compartment, $key, "the hose of {$compartment->name}", $open, false);
        $this->step(StepVerb::Close, $compartment, "Put the hose of {$compartment->name} back; the clamp holds and cuts nothing.");
        $close = StepVerb::Close->at($key);
        $this->draft->onlyIf($close, $open);
        $this->draft->waits($close, StepVerb::WhatRanOut->at($key));
        $this->draft->hold(Hold::PAN, $open, $close);
    }

    /** @param  list<string>  $air */
    private function bySuction(Compartment $compartment, array $air): void
    {
        foreach ($this->scope->openingsOf($compartment, OpeningRole::Draw) as $draw) {
            $open = $this->openings->open($draw);
            $this->draft->waits($open, $air);
            $this->runsOut($compartment, $draw->key, $open, false, "Suck {$compartment->name} out through {$draw->name} until it draws air, and measure it.");
            $close = $this->openings->close($draw);
            $this->draft->waits($close, StepVerb::WhatRanOut->at($draw->key));
            $this->draft->hold(Hold::PAN, $open, $close);
        }
    }

    private function drips(Compartment $compartment, string $at, string $name, string $open, bool $magnet): void
    {
        $this->runsOut($compartment, $at, $open, $magnet, "Let {$compartment->name} run out at {$name} and drip for {$compartment->dripMinutes()} min{$this->theLast($compartment)}. Other work meanwhile.");
    }

    /** By itself; what came out is looked at. */
    private function runsOut(Compartment $compartment, string $at, string $open, bool $magnet, string $says): void
    {
        $drain = $this->draft->step(
            new StepKey(StepVerb::Drain, $at),
            $says,
            minutes: $compartment->dripMinutes(),
            subject: $compartment->kind->subject(),
        );
        $this->draft->needs($drain, $open);
        $look = $this->draft->step(
            new StepKey(StepVerb::WhatRanOut, $at),
            "Look at what ran out of {$compartment->name}: how much, colour, smell, water, metal"
                .($magnet ? ', and what hangs on the magnet.' : '.'),
        );
        $this->draft->needs($look, $drain);
    }

    private function theLast(Compartment $compartment): string
    {
        $isTurned = $compartment->isEngine() && $this->machine->schools->way(School::LastOfOil) === 'turned';

        return $isTurned ? '; for the last of it '.$this->machine->schools->says(School::LastOfOil).', key out' : '';
    }

    private function step(StepVerb $verb, Compartment $compartment, string $says): string
    {
        return $this->draft->step(new StepKey($verb, $compartment->key), $says, subject: $compartment->kind->subject());
    }

    /** @return list<Opening> */
    private function mustOpen(Compartment $compartment): array
    {
        $openings = array_column($this->scope->fillsOf($compartment), null, 'key');
        foreach ($this->scope->levelPlugsOf($compartment) as $plug) {
            $openings[$plug->key] = $plug;
        }

        return array_values($openings);
    }
}
