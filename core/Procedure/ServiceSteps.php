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

    public function __construct(private ServicedMachine $machine, private Scope $scope)
    {
        $this->draft = new Draft;
        $this->partSteps = new PartSteps($this->draft, $machine);
        $this->openingSteps = new OpeningSteps($this->draft, $machine);
        $this->placeSteps = new PlaceSteps($this->draft, $machine, $scope);
    }

    /** @return array{list<Step>, list<Hold>} */
    public function done(): array
    {
        $readings = $this->readings();
        $this->begin();
        $this->openings();
        $this->parts();
        $this->compartments($readings);
        $this->places();
        $this->lines();
        $this->putBack();
        $this->coolFirst();
        (new LevelSteps($this->draft, $this->machine, $this->scope))->add($readings);
        $this->lift();
        (new EndSteps($this->draft, $this->machine, $this->scope))->add();
        (new PhaseOrder($this->draft))->bind();

        return $this->draft->done();
    }

    /** @return array<string, Reading> by compartment, of those whose level is told by what was done to them */
    private function readings(): array
    {
        $readings = [];
        foreach ($this->scope->changed as $key => $compartment) {
            $readings[$key] = Reading::of($compartment, $this->drinks($compartment));
        }
        foreach ($this->scope->openedOnly() as $key => $compartment) {
            if (! $compartment->isFuel()) {
                $readings[$key] = Reading::of($compartment, drinks: true);
            }
        }
        foreach ($this->scope->levels as $key => $compartment) {
            $readings[$key] ??= Reading::ofLevel($compartment);
        }

        return $readings;
    }

    private function drinks(Compartment $compartment): bool
    {
        foreach ($this->scope->partsIn($compartment) as $part) {
            if ($part->drinks || $part->isFilter()) {
                return true;
            }
        }

        return false;
    }

    private function begin(): void
    {
        $this->step(Phase::Secure, 'secure', StepAct::Secure, ServicedMachine::KEY, Caution::BeforeAnyWork->says());
        $minutes = 0;
        $warmed = [];
        foreach ($this->warmed() as $compartment) {
            $warmed[] = $compartment;
            $minutes = max($minutes, $compartment->warmMinutes());
        }
        if ($minutes > 0) {
            $names = implode(', ', array_column($warmed, 'name'));
            $this->step(
                Phase::Warm,
                'warm',
                StepAct::Warm,
                $warmed[0]->key,
                $this->machine->engine === Engine::Electric
                    ? "Drive it for {$minutes} min so that what comes out runs and carries its dirt along ({$names}); park it level again, key out."
                    : "Run it for {$minutes} min so that what comes out runs and carries its dirt along ({$names}); {$this->machine->stopped()}.",
                $minutes,
                false,
                array_column($warmed, 'key'),
            );
        }
        $opened = $this->cleanedRound();
        if ($opened !== []) {
            $this->step(
                Phase::Reach,
                'clean',
                StepAct::Clean,
                (string) array_key_first($opened),
                'Clean round everything that is to be opened: '.implode(', ', $opened).'.',
                covers: array_map(strval(...), array_keys($opened)),
            );
        }
    }

    /** @return list<Compartment> */
    private function warmed(): array
    {
        $warmed = $this->scope->changed;
        foreach ($this->scope->works as $work) {
            if ($work->kind === TaskKind::Sample && $work->at instanceof Compartment) {
                $warmed[$work->at->key] = $work->at;
            }
        }

        return array_values(array_filter($warmed, fn (Compartment $one): bool => $one->warmMinutes() > 0));
    }

    /** @return array<string, string> by key, the names of all that is opened or comes off */
    private function cleanedRound(): array
    {
        $names = [];
        foreach ($this->scope->changed as $compartment) {
            foreach ($this->scope->openingsOf($compartment, OpeningRole::Drain, OpeningRole::Draw, OpeningRole::Vent) as $one) {
                $names[$one->key] = $one->name;
            }
            foreach ([...$this->scope->fillsOf($compartment), ...$this->scope->levelPlugsOf($compartment)] as $one) {
                $names[$one->key] = $one->name;
            }
            if ($names === []) {
                $names[$compartment->key] = $compartment->name;
            }
        }
        foreach ([...$this->scope->openings, ...$this->scope->parts] as $one) {
            $names[$one->key] = $one->name;
        }

        return $names;
    }

    /** Strainers, covers and plugs that are worked at themselves. */
    private function openings(): void
    {
        foreach ($this->scope->works as $work) {
            $opening = $work->at;
            if (! $opening instanceof Opening || ! isset($this->scope->openings[$opening->key]) || $this->isOpenedAnyway($opening)) {
                continue;
            }
            if ($this->draft->has("open:{$opening->key}")) {
                continue;
            }
            $this->openingSteps->open($opening);
            $this->workAtOpen($opening, $work->kind);
            $close = $this->openingSteps->close($opening);
            $this->draft->waits($close, "clean:{$opening->key}");
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

    private function workAtOpen(Opening $opening, TaskKind $kind): void
    {
        $says = $kind === TaskKind::Replace
            ? "Hold the new {$opening->name} beside the old: thread, length, seat."
            : "Clean {$opening->name}, and look at what it caught.";
        $this->step(
            Phase::Reach,
            "clean:{$opening->key}",
            $kind === TaskKind::Replace ? StepAct::Compare : StepAct::Clean,
            $opening->key,
            $says,
        );
        $this->draft->needs("clean:{$opening->key}", "open:{$opening->key}");
    }

    private function parts(): void
    {
        foreach ($this->scope->parts as $part) {
            $holder = $this->scope->holderOf($part);
            $filling = $holder === null || $holder->isFuel() ? null : $holder->filling;
            $this->partSteps->add(
                $part,
                $isNew = $this->isNew($part),
                $isNew && $part->isFilter() && $part->upright && $filling?->prefill === true,
            );
            foreach ($holder?->openings(OpeningRole::FilterCover) ?? [] as $cover) {
                $this->cover($cover, $part);
            }
        }
    }

    private function isNew(Part $part): bool
    {
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
        if (! $this->draft->has("open:{$cover->key}")) {
            $this->openingSteps->open($cover);
            $this->openingSteps->close($cover);
            $this->openingSteps->tighten($cover);
        }
        $this->draft->needs("remove:{$part->key}", "open:{$cover->key}");
        $this->draft->shut("close:{$cover->key}", ["fit:{$part->key}", "count_on:{$part->key}"]);
    }

    /** @param  array<string, Reading>  $readings */
    private function compartments(array $readings): void
    {
        $drain = new DrainSteps($this->draft, $this->machine, $this->scope, $this->openingSteps);
        $fill = new FillSteps($this->draft, $this->scope, $this->openingSteps);
        foreach ($this->scope->changed as $key => $compartment) {
            $drain->add($compartment, $this->machine->tightened === Tightened::AtOnce
                ? Phase::Reach
                : $readings[$key]->tightensIn());
            $fill->add($compartment, $readings[$key]);
            $this->afterDraining($compartment);
        }
        foreach ($this->scope->works as $work) {
            $opening = $work->at;
            if ($opening instanceof Opening && isset($this->scope->openings[$opening->key]) && ! $this->draft->has("clean:{$opening->key}")) {
                $this->workAtOpen($opening, $work->kind);
                $this->draft->waits("close:{$opening->key}", "clean:{$opening->key}");
            }
        }
    }

    /** A strainer or a filter of a compartment that is emptied comes off when it is empty. */
    private function afterDraining(Compartment $compartment): void
    {
        $drained = $this->draft->those(fn (Step $step): bool => $step->act === StepAct::Open
            && in_array($step->at, array_column($this->scope->openingsOf($compartment, OpeningRole::Drain), 'key'), true));
        $proved = $this->draft->those(fn (Step $step): bool => $step->act === StepAct::Loosen
            && in_array($step->at, array_column($this->scope->fillsOf($compartment), 'key'), true));
        foreach ($this->scope->partsIn($compartment) as $part) {
            $this->draft->waits("remove:{$part->key}", $drained);
            $this->draft->needs("remove:{$part->key}", $proved);
        }
        foreach ($this->scope->workedIn($compartment) as $opening) {
            if (in_array($opening->role, [OpeningRole::Strainer, OpeningRole::FilterCover], true)) {
                $this->draft->waits("open:{$opening->key}", $drained);
                $this->draft->needs("open:{$opening->key}", $proved);
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
                $this->placeSteps->pair($undone, $work->at->key, $this->opens($work), $this->shuts($work));
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

    /** @return list<string> the steps by which something is got at */
    private function opens(Work $work): array
    {
        $at = $work->at;

        return match (true) {
            $at instanceof Compartment => $this->opensCompartment($at),
            $at instanceof Part => ["remove:{$at->key}"],
            default => ["open:{$at->key}"],
        };
    }

    /** @return list<string> */
    private function shuts(Work $work): array
    {
        $at = $work->at;

        return match (true) {
            $at instanceof Compartment => $this->shutsCompartment($at),
            $at instanceof Part => ["fit:{$at->key}", "torque:{$at->key}", "look_over:{$at->key}"],
            default => ["close:{$at->key}", "torque:{$at->key}"],
        };
    }

    private function lines(): void
    {
        $lines = new LineSteps($this->draft, $this->machine, $this->scope);
        foreach ([...$this->scope->changed, ...$this->scope->openedOnly()] as $compartment) {
            $lines->add($compartment);
        }
    }

    /** What a compartment's book says is undone to get there. */
    private function putBack(): void
    {
        foreach ([...$this->scope->changed, ...$this->scope->openedOnly()] as $compartment) {
            foreach ($compartment->putsBack as $undone) {
                $this->placeSteps->pair(
                    $undone,
                    $compartment->key,
                    $this->opensCompartment($compartment),
                    $this->shutsCompartment($compartment),
                );
            }
        }
    }

    /** @return list<string> */
    private function opensCompartment(Compartment $compartment): array
    {
        return $this->stepsAt($compartment, StepAct::Loosen, StepAct::Open, StepAct::Remove);
    }

    /** @return list<string> */
    private function shutsCompartment(Compartment $compartment): array
    {
        return $this->stepsAt($compartment, StepAct::Close, StepAct::Fit, StepAct::Torque, StepAct::Pour);
    }

    /** @return list<string> those in which hands are at it and nothing runs */
    private function stepsAt(Compartment $compartment, StepAct ...$acts): array
    {
        $keys = [
            $compartment->key,
            ...array_column($this->scope->openingsOf($compartment, ...OpeningRole::cases()), 'key'),
            ...array_column($this->scope->partsIn($compartment), 'key'),
        ];
        $reach = array_flip($this->draft->in(Phase::Reach));

        return $this->draft->those(fn (Step $step): bool => isset($reach[$step->key])
            && in_array($step->at, $keys, true)
            && in_array($step->act, $acts, true)
            && ! str_starts_with($step->key, 'undo:')
            && ! str_starts_with($step->key, 'turn_on:')
            && ! str_starts_with($step->key, 'shut_off:'));
    }

    /** A cooling system is opened only when it can be touched. */
    private function coolFirst(): void
    {
        foreach ([...$this->scope->changed, ...$this->scope->openedOnly()] as $compartment) {
            if (! $compartment->isCoolant()) {
                continue;
            }
            $minutes = $this->draft->has('warm') ? Compartment::COOL : 0;
            $key = "cool:{$compartment->key}";
            $this->step(
                Phase::Reach,
                $key,
                StepAct::Wait,
                $compartment->key,
                "Let {$compartment->name} cool until it can be touched, then turn its cap slowly.",
                $minutes,
                false,
                cautions: [Caution::HotCoolant],
            );
            foreach ($this->opensCompartment($compartment) as $opens) {
                $this->draft->needs($opens, $key);
            }
        }
    }

    /** It stands on stands for the work, or is lifted for nothing but its purge. */
    private function lift(): void
    {
        $purged = $this->draft->in(Phase::Purge);
        if (! $this->machine->raised && $purged === []) {
            return;
        }
        $this->step(
            $this->machine->raised ? Phase::Raise : Phase::Lift,
            'raise',
            StepAct::Raise,
            ServicedMachine::KEY,
            $this->machine->raised
                ? 'Raise it and set it on stands, or lock the lift; the wheels that stay down are chocked.'
                : 'Raise the driven wheels just clear of the ground, about an inch, and set it on stands.',
        );
        $this->step(
            Phase::Lower,
            'lower',
            StepAct::Lower,
            ServicedMachine::KEY,
            'Look that nobody and nothing is under it, and lower it: levels are read on level ground.',
        );
        $this->draft->onlyIf('lower', 'raise');
        $this->draft->needs('clean', $this->machine->raised ? 'raise' : []);
        foreach ($purged as $purge) {
            $this->draft->needs($purge, 'raise');
        }
        $this->draft->hold(Hold::STAND, 'raise', 'lower');
    }

    /**
     * @param  list<string>  $covers
     * @param  list<Caution>  $cautions
     */
    private function step(
        Phase $phase,
        string $key,
        StepAct $act,
        string $at,
        string $says,
        ?int $minutes = null,
        bool $attended = true,
        array $covers = [],
        array $cautions = [],
    ): void {
        $this->draft->add($phase, new Step(
            $key,
            $act,
            $at,
            $says,
            $minutes ?? $act->minutes(),
            $attended,
            cautions: [...Cautions::atStep($act, $this->machine->class), ...$cautions],
            covers: $covers,
        ));
    }
}
