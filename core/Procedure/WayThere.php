<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;

/** What is undone or waited for to get at something, and done up when that is shut again. */
final readonly class WayThere
{
    public function __construct(private Draft $draft, private PlaceSteps $placeSteps) {}

    /**
     * To a circuit, by its housings' books.
     *
     * @param  list<string>  $opened  the steps by which it is opened
     * @param  list<string>  $done  those after which nothing of it is left to do up
     */
    public function to(Circuit $circuit, array $opened, array $done): void
    {
        foreach ($circuit->housings as $housing) {
            foreach ($housing->sheet->out->putsBack as $undone) {
                $this->placeSteps->pair($undone, $housing->key, $opened, $done);
            }
        }
        if ($circuit->holder->isCoolant()) {
            $this->letCool($circuit, $opened);
        }
    }

    /**
     * A cooling system is opened only when it can be touched.
     *
     * @param  list<string>  $opened
     */
    private function letCool(Circuit $circuit, array $opened): void
    {
        $isWarm = $this->draft->has(StepVerb::Warm->at());
        $cool = $this->draft->step(
            new StepKey(StepVerb::Cool, $circuit->key),
            $isWarm
                ? "Let {$circuit->name} cool until it can be touched, then turn its cap slowly."
                : "Feel the radiator: {$circuit->name} is opened only when it can be touched, its cap turned slowly.",
            phase: Phase::Ground,
            minutes: $isWarm ? Compartment::COOL : 0,
            cautions: [Caution::HotCoolant],
        );
        foreach ($opened as $opens) {
            $this->draft->needs($opens, $cool);
        }
    }
}
