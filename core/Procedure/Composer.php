<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;
use Core\Procedure\Way\Ports;
use Core\Procedure\Way\Ways;

/** Writes the steps of one service down, way by way, and binds their ports together as the laws say. */
final readonly class Composer
{
    private Draft $draft;

    private OpeningSteps $openings;

    private PlaceSteps $placeSteps;

    private WayThere $wayThere;

    private Ways $ways;

    private FrameSteps $frame;

    public function __construct(private ServicedMachine $machine, private Scope $scope)
    {
        $this->draft = new Draft($scope->housings());
        $this->openings = new OpeningSteps($this->draft, $machine);
        $this->placeSteps = new PlaceSteps($this->draft, $machine, $scope);
        $this->wayThere = new WayThere($this->draft, $this->placeSteps);
        $this->ways = new Ways($this->draft, $machine, $scope, $this->openings);
        $this->frame = new FrameSteps($this->draft, $machine, $scope);
    }

    /** @return array{list<Step>, list<Hold>} */
    public function done(): array
    {
        $moments = $this->moments();
        $this->frame->begin();
        $parts = $this->parts();
        $ports = $this->circuits($moments, $parts);
        $this->openings();
        $this->works();
        $this->lines();
        (new Readings($this->draft, $this->machine, $this->scope, $this->ways, $this->openings, $moments, $ports))->add();
        $this->undo($parts, $ports);
        $this->onTheGround($ports);
        $this->moveOneAfterTheOther($ports);
        $this->blocks();
        $this->frame->lift();
        $this->frame->guard();
        $this->frame->end();
        $this->frame->warn();
        (new Laws($this->draft))->bind();

        return $this->draft->done();
    }

    /** @return array<string, LevelReading> by circuit, of those whose level is told by what was done to them */
    private function moments(): array
    {
        $moments = [];
        foreach ([...$this->scope->changed, ...$this->scope->caught()] as $circuit) {
            $moments[$circuit->key] = LevelReading::of($circuit, $this->scope->drinks($circuit));
        }
        foreach ($this->scope->levels as $circuit) {
            $moments[$circuit->key] ??= LevelReading::ofLevel($circuit);
        }

        return $moments;
    }

    /** @return array<string, Ports> by part */
    private function parts(): array
    {
        $ports = [];
        foreach ($this->scope->parts as $key => $part) {
            $task = $this->scope->tasks[$key];
            $ports[$key] = $this->ways->part($part, $task)->steps($part, $task);
            $this->cover($part, $ports[$key]);
        }
        foreach ($this->scope->parts as $key => $part) {
            foreach (Scope::over($part, $this->scope->parts) as $over) {
                $this->liesUnder($ports[$key], $over, $ports[$over->key]);
            }
        }

        return $ports;
    }

    /** What lies over it is off before, and goes on after. */
    private function liesUnder(Ports $part, Part $over, Ports $portsOver): void
    {
        foreach ($part->opened as $opened) {
            $this->draft->needs($opened, $portsOver->opened);
        }
        $this->draft->waits(StepVerb::Fit->at($over->key), $part->done);
    }

    /** What lies under a cover comes off when it is open, and the cover goes on when it sits. */
    private function cover(Part $part, Ports $ports): void
    {
        if (! $this->scope->letsOut($part)) {
            return;
        }
        foreach ($this->scope->circuitOf($part)?->openings(OpeningRole::FilterCover) ?? [] as $cover) {
            $this->openings->openAndShut($cover);
            foreach ($ports->opened as $opened) {
                $this->draft->needs($opened, StepVerb::Open->at($cover->key));
            }
            $this->draft->shut(StepVerb::Close->at($cover->key), $ports->shut);
        }
    }

    /**
     * @param  array<string, LevelReading>  $moments
     * @param  array<string, Ports>  $parts
     * @return array<string, Ports> by circuit, of those that are changed or opened
     */
    private function circuits(array $moments, array $parts): array
    {
        $all = [];
        foreach ($this->scope->changed as $key => $circuit) {
            $emptied = new Ports;
            foreach ($circuit->housings as $housing) {
                $emptied = $emptied->with($this->ways->emptying($housing, $moments[$key])->steps($circuit, $housing));
            }
            $this->workedAt($circuit);
            $ports = $emptied->with($this->ways->filling($circuit)->steps($circuit, $moments[$key]));
            $this->comesOffEmpty($circuit, $emptied, $parts);
            $all[$key] = $this->pouredIsEmptied($circuit, $ports, $parts);
            if ($circuit->isWarmed() && $ports->moves === []) {
                $this->draft->cools(...$emptied->opened, ...$this->opensOf($circuit));
            }
        }
        foreach ($this->scope->caught() as $key => $circuit) {
            $this->workedAt($circuit);
            $all[$key] = $this->pouredIsEmptied($circuit, $this->ways->pouringBack()->steps($circuit), $parts);
        }

        return $all;
    }

    /** @return list<string> all that is loosened and opened of a circuit: nobody comes back for a plug */
    private function opensOf(Circuit $circuit): array
    {
        $places = array_flip($circuit->places());

        return $this->draft->those(fn (Step $step): bool => isset($places[$step->on->at])
            && in_array($step->verb, [StepVerb::Loosen, StepVerb::Open], true));
    }

    /**
     * Nothing is poured that was not emptied, nor while anything of it stands open below.
     *
     * @param  array<string, Ports>  $parts
     */
    private function pouredIsEmptied(Circuit $circuit, Ports $ports, array $parts): Ports
    {
        $pour = $ports->filled[0];
        $this->draft->onlyIf($pour, $ports->emptied);
        if (count($ports->emptied) === 1) {
            $this->draft->needs($pour, $ports->emptied);
        }
        $this->draft->shut($pour, $ports->shut);
        if ($this->machine->tightened === Tightened::AtOnce) {
            $this->draft->waits($pour, $this->tightOf($ports->shut));
        }
        foreach ($this->scope->partsIn($circuit) as $part) {
            $this->draft->shut($pour, $parts[$part->key]->shut);
        }
        foreach ([...$this->scope->workedIn($circuit), ...$circuit->openings(OpeningRole::FilterCover)] as $opening) {
            if (! in_array(StepVerb::Close->at($opening->key), $ports->done, true)) {
                $this->draft->shut($pour, StepVerb::Close->at($opening->key));
            }
        }

        return $ports;
    }

    /**
     * @param  list<string>  $shut
     * @return list<string> the steps in which what was shut by hand is tightened
     */
    private function tightOf(array $shut): array
    {
        return array_map(fn (string $close): string => StepVerb::Torque->at(StepKey::read($close)->place), $shut);
    }

    /**
     * A filter or a strainer of a circuit that is emptied comes off when it is empty.
     *
     * @param  array<string, Ports>  $parts
     */
    private function comesOffEmpty(Circuit $circuit, Ports $emptied, array $parts): void
    {
        $isOutlet = array_flip($emptied->emptied);
        $proved = array_values(array_filter($emptied->opened, fn (string $step): bool => StepKey::read($step)->verb === StepVerb::Loosen));
        foreach ($this->scope->partsIn($circuit) as $part) {
            if (! isset($isOutlet[StepVerb::WhatRanOut->at($part->key)])) {
                foreach ($parts[$part->key]->opened as $opened) {
                    $this->draft->needs($opened, $proved);
                    $this->draft->waits($opened, $emptied->emptied);
                }
            }
        }
        foreach ($this->scope->workedIn($circuit) as $opening) {
            $isItself = isset($isOutlet[StepVerb::WhatRanOut->at($opening->key)]);
            if ($this->scope->letsOut($opening) && ! $isItself && ! $opening->has(OpeningRole::Drain)) {
                $this->draft->needs(StepVerb::Open->at($opening->key), $proved);
                $this->draft->waits(StepVerb::Open->at($opening->key), $emptied->emptied);
            }
        }
    }

    /**
     * While the machine moves for one housing no other stands open.
     *
     * @param  array<string, Ports>  $ports
     */
    private function moveOneAfterTheOther(array $ports): void
    {
        $standing = array_filter($ports, fn (Ports $one): bool => $one->moves === []);
        $before = array_merge([], ...array_map($this->doneByHand(...), array_values($standing)));
        foreach (array_diff_key($ports, $standing) as $moving) {
            foreach ($moving->moves as $move) {
                $this->draft->waits($move, $before);
            }
            $before = [...$before, ...$this->doneByHand($moving)];
        }
    }

    /** @return list<string> what is shut and filled before anything runs */
    private function doneByHand(Ports $ports): array
    {
        return array_values(array_intersect(
            [...$ports->shut, ...$ports->filled, ...$ports->done],
            $this->draft->in(Phase::Ground, Phase::Reach),
        ));
    }

    private function workedAt(Circuit $circuit): void
    {
        foreach ($this->scope->workedIn($circuit) as $opening) {
            $this->openings->openAndShut($opening);
        }
    }

    /** Strainers, covers and plugs that are worked at themselves. */
    private function openings(): void
    {
        foreach ($this->scope->openings as $opening) {
            $this->openings->openAndShut($opening);
        }
        foreach ($this->scope->works as $work) {
            $hole = $this->scope->openings[$work->at->key] ?? null;
            if ($hole !== null && $work->isDoneByItsWay()) {
                $this->workAtOpen($hole, $work->kind);
            }
        }
    }

    /** What is done to an opening that is worked at itself, while it is open. */
    private function workAtOpen(Opening $opening, TaskKind $kind): void
    {
        $isNew = $kind === TaskKind::Replace;
        $name = new StepKey($isNew ? StepVerb::Compare : StepVerb::Clean, $opening->key);
        if ($this->draft->has((string) $name)) {
            return;
        }
        $step = $this->draft->step($name, $isNew
            ? "Hold the new {$opening->name} beside the old: thread, length, seat."
            : "Clean {$opening->name}, and look at what it caught.");
        $this->draft->needs($step, StepVerb::Open->at($opening->key));
        $this->draft->waits(StepVerb::Close->at($opening->key), $step);
    }

    /** What its ways did not do already. */
    private function works(): void
    {
        foreach ($this->scope->works as $work) {
            if (! $work->isDoneByItsWay()) {
                $this->placeSteps->add($work);
            }
        }
    }

    /**
     * What is in the way of what its ways did.
     *
     * @param  array<string, Ports>  $parts
     * @param  array<string, Ports>  $circuits
     */
    private function undo(array $parts, array $circuits): void
    {
        foreach ($circuits as $key => $ports) {
            $this->wayThere->to($this->scope->circuits[$key], $ports->opened, $this->doneByHand($ports));
        }
        foreach ($this->scope->works as $work) {
            foreach ($work->isDoneByItsWay() ? $work->undoes : [] as $undone) {
                $at = $work->at->key;
                $ports = $parts[$at] ?? $circuits[$at] ?? new Ports([StepVerb::Open->at($at)], done: [StepVerb::Close->at($at), StepVerb::Torque->at($at)]);
                $this->placeSteps->pair($undone, $at, $ports->opened, $this->doneByHand($ports));
            }
        }
    }

    private function lines(): void
    {
        $lines = new LineSteps($this->draft, $this->machine, $this->scope);
        foreach ($this->scope->circuits as $circuit) {
            $lines->add($circuit);
        }
    }

    /**
     * What lies over a part and what lies under it are one block with all that is done meanwhile, since neither can wait
     * for long; what a housing drips out of for minutes is none.
     */
    private function blocks(): void
    {
        $hands = array_flip($this->draft->in(Phase::Ground, Phase::Reach));
        foreach ($this->scope->parts as $part) {
            $own = $this->draft->those(fn (Step $step): bool => $step->on->at === $part->key
                && isset($hands[$step->key])
                && ($step->bonds->block !== '' || $step->verb === StepVerb::WhatRanOut));
            $over = Scope::over($part, $this->scope->parts);
            $drips = $this->draft->has(StepVerb::Drain->at($part->key));
            $outermost = $over === [] ? $part : end($over);
            $this->draft->block($drips ? '' : $outermost->key, ...$own);
        }
    }

    /**
     * What was warmed is drained and filled on level ground, before anything is raised; what the machine moves for is not.
     *
     * @param  array<string, Ports>  $ports
     */
    private function onTheGround(array $ports): void
    {
        $places = [];
        foreach ($this->scope->changed as $key => $circuit) {
            $places = $ports[$key]->moves === [] ? [...$places, ...$circuit->places(), ...array_column($this->scope->partsIn($circuit), 'key')] : $places;
        }
        $places = array_flip([...$places, ...$this->scope->around($places)]);
        $reach = array_flip($this->draft->in(Phase::Reach));
        foreach ($this->draft->those(fn (Step $step): bool => isset($reach[$step->key], $places[$step->on->at])) as $step) {
            $this->draft->move($step, Phase::Ground);
        }
        $ground = $this->draft->in(Phase::Ground);
        foreach ($this->draft->those(fn (Step $step): bool => $step->verb === StepVerb::Undo) as $undo) {
            $couple = $this->draft->otherHalf($undo);
            if (array_intersect($this->draft->behind($undo), $ground) !== []) {
                $this->draft->move($undo, Phase::Ground);
            }
            if (array_diff($this->draft->before($couple), [...$this->draft->in(Phase::Ground), $undo]) !== []) {
                $this->draft->move($couple, Phase::Reach);
            }
        }
    }
}
