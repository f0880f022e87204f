<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Hold;
use Core\Procedure\Opening;
use Core\Procedure\Part;
use Core\Procedure\Procedure;
use Core\Procedure\Scope;
use Core\Procedure\ServicedMachine;
use Core\Procedure\Step;
use Core\Procedure\StepVerb;
use Core\Procedure\Work;

/** The steps of one service, with all that stands before each of them. */
final readonly class Plan
{
    /** @var array<string, Step> by key */
    public array $steps;

    /** @var array<string, array<string, true>> by step, all before it */
    public array $before;

    /** @var list<Hold> */
    public array $holds;

    public Scope $scope;

    /**
     * @param  list<Work>  $works
     * @param  list<Compartment>  $compartments
     * @param  list<Part>  $parts
     */
    public function __construct(public ServicedMachine $machine, array $works, array $compartments, array $parts)
    {
        $works = array_map(fn (Work $work): Work => $work->by($machine->schools), $works);
        $this->scope = new Scope($works, $compartments, $parts, $machine->schools->isPlugUsedAgain());
        $procedure = Procedure::of($machine, $works, $compartments, $parts);
        $this->steps = array_column($procedure->steps, null, 'key');
        $this->holds = $procedure->holds;
        $all = [];
        foreach ($this->steps as $step) {
            $before = array_fill_keys($step->bonds->after, true);
            foreach ($step->bonds->after as $key) {
                $before += $all[$key] ?? throw new \LogicException("{$step->key} stands before {$key}.");
            }
            $all[$step->key] = $before;
        }
        $this->before = $all;
    }

    public static function of(RandomService $service): self
    {
        return new self($service->machine, $service->works, $service->compartments, $service->parts);
    }

    public function has(string $key): bool
    {
        return isset($this->steps[$key]);
    }

    public function stands(string $first, string $then): bool
    {
        return isset($this->before[$then][$first]);
    }

    /** @return list<Step> */
    public function by(StepVerb ...$verbs): array
    {
        return array_values(array_filter($this->steps, fn (Step $step): bool => in_array($step->verb, $verbs, true)));
    }

    /** @return list<Step> in which the engine, or what it drives, turns after hands were at the machine */
    public function turning(): array
    {
        return array_values(array_filter($this->steps, fn (Step $step): bool => $step->verb->turns()
            && $step->verb !== StepVerb::Warm
            && ! $this->isPumpedByHand($step)));
    }

    /** A fuel line is bled with the engine standing. */
    private function isPumpedByHand(Step $step): bool
    {
        return $step->verb === StepVerb::Purge && ($this->scope->circuits[$step->on->at] ?? null)?->holder->isFuel() === true;
    }

    /** The key of the circuit to which a place belongs. */
    public function holder(string $place): string
    {
        foreach ($this->scope->circuits as $circuit) {
            if (in_array($place, $this->places($circuit), true)) {
                return $circuit->key;
            }
        }

        return $place;
    }

    /** @return list<string> the keys of all that belongs to a circuit */
    public function places(Circuit $circuit): array
    {
        return [...$circuit->places(), ...array_column($this->scope->partsIn($circuit), 'key')];
    }

    public function opening(string $key): ?Opening
    {
        foreach ($this->scope->circuits as $circuit) {
            foreach ($circuit->openings() as $opening) {
                if ($opening->key === $key) {
                    return $opening;
                }
            }
        }

        return null;
    }
}
