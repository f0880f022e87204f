<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Sheet\CompartmentSheet;
use Core\Fluid\Sheet\DrainWay;
use Core\Fluid\Sheet\Hole;
use Core\Fluid\Sheet\OpeningSheet;
use Core\Fluid\Sheet\WayOut;
use Core\Form\Fields;
use Core\Inspect\Instrument\Level;
use Core\Machine\CompartmentKind;
use Core\Machine\MachineClass;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;
use Core\Machine\TaskKind;
use Core\Measure\Plain;
use Core\Procedure\Compartment;
use Core\Procedure\Engine;
use Core\Procedure\Opening;
use Core\Procedure\Part;
use Core\Procedure\Place;
use Core\Procedure\ServicedMachine;
use Core\Procedure\Work;
use Core\Starter\Starter;
use Core\Starter\StarterRule;
use Core\Starter\Starters;
use Core\Starter\StarterSpot;
use Core\Supply\PartFitting;
use Core\Supply\PartKind;

/** A machine of one class with nothing written down but what its starter brings. */
final class StarterMachine
{
    private readonly Starter $starter;

    /** @var array<string, list<Opening>> by compartment */
    private array $openings = [];

    /** @var array<string, Compartment> by key */
    public array $compartments = [];

    /** @var array<string, Part> by key */
    public array $parts = [];

    /** @param  array<string, DrainWay>  $ways  by compartment, where it is emptied otherwise than usual */
    public function __construct(public readonly MachineClass $class, private readonly array $ways = [])
    {
        $this->starter = Starters::for($class);
        foreach ($this->starter->spots() as $key => $spot) {
            if ($spot->spot->kind === SpotKind::Opening) {
                $this->openings[(string) $spot->spot->parent][] = $this->opening($key, $spot);
            }
        }
        foreach ($this->starter->spots() as $key => $spot) {
            match ($spot->spot->kind) {
                SpotKind::Compartment => $this->compartments[$key] = $this->compartment($key, $spot),
                SpotKind::Part => $this->parts[$key] = $this->part($key, $spot),
                default => null,
            };
        }
    }

    /** @return iterable<string, StarterRule> every rule that is done somewhere, by its task */
    public static function rules(MachineClass $class): iterable
    {
        foreach (Starters::for($class)->rulebooks() as $rulebook) {
            foreach ($rulebook->rules as $rule) {
                if ($rule->spots !== []) {
                    yield "{$rule->task} ({$rule->kind->value})" => $rule;
                }
            }
        }
    }

    public function plan(StarterRule $rule, ?Engine $engine = null, bool $raised = false): Plan
    {
        return new Plan(
            new ServicedMachine($this->class, $engine ?? Engine::of($this->class, []), $raised),
            array_map(fn (string $key): Work => new Work($rule->kind, $this->at($key, $rule->kind)), $rule->spots),
            array_values($this->compartments),
            array_values($this->parts),
        );
    }

    /** @return list<DrainWay> by which a compartment could be emptied, from the openings that it has */
    public function waysOf(string $compartment): array
    {
        $own = $this->compartments[$compartment];
        $alone = [CompartmentKind::Brake, CompartmentKind::BatteryCells, CompartmentKind::OilBath];
        if (in_array($own->kind, $alone, true)) {
            return [];
        }

        return array_values(array_filter([
            $own->openings(OpeningRole::Drain) === [] ? null : DrainWay::Plug,
            $own->openings(OpeningRole::Drain) === [] ? null : DrainWay::Tap,
            $own->openings(OpeningRole::Drain) === [] ? null : DrainWay::Hub,
            $own->openings(OpeningRole::Draw) === [] ? null : DrainWay::Suction,
            DrainWay::Hose,
        ]));
    }

    private function at(string $key, TaskKind $kind): Compartment|Opening|Part|Place
    {
        $spot = $this->starter->spots()[$key]->spot;
        $hole = array_column(array_merge(...array_values($this->openings)), null, 'key')[$key] ?? null;

        return $this->compartments[$key] ?? $this->parts[$key] ?? $hole ?? ($kind === TaskKind::Replace
            ? new Part($key, PartKind::Other, Plain::within($spot->name), subject: $spot->subject)
            : new Place($key, Plain::within($spot->name), $spot->at->place, $spot->subject));
    }

    private function opening(string $key, StarterSpot $spot): Opening
    {
        return new Opening(
            $key,
            [$spot->spot->role ?? OpeningRole::Fill],
            Plain::within($spot->spot->name),
            new OpeningSheet(hole: new Hole(closure: $spot->way->closure)),
            $spot->spot->at->place,
            $spot->spot->subject,
        );
    }

    private function compartment(string $key, StarterSpot $spot): Compartment
    {
        [$method, $protocol] = $this->reading($key);

        return new Compartment(
            $key,
            $spot->spot->compartment ?? CompartmentKind::Engine,
            Plain::within($spot->spot->name),
            $this->openings[$key] ?? [],
            new CompartmentSheet(out: new WayOut($this->ways[$key] ?? $spot->way->out)),
            method: $method ?? $spot->way->readBy,
            protocol: $protocol,
        );
    }

    /** @return array{LevelMethod|null, LevelProtocol|null} as its walk reads it */
    private function reading(string $key): array
    {
        foreach ($this->starter->checkList()->checks as $check) {
            if ($check->readsLevel() && $check->manner->spot === $key) {
                $method = LevelMethod::tryFrom($check->measuring->limits['method'] ?? '');

                return [$method, Level::protocol(new Fields($check->measuring->limits), $method ?? LevelMethod::Stick)];
            }
        }

        return [null, null];
    }

    private function part(string $key, StarterSpot $spot): Part
    {
        return new Part(
            $key,
            $spot->part,
            Plain::within($spot->spot->name),
            $spot->spot->parent,
            new PartFitting(under: $spot->way->under),
            hint: $spot->spot->at->place,
            subject: $spot->spot->subject,
        );
    }
}
