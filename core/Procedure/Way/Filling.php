<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\OpeningRole;
use Core\Measure\Quantity;
use Core\Procedure\Circuit;
use Core\Procedure\Draft;
use Core\Procedure\LevelReading;
use Core\Procedure\Opening;
use Core\Procedure\OpeningSteps;
use Core\Procedure\Phase;
use Core\Procedure\ServicedMachine;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Tightened;
use Core\Procedure\Workpiece;

/** Filled through its filler, in the way by which it is read too. */
abstract readonly class Filling implements Fills, Reads
{
    public function __construct(
        protected Draft $draft,
        protected ServicedMachine $machine,
        protected OpeningSteps $openings,
    ) {}

    final public function steps(Circuit $circuit, LevelReading $reading): Ports
    {
        foreach ($circuit->levelPlugs() as $plug) {
            $open = $this->openings->open($plug, ', which tells when it is full');
            $this->draft->needs($open, StepVerb::Loosen->at($plug->key));
        }
        $filled = $this->pours($circuit);
        $this->draft->needs($filled[0], array_map(
            fn (Opening $opening): string => StepVerb::Open->at($opening->key),
            [...$circuit->fills(), ...$circuit->levelPlugs()],
        ));
        $shut = $this->vents($circuit, $filled);
        $toldBy = $filled;
        if ($reading === LevelReading::AtThePour) {
            $toldBy[] = $read = $this->draft->step(new StepKey(StepVerb::Read, $circuit->key), $this->says($circuit));
            $this->draft->needs($read, $filled);
        }

        return new Ports(shut: $shut, filled: $toldBy, done: $this->shutAfter($circuit, $toldBy, $reading));
    }

    public function tops(Circuit $circuit): string
    {
        return "Top up {$circuit->name} to its mark by what the band takes, read again, and shut it.";
    }

    /** How far it is filled, in a sentence that the amount can follow. */
    abstract protected function until(Circuit $circuit): string;

    /** @return non-empty-list<string> the steps in which it is poured, one after the other */
    protected function pours(Circuit $circuit): array
    {
        return [$this->pour(new StepKey(StepVerb::Pour, $circuit->key), $circuit, "{$this->until($circuit)}{$this->book($circuit)}.", $circuit->holder->capacity?->most)];
    }

    final protected function pour(StepKey $key, Circuit $circuit, string $says, ?Quantity $amount): string
    {
        return $this->draft->step($key, $says, new Workpiece($circuit->key, amount: $amount));
    }

    final protected function book(Circuit $circuit): string
    {
        $capacity = $circuit->holder->capacity;

        return $capacity === null ? '' : ", {$capacity->most->inWords()} by the book";
    }

    /** Whether its vents stay open until they run. */
    protected function runsAtItsVents(): bool
    {
        return false;
    }

    /**
     * @param  non-empty-list<string>  $filled
     * @return list<string> those that are shut before it is filled
     */
    private function vents(Circuit $circuit, array $filled): array
    {
        $shut = [];
        foreach ($circuit->openings(OpeningRole::Vent) as $vent) {
            if ($circuit->holder->isCoolant()) {
                $open = $this->openings->open($vent, ': a bleed screw, open until it runs there');
                $this->draft->needs($filled[0], $open);
            }
            $close = $this->openings->close($vent);
            if ($this->runsAtItsVents() || $circuit->holder->isCoolant()) {
                $this->draft->waits($close, $filled);
            } else {
                $shut[] = $close;
            }
            $this->openings->tighten($vent);
        }

        return $shut;
    }

    /**
     * @param  list<string>  $toldBy  the steps that need them open
     * @return list<string>
     */
    private function shutAfter(Circuit $circuit, array $toldBy, LevelReading $reading): array
    {
        $done = [];
        $tightened = $this->machine->tightened === Tightened::AtOnce ? Phase::Reach : $reading->tightensIn();
        foreach (array_column([...$circuit->levelPlugs(), ...$circuit->fills()], null, 'key') as $plug) {
            $done[] = $close = $this->openings->close($plug);
            $this->draft->waits($close, $toldBy);
            $this->openings->tighten($plug, $tightened);
        }

        return $done;
    }
}
