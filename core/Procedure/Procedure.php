<?php

declare(strict_types=1);

namespace Core\Procedure;

/**
 * The steps of one service, in an order that is safe, built from what is to be done and from what is written down of the
 * machine: nobody types a procedure. Common practice, no source; the maker's manual wins.
 */
final readonly class Procedure
{
    /**
     * @param  list<Step>  $steps  each after those it waits for; any order that respects `after` is safe
     * @param  list<Hold>  $holds
     */
    private function __construct(public array $steps, public array $holds) {}

    /**
     * @param  list<Work>  $works
     * @param  list<Compartment>  $compartments  of the machine
     * @param  list<Part>  $parts  of the machine
     *
     * @throws Unready if a fluid is to be changed and nothing tells how it comes out or goes in
     */
    public static function of(ServicedMachine $machine, array $works, array $compartments, array $parts): self
    {
        $works = array_map(fn (Work $work): Work => $work->by($machine->schools), $works);
        $scope = new Scope($works, $compartments, $parts, $machine->schools->isPlugUsedAgain());

        return new self(...(new Composer($machine, $scope))->done());
    }

    public function step(string $key): ?Step
    {
        foreach ($this->steps as $step) {
            if ($step->key === $key) {
                return $step;
            }
        }

        return null;
    }
}
