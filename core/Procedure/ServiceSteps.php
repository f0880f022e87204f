<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Sheet\DrainWay;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** Writes the steps of one service down, part by part, and binds the parts together. */
final readonly class ServiceSteps
{
    private Draft $draft;

    private PartSteps $partSteps;

    private OpeningSteps $openingSteps;

    private PlaceSteps $placeSteps;

    private WayThere $wayThere;

    public function __construct(private ServicedMachine $machine, private Scope $scope)
    {
        $this->draft = new Draft($machine);
        $this->partSteps = new PartSteps($this->draft, $machine);
        $this->openingSteps = new OpeningSteps($this->draft, $machine);
        $this->placeSteps = new PlaceSteps($this->draft, $machine, $scope);
        $this->wayThere = new WayThere($this->draft, $scope, $this->placeSteps);
    }

    /** @return array{list<Step>, list<Hold>} */
    public function done(): array
    {
        $readings = $this->readings();
        $frame = new FrameSteps($this->draft, $this->machine, $this->scope);
        $frame->begin();
        $this->openings();
        $this->parts();
        $this->compartments($readings);
        $this->places();
        $this->lines();
        $this->wayThere->add();
        (new LevelSteps($this->draft, $this->machine, $this->scope))->add($readings);
        $frame->lift();
        $frame->end();
        (new PhaseOrder($this->draft))->bind();

        return $this->draft->done();
    }

    /** @return array<string, LevelReading> by compartment, of those whose level is told by what was done to them */
    private function readings(): array
    {
        $readings = [];
        foreach ($this->scope->changed as $key => $compartment) {
            $readings[$key] = LevelReading::of($compartment, $this->drinks($compartment));
        }
        foreach ($this->scope->openedOnly() as $key => $compartment) {
            if (! $compartment->isFuel()) {
                $readings[$key] = LevelReading::of($compartment, drinks: true);
            }
        }
        foreach ($this->scope->levels as $key => $compartment) {
            $readings[$key] ??= LevelReading::ofLevel($compartment);
        }

        return $readings;
    }

    private function drinks(Compartment $compartment): bool
    {
        foreach ($this->scope->partsIn($compartment) as $part) {
            if ($part->fitting->drinks !== '' || $part->isFilter()) {
                return true;
            }
        }

        return false;
    }

    /** Strainers, covers and plugs that are worked at themselves. */
    private function openings(): void
    {
        foreach ($this->scope->works as $work) {
            $opening = $work->at;
            if (! $opening instanceof Opening || ! isset($this->scope->openings[$opening->key]) || $this->isOpenedAnyway($opening)) {
                continue;
            }
            if ($this->draft->has(StepVerb::Open->at($opening->key))) {
                continue;
            }
            $this->openingSteps->open($opening);
            $this->openingSteps->close($opening);
            $this->openingSteps->tighten($opening);
        }
    }

    /** Whether it is opened by the change of its compartment. */
    private function isOpenedAnyway(Opening $opening): bool
    {
        $holder = $this->scope->holderOf($opening);

        return $holder !== null
            && isset($this->scope->changed[$holder->key])
            && in_array($opening, $this->openedByChange($holder), false);
    }

    /** @return list<Opening> */
    private function openedByChange(Compartment $compartment): array
    {
        $drains = match ($this->scope->drainsBy($compartment)) {
            DrainWay::Plug, DrainWay::Hub => [OpeningRole::Drain],
            DrainWay::Suction => [OpeningRole::Draw],
            default => [],
        };

        return [
            ...$this->scope->openingsOf($compartment, OpeningRole::Vent, ...$drains),
            ...$this->scope->fillsOf($compartment),
            ...$this->scope->levelPlugsOf($compartment),
        ];
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

    private function parts(): void
    {
        foreach ($this->scope->parts as $part) {
            $holder = $this->scope->holderOf($part);
            $service = $holder === null || $holder->isFuel() ? null : $holder->sheet->service;
            $this->partSteps->add(
                $part,
                $isNew = $this->isNew($part),
                $isNew && $part->isFilter() && $part->fitting->isUpright() && $service?->prefill === true,
            );
            foreach ($holder?->openings(OpeningRole::FilterCover) ?? [] as $cover) {
                $this->cover($cover, $part);
            }
        }
    }

    /** Whether another goes on: a spark plug may be cleaned and go on again. */
    private function isNew(Part $part): bool
    {
        if ($part->isSparkPlug() && $this->machine->schools->isPlugUsedAgain()) {
            return false;
        }
        foreach ($this->scope->works as $work) {
            if ($work->kind === TaskKind::Replace && $work->at instanceof Part && $work->at->key === $part->key) {
                return true;
            }
        }

        return false;
    }

    /** What lies under a cover comes off when it is open, and the cover goes on when it sits. */
    private function cover(Opening $cover, Part $part): void
    {
        if (! $part->isFilter() && $part->kind !== PartKind::Strainer) {
            return;
        }
        if (! $this->draft->has(StepVerb::Open->at($cover->key))) {
            $this->openingSteps->open($cover);
            $this->openingSteps->close($cover);
            $this->openingSteps->tighten($cover);
        }
        $this->draft->needs(StepVerb::Remove->at($part->key), StepVerb::Open->at($cover->key));
        $this->draft->shut(StepVerb::Close->at($cover->key), [StepVerb::Fit->at($part->key), StepVerb::CountOn->at($part->key)]);
    }

    /** @param  array<string, LevelReading>  $readings */
    private function compartments(array $readings): void
    {
        $drain = new DrainSteps($this->draft, $this->machine, $this->scope, $this->openingSteps);
        $fill = new FillSteps($this->draft, $this->machine, $this->scope, $this->openingSteps);
        foreach ($this->scope->changed as $key => $compartment) {
            $drain->add($compartment, $this->machine->tightened === Tightened::AtOnce
                ? Phase::Reach
                : $readings[$key]->tightensIn());
            $fill->add($compartment, $readings[$key]);
            $this->afterDraining($compartment);
        }
        foreach ($this->scope->works as $work) {
            $opening = $work->at;
            if ($opening instanceof Opening && isset($this->scope->openings[$opening->key])) {
                $this->workAtOpen($opening, $work->kind);
            }
        }
    }

    /** A strainer or a filter of a compartment that is emptied comes off when it is empty. */
    private function afterDraining(Compartment $compartment): void
    {
        $drained = $this->draft->those(fn (Step $step): bool => $step->act === StepAct::Open
            && in_array($step->on->at, array_column($this->scope->openingsOf($compartment, OpeningRole::Drain), 'key'), true));
        $proved = $this->draft->those(fn (Step $step): bool => $step->act === StepAct::Loosen
            && in_array($step->on->at, array_column($this->scope->fillsOf($compartment), 'key'), true));
        foreach ($this->scope->partsIn($compartment) as $part) {
            $this->draft->waits(StepVerb::Remove->at($part->key), $drained);
            $this->draft->needs(StepVerb::Remove->at($part->key), $proved);
        }
        foreach ($this->scope->workedIn($compartment) as $opening) {
            if (in_array($opening->role, [OpeningRole::Strainer, OpeningRole::FilterCover], true)) {
                $this->draft->waits(StepVerb::Open->at($opening->key), $drained);
                $this->draft->needs(StepVerb::Open->at($opening->key), $proved);
            }
        }
    }

    private function places(): void
    {
        foreach ($this->scope->works as $work) {
            if (! $this->isDoneElsewhere($work)) {
                $this->placeSteps->add($work);
            }
            foreach ($this->isDoneElsewhere($work) ? $work->undoes : [] as $undone) {
                $this->placeSteps->pair($undone, $work->at->key, $this->wayThere->opens($work), $this->wayThere->shuts($work));
            }
        }
    }

    private function isDoneElsewhere(Work $work): bool
    {
        return match (true) {
            $work->kind === TaskKind::Replace => true,
            $work->kind === TaskKind::CheckLevel => $work->at instanceof Compartment,
            $work->kind === TaskKind::Clean => $work->at instanceof Part || $work->at instanceof Opening,
            default => false,
        };
    }

    private function lines(): void
    {
        $lines = new LineSteps($this->draft, $this->machine, $this->scope);
        foreach ([...$this->scope->changed, ...$this->scope->openedOnly()] as $compartment) {
            $lines->add($compartment);
        }
    }
}
