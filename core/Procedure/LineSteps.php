<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\OpeningRole;

/** The steps by which the lines of a circuit are shut off before they are opened, turned on again, and rid of air. */
final readonly class LineSteps
{
    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope) {}

    public function add(Circuit $circuit): void
    {
        $undone = $this->opened($circuit);
        if ($undone === [] || ! $this->isShutOff($circuit)) {
            return;
        }
        if ($circuit->holder->isFuel()) {
            $this->draft->opensFuel(...$undone, ...$this->doneUp($circuit));
        }
        [$off, $on] = $this->ways($circuit);
        $shutOff = $this->draft->step(
            new StepKey(StepVerb::ShutOff, $circuit->key),
            "Shut {$circuit->name} off: {$off}.",
        );
        foreach ($undone as $step) {
            $this->draft->needs($step, $shutOff);
        }
        $turnOn = $this->draft->step(new StepKey(StepVerb::TurnOn, $circuit->key), "Turn {$circuit->name} on again: {$on}.");
        $this->draft->pair($shutOff, $turnOn);
        $this->draft->onlyIf($turnOn, $shutOff);
        $this->draft->shut($turnOn, $this->doneUp($circuit));
        if ($circuit->holder->isFuel() && $this->machine->engine === Engine::Diesel) {
            $this->bleed($circuit, $turnOn);
        }
    }

    /** A diesel's own sequence: any step of it left out leaves air in. */
    private function bleed(Circuit $circuit, string $turnOn): void
    {
        $screws = $circuit->openings(OpeningRole::Vent);
        $screw = $screws === [] ? 'its bleed screw' : $screws[0]->name;
        $open = $this->draft->step(
            new StepKey(StepVerb::BleedOpen, $circuit->key),
            "Tank full, valve open, a rag under it: {$screw} out about two turns, a second wrench on the fitting below. Small screws are brass.",
            phase: Phase::Bleed,
            cautions: [Caution::Fuel],
        );
        $this->draft->needs($open, $turnOn);
        $purge = $this->draft->step(
            new StepKey(StepVerb::Purge, $circuit->key),
            'Tank full, valve open: work the hand plunger, or the key on for 60 s, or its button, whichever this engine has, until no bubbles come.',
            phase: Phase::Bleed,
        );
        $this->draft->needs($purge, [$open, $turnOn]);
        $shut = $this->draft->step(
            new StepKey(StepVerb::BleedShut, $circuit->key),
            "Shut {$screw} while it still runs clear, snug, no more; plunger locked, wiped dry. Then start it and raise the idle.",
            phase: Phase::Bleed,
        );
        $this->draft->pair($open, $shut);
        $this->draft->onlyIf($shut, $open);
        $this->draft->waits($shut, $purge);
    }

    /** @return array{string, string} by what it is shut off and turned on */
    private function ways(Circuit $circuit): array
    {
        $valve = $circuit->holder->sheet->out->valve;

        return match (true) {
            $valve !== '' => ["its valve ({$valve})", "its valve the other way ({$valve})"],
            $this->hasShutOff($circuit) => [
                'its valve, or a line clamp on the soft line where there is none',
                'the valve open, or the clamp off',
            ],
            default => ['a light vacuum on its tank, which holds the oil in', 'the vacuum off'],
        };
    }

    private function isShutOff(Circuit $circuit): bool
    {
        return $this->hasShutOff($circuit) || $this->isHeldBack($circuit);
    }

    private function hasShutOff(Circuit $circuit): bool
    {
        return $circuit->holder->sheet->out->valve !== ''
            || $circuit->holder->isFuel()
            || ($circuit->holder->isCoolant() && ! isset($this->scope->changed[$circuit->key]));
    }

    /** Whether its oil stays in by a vacuum while its filter is off. */
    private function isHeldBack(Circuit $circuit): bool
    {
        $filters = array_filter($this->scope->partsIn($circuit), fn (Part $part): bool => $part->isFilter());

        return $filters !== []
            && ! isset($this->scope->changed[$circuit->key])
            && $this->machine->schools->way(School::FilterAlone) === 'vacuum';
    }

    /** @return list<string> */
    private function opened(Circuit $circuit): array
    {
        return $this->there([
            StepVerb::Open->at($circuit->key),
            ...array_map(fn (Part $part): string => StepVerb::Remove->at($part->key), $this->scope->partsIn($circuit)),
            ...array_map(fn (Opening $opening): string => StepVerb::Open->at($opening->key), self::low($circuit)),
        ]);
    }

    /** @return list<string> */
    private function doneUp(Circuit $circuit): array
    {
        $keys = [StepVerb::Close->at($circuit->key)];
        foreach ($this->scope->partsIn($circuit) as $part) {
            $keys = [...$keys, StepVerb::Fit->at($part->key), StepVerb::CountOn->at($part->key), StepVerb::Torque->at($part->key)];
        }
        foreach (self::low($circuit) as $opening) {
            $keys[] = StepVerb::Close->at($opening->key);
        }

        return $this->there($keys);
    }

    /** @return list<Opening> at which lines end, and not where it is filled */
    private static function low(Circuit $circuit): array
    {
        return array_values(array_filter(
            $circuit->openings(),
            fn (Opening $opening): bool => ! $opening->has(OpeningRole::Fill, OpeningRole::Level, OpeningRole::Draw),
        ));
    }

    /**
     * @param  array<string>  $keys
     * @return list<string>
     */
    private function there(array $keys): array
    {
        return array_values(array_filter($keys, $this->draft->has(...)));
    }
}
