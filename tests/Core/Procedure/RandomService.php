<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Fluid\Level\EngineState;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Level\Warmth;
use Core\Fluid\Sheet\Book;
use Core\Fluid\Sheet\Capacity;
use Core\Fluid\Sheet\CapacityKind;
use Core\Fluid\Sheet\CompartmentSheet;
use Core\Fluid\Sheet\DrainWay;
use Core\Fluid\Sheet\Hole;
use Core\Fluid\Sheet\OpeningSheet;
use Core\Fluid\Sheet\ServiceMinutes;
use Core\Fluid\Sheet\ServiceWay;
use Core\Fluid\Sheet\WayOut;
use Core\Machine\CompartmentKind;
use Core\Machine\MachineClass;
use Core\Machine\OpeningRole;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Measure\Quantity;
use Core\Procedure\Compartment;
use Core\Procedure\Engine;
use Core\Procedure\Opening;
use Core\Procedure\Part;
use Core\Procedure\Place;
use Core\Procedure\School;
use Core\Procedure\Schools;
use Core\Procedure\ServicedMachine;
use Core\Procedure\Tightened;
use Core\Procedure\Work;
use Core\Supply\PartFitting;
use Core\Supply\PartKind;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A machine made up by a seed, and what is to be done to it. */
final class RandomService
{
    public readonly ServicedMachine $machine;

    /** @var list<Compartment> */
    public array $compartments = [];

    /** @var list<Part> */
    public array $parts = [];

    /** @var list<Work> */
    public array $works = [];

    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->machine = new ServicedMachine(
            $this->pick(MachineClass::cases()),
            $this->pick(Engine::cases()),
            $this->oneIn(3),
            tightened: $this->pick(Tightened::cases()),
            schools: $this->schools($seed),
        );
        $kinds = $this->random->pickArrayKeys(CompartmentKind::cases(), $this->upTo(1, 5));
        foreach ($kinds as $number => $kind) {
            // Some name their places by bare numbers.
            $this->compartment($seed % 2 === 0 ? "{$number}" : "c{$number}", CompartmentKind::cases()[$kind]);
        }
        $loosest = null;
        for ($loose = $this->upTo(0, 3); $loose > 0; $loose--) {
            $this->parts[] = new Part(
                "p{$loose}",
                $this->pick(PartKind::cases()),
                "part {$loose}",
                fitting: new PartFitting(
                    loose: $this->oneIn(3) ? ['spring'] : [],
                    tight: $this->oneIn(3) ? '89 in-lb' : '',
                    under: $loosest !== null && $this->oneIn(4) ? [$loosest] : [],
                ),
                subject: $this->pick([Subject::Other, Subject::Cutting, Subject::Belts, Subject::Battery, Subject::AirCleaner, Subject::Wheels]),
            );
            $loosest = "p{$loose}";
        }
        $this->works();
        $this->works = array_map(fn (Work $work): Work => $work->by($this->machine->schools), $this->works);
    }

    /** Half of them the usual ones. */
    private function schools(int $seed): Schools
    {
        $random = new Randomizer(new Mt19937($seed + 1));
        $chosen = [];
        foreach ($random->getInt(0, 1) === 0 ? [] : School::cases() as $school) {
            $ways = array_keys($school->ways());
            $chosen[$school->value] = $ways[$random->getInt(0, count($ways) - 1)];
        }

        return new Schools($chosen);
    }

    private function compartment(string $key, CompartmentKind $kind): void
    {
        $method = match ($kind) {
            CompartmentKind::BatteryCells => LevelMethod::Cells,
            CompartmentKind::Brake, CompartmentKind::Coolant => LevelMethod::Line,
            default => $this->pick(array_values(array_filter(LevelMethod::cases(), fn (LevelMethod $one): bool => $one !== LevelMethod::Cells))),
        };
        $opening = fn (string $suffix, OpeningRole $role): Opening => new Opening(
            "{$key}{$suffix}",
            [$role],
            "{$key}{$suffix}",
            new OpeningSheet(
                tool: $this->oneIn(2) ? '17 mm' : '',
                seal: $this->oneIn(2) ? 'W18' : '',
                loose: $this->oneIn(5) ? ['cap', 'ring'] : [],
                torque: $this->oneIn(2) ? '22 ft-lb' : '',
                hole: new Hole(magnet: $this->oneIn(3)),
            ),
        );
        $way = $this->way($kind);
        $drains = in_array($way, [DrainWay::Plug, DrainWay::Tap, DrainWay::Hub], true) ? $this->upTo(1, 3) : 0;
        $vents = match (true) {
            $kind === CompartmentKind::Brake => $this->upTo(1, 4),
            $kind === CompartmentKind::BatteryCells => 0,
            default => $this->oneIn(4) ? $this->upTo(1, 2) : 0,
        };
        $openings = [$opening('f', OpeningRole::Fill)];
        for ($drain = 1; $drain <= $drains; $drain++) {
            $openings[] = $opening("d{$drain}", OpeningRole::Drain);
        }
        for ($vent = 1; $vent <= $vents; $vent++) {
            $openings[] = $opening("v{$vent}", OpeningRole::Vent);
        }
        if ($method === LevelMethod::LevelPlug || $this->oneIn(2)) {
            $openings[] = $opening('l', OpeningRole::Level);
        }
        $through = $way === DrainWay::Suction && $this->oneIn(2) ? "{$key}f" : null;
        if ($way === DrainWay::Suction && $through === null) {
            $openings[] = $opening('s', OpeningRole::Draw);
        }
        if ($way === DrainWay::Catch || $this->oneIn(4)) {
            $openings[] = $opening('k', OpeningRole::Strainer);
        }
        if ($this->oneIn(5)) {
            $openings[] = $opening('o', OpeningRole::FilterCover);
        }
        $isSaid = ! in_array($way, [DrainWay::Plug, DrainWay::BledThrough], true) || $this->oneIn(2);
        $isVented = $vents > 0 && $kind !== CompartmentKind::Brake && $this->oneIn(2);
        $this->compartments[] = new Compartment(
            $key,
            $kind,
            $key,
            $openings,
            protocol: $this->oneIn(2) ? new LevelProtocol(
                $method === LevelMethod::Stick && $this->oneIn(2) ? $this->pick(EngineState::cases()) : null,
                $this->oneIn(3) ? $this->pick(Warmth::cases()) : null,
                $this->oneIn(2) ? $this->upTo(1, 10) : null,
            ) : null,
            method: $method,
            capacity: $method === LevelMethod::Measure || $this->oneIn(2)
                ? new Capacity(CapacityKind::Refill, Quantity::parse('2 L'), Quantity::parse('2 L'), '2 L', Book::Machine)
                : null,
            sheet: new CompartmentSheet(
                service: new ServiceWay(
                    prefill: $this->oneIn(3),
                    minutes: new ServiceMinutes(
                        run: $this->oneIn(3) ? $this->upTo(1, 10) : null,
                        warm: $this->oneIn(5) ? 0 : null,
                    ),
                    purge: $isVented && $this->oneIn(2) ? 6 : null,
                    vents: $isVented,
                ),
                out: new WayOut(
                    $isSaid ? $way : null,
                    $this->oneIn(4) ? 'lever across is shut' : '',
                    $this->oneIn(5) ? ['skid plate'] : [],
                    $through,
                ),
                sharesWith: $this->holder($kind),
            ),
        );
        $holdsParts = ! in_array($way, [DrainWay::Cup, DrainWay::BledThrough, DrainWay::None], true);
        if ($way === DrainWay::Filter || ($holdsParts && $this->oneIn(2))) {
            $this->parts[] = new Part(
                "{$key}p",
                $way === DrainWay::Filter ? PartKind::SpinOn : $this->pick([PartKind::Filter, PartKind::Cartridge, PartKind::Screen, PartKind::Breather, PartKind::InLine]),
                "{$key}p",
                $key,
                new PartFitting(
                    hangs: $this->oneIn(2) ? 'upright' : '',
                    drinks: $this->oneIn(2) ? '0.3 L' : '',
                    loose: $this->oneIn(3) ? ['spring', 'cap ring'] : [],
                    tight: $this->oneIn(4) ? '89 in-lb' : '',
                ),
                subject: $kind->subject(),
            );
        }
    }

    private function way(CompartmentKind $kind): DrainWay
    {
        return match ($kind) {
            CompartmentKind::Brake => DrainWay::BledThrough,
            CompartmentKind::BatteryCells => DrainWay::None,
            CompartmentKind::OilBath => DrainWay::Cup,
            default => $this->pick([
                DrainWay::Plug, DrainWay::Plug, DrainWay::Plug, DrainWay::Tap, DrainWay::Suction, DrainWay::Filter, DrainWay::Hose,
                DrainWay::Hub, DrainWay::Catch,
            ]),
        };
    }

    /** A housing that can be emptied may share the fluid of another. */
    private function holder(CompartmentKind $kind): ?string
    {
        $first = $this->compartments[0] ?? null;
        $alone = [CompartmentKind::Brake, CompartmentKind::BatteryCells, CompartmentKind::OilBath, CompartmentKind::Coolant, CompartmentKind::Fuel];

        return $first !== null && ! in_array($first->kind, $alone, true) && ! in_array($kind, $alone, true) && $this->oneIn(8)
            ? $first->key
            : null;
    }

    private function works(): void
    {
        foreach ($this->compartments as $compartment) {
            if ($compartment->kind === CompartmentKind::BatteryCells) {
                $this->works[] = new Work(TaskKind::CheckLevel, $compartment);
            } elseif ($this->oneIn(4)) {
                $holder = array_column($this->compartments, null, 'key')[$compartment->sheet->sharesWith ?? $compartment->key];
                $kind = $holder->method === LevelMethod::Measure ? TaskKind::Sample : $this->pick([TaskKind::CheckLevel, TaskKind::Sample]);
                $this->works[] = new Work($kind, $compartment);
            } elseif (! $this->oneIn(4)) {
                $this->works[] = new Work(TaskKind::Replace, $compartment, undoes: $this->oneIn(6) ? ['deck height'] : []);
            }
            foreach ($compartment->openings as $opening) {
                if ($opening->has(OpeningRole::Strainer) && $this->oneIn(2)) {
                    $this->works[] = new Work(TaskKind::Clean, $opening);
                }
            }
        }
        foreach ($this->parts as $part) {
            if (! $this->oneIn(3)) {
                $this->works[] = new Work($this->pick([TaskKind::Replace, TaskKind::Replace, TaskKind::Clean, TaskKind::Inspect]), $part);
            }
        }
        for ($place = $this->upTo(0, 3); $place > 0; $place--) {
            $this->works[] = new Work(
                $this->pick([TaskKind::Inspect, TaskKind::Adjust, TaskKind::Lubricate, TaskKind::Clean]),
                new Place("x{$place}", "place {$place}"),
                $this->oneIn(2) ? 'play' : null,
                $this->oneIn(2) ? ['pedals uncoupled'] : [],
            );
        }
        $this->works[] = new Work(TaskKind::Lubricate, new Place('nipple', 'the nipple'));
    }

    public function oneIn(int $many): bool
    {
        return $this->random->getInt(1, $many) === 1;
    }

    private function upTo(int $least, int $most): int
    {
        return $this->random->getInt($least, $most);
    }

    /**
     * @template T
     *
     * @param  list<T>  $from
     * @return T
     */
    private function pick(array $from): mixed
    {
        return $from[$this->random->getInt(0, count($from) - 1)];
    }
}
