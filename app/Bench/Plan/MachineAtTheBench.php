<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\Machines\Yard;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Form\Fields;
use Core\Inspect\Check;
use Core\Inspect\Instrument\Level;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;
use Core\Machine\TaskKind;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Procedure\Compartment;
use Core\Procedure\Engine;
use Core\Procedure\Opening;
use Core\Procedure\Part;
use Core\Procedure\Place;
use Core\Procedure\ServicedMachine;
use Core\Procedure\Tightened;
use Core\Procedure\Work;
use Core\Starter\Starters;
use Core\Starter\StarterSpot;
use Core\Starter\StarterWay;
use Core\Supply\PartKind;
use Illuminate\Database\Eloquent\Collection;

/** A machine as a service sees it, from its spots and what is written down of them. */
final class MachineAtTheBench
{
    /** @var array<string, Compartment> by key */
    private array $compartments = [];

    /** @var array<string, Part> by key */
    private array $parts = [];

    /** @var Collection<int, Spot> with their sheets and parents */
    public readonly Collection $spots;

    /** @param  list<WantedWork>  $works */
    public function __construct(
        public readonly Machine $machine,
        private readonly CheckLists $checkLists,
        private readonly array $works,
        private readonly bool $raised,
        private readonly Yard $yard,
    ) {
        $this->spots = $machine->spots()->with('sheet', 'parent', 'holder', 'grease')->get();
        foreach ($this->spots as $spot) {
            if ($spot->kind === SpotKind::Compartment) {
                $this->compartments[$spot->key] = $this->compartment($spot);
            }
        }
        foreach ($this->spots as $spot) {
            if ($spot->kind === SpotKind::Part) {
                $this->parts[$spot->key] = $this->part($spot);
            }
        }
    }

    public function serviced(): ServicedMachine
    {
        $seated = array_filter(
            $this->worksAt(SpotKind::Compartment),
            fn (Spot $spot): bool => Sheets::compartment($spot)->service->seatedByHand,
        );

        return new ServicedMachine(
            $this->machine->class,
            $this->engine(),
            $this->raised,
            $this->machine->name,
            $seated === [] ? Tightened::AtOnce : Tightened::WhenLevelIsRight,
            $this->machine->schools(),
            array_map(fn (string $pan): Quantity => Quantity::parse($pan), array_values($this->yard->pans ?? [])),
        );
    }

    /** @return list<Work> */
    public function works(): array
    {
        $works = [];
        foreach ($this->works as $wanted) {
            $check = $this->checkLists->find($this->machine, $wanted->check);
            foreach ($wanted->spots as $spot) {
                $works[] = new Work(
                    $wanted->kind,
                    $this->at($spot, $wanted),
                    $wanted->kind === TaskKind::Inspect || $wanted->kind === TaskKind::Adjust ? $check?->title : null,
                    $check === null || $check->measuring->putBack === '' ? [] : [$check->measuring->putBack],
                    $wanted->finding === null ? [] : [$wanted->finding],
                );
            }
        }

        return $works;
    }

    /** @return list<Compartment> */
    public function compartments(): array
    {
        return array_values($this->compartments);
    }

    /** @return list<Part> */
    public function parts(): array
    {
        return array_values($this->parts);
    }

    public function spot(string $key): ?Spot
    {
        return $this->spots->firstWhere('key', $key);
    }

    public function compartmentNamed(string $key): ?Compartment
    {
        return $this->compartments[$key] ?? null;
    }

    public function partNamed(string $key): ?Part
    {
        return $this->parts[$key] ?? null;
    }

    public function openingNamed(string $key): ?Opening
    {
        foreach ($this->compartments as $compartment) {
            foreach ($compartment->openings as $opening) {
                if ($opening->key === $key) {
                    return $opening;
                }
            }
        }

        return null;
    }

    public function check(string $key): ?Check
    {
        return $this->checkLists->find($this->machine, $key);
    }

    private function at(Spot $spot, WantedWork $wanted): Compartment|Opening|Part|Place
    {
        $known = $this->compartments[$spot->key]
            ?? $this->parts[$spot->key]
            ?? ($spot->kind === SpotKind::Opening ? $this->openingNamed($spot->key) : null);
        if ($known !== null && $wanted->finding === null) {
            return $known;
        }

        return $wanted->kind === TaskKind::Replace
            ? new Part($spot->key, PartKind::Other, Plain::within($spot->name), hint: self::hint($spot), subject: $spot->subject)
            : new Place($spot->key, $wanted->finding === null ? Plain::within($spot->name) : $wanted->name, self::hint($spot), $spot->subject);
    }

    private function compartment(Spot $spot): Compartment
    {
        $sheet = Sheets::compartment($spot);
        $openings = $this->spots->where('parent_id', $spot->id)->where('kind', SpotKind::Opening);
        $capacity = $sheet->atAChange(
            $this->isFilterChangedIn($spot),
            $openings->where('role', OpeningRole::Drain)->count(),
        );
        [$method, $protocol] = $this->protocol($spot);
        $usual = $this->starter($spot)->way ?? new StarterWay;

        return new Compartment(
            $spot->key,
            $spot->compartment ?? CompartmentKind::Engine,
            Plain::within($spot->name),
            array_values($openings->map($this->opening(...))->all()),
            $sheet->out->by === null && $usual->out !== null ? $sheet->emptiedBy($usual->out) : $sheet,
            $capacity,
            $method ?? $sheet->readBy ?? $usual->readBy,
            $protocol,
        );
    }

    private function opening(Spot $spot): Opening
    {
        $sheet = Sheets::opening($spot);
        $usual = $this->starter($spot)->way->closure ?? null;

        return new Opening(
            $spot->key,
            array_values(array_unique([$spot->role ?? OpeningRole::Fill, ...$sheet->hole->also], SORT_REGULAR)),
            Plain::within($spot->name),
            $sheet->hole->closure === null && $usual !== null ? $sheet->shutBy($usual) : $sheet,
            implode('. ', array_filter([$sheet->comesOff === '' ? '' : "First off: {$sheet->comesOff}", self::hint($spot)])),
            $spot->subject,
        );
    }

    private function part(Spot $spot): Part
    {
        $sheet = Sheets::part($spot);
        $in = $spot->parent?->kind === SpotKind::Compartment ? $spot->parent : null;

        return new Part(
            $spot->key,
            $sheet->kind === PartKind::Other ? $this->starter($spot)->part ?? PartKind::Other : $sheet->kind,
            Plain::within($spot->name),
            $in?->key,
            $sheet->fitting->under === [] ? $sheet->fitting->lyingUnder($this->starter($spot)->way->under ?? []) : $sheet->fitting,
            $sheet->numbers->kit === '' ? $sheet->numbers->toBuy() : $sheet->numbers->kit,
            self::hint($spot),
            $spot->subject,
        );
    }

    /** @return array{LevelMethod|null, LevelProtocol|null} */
    private function protocol(Spot $compartment): array
    {
        $check = $this->checkLists->levelCheck($this->machine, $compartment->key);
        $method = LevelMethod::tryFrom($check->measuring->limits['method'] ?? '');

        return [$method, $check === null ? null : Level::protocol(new Fields($check->measuring->limits), $method ?? LevelMethod::Stick)];
    }

    private function isFilterChangedIn(Spot $compartment): bool
    {
        foreach ($this->works as $wanted) {
            foreach ($wanted->kind === TaskKind::Replace ? $wanted->spots : [] as $spot) {
                if ($spot->parent_id === $compartment->id && $spot->kind === SpotKind::Part) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Spot> */
    private function worksAt(SpotKind $kind): array
    {
        $spots = [];
        foreach ($this->works as $wanted) {
            $spots = [...$spots, ...$wanted->spots->where('kind', $kind)->all()];
        }

        return array_values($spots);
    }

    private function engine(): Engine
    {
        $fuels = [];
        foreach ($this->spots->where('compartment', CompartmentKind::Fuel) as $tank) {
            $fuels = $fuels === [] ? Sheets::compartment($tank)->specification()->designations : $fuels;
        }

        return Engine::of($this->machine->class, $fuels);
    }

    /** What such a machine mostly has there, where nobody has said more. */
    private function starter(Spot $spot): ?StarterSpot
    {
        return Starters::for($this->machine->class)->spots()[$spot->key] ?? null;
    }

    private static function hint(Spot $spot): string
    {
        return implode('. ', array_filter(array_map(
            fn (string $words): string => rtrim($words, '. '),
            [$spot->place, $spot->reach, $spot->trick],
        )));
    }
}
