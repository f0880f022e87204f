<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Sheet\DrainWay;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;
use Core\Procedure\Way\ThroughTheWheels;
use Core\Supply\PartKind;

/** What the works of one service come to: which circuits are emptied, which openings and parts are worked at. */
final readonly class Scope
{
    /** Parts behind which fluid stands. */
    private const WET = [
        PartKind::SpinOn, PartKind::Cartridge, PartKind::Canister, PartKind::Screen, PartKind::Ring, PartKind::Washer,
        PartKind::Gasket, PartKind::Plug, PartKind::Other,
    ];

    private const SEALS = [PartKind::Ring, PartKind::Washer, PartKind::Gasket];

    private const LOW = [OpeningRole::Drain, OpeningRole::Strainer, OpeningRole::FilterCover];

    /** @var array<string, Circuit> all that are known, by key */
    public array $circuits;

    /** @var array<string, Circuit> those whose fluid is changed, by key */
    public array $changed;

    /** @var array<string, Part> those that come off, by key */
    public array $parts;

    /** @var array<string, PartTask> what becomes of them, by key */
    public array $tasks;

    /** @var array<string, Opening> those that are worked at themselves, by key */
    public array $openings;

    /** @var array<string, Circuit> those whose level is read and nothing more, by key */
    public array $levels;

    /** @var array<string, Circuit> by the key of a housing, the circuit that it belongs to */
    private array $byHousing;

    /**
     * @param  list<Work>  $works
     * @param  list<Compartment>  $compartments  of the machine
     * @param  list<Part>  $parts  of the machine
     *
     * @throws Unready if nothing tells how what is to be changed comes out, goes in or is read
     */
    public function __construct(public array $works, array $compartments, array $parts, bool $isPlugUsedAgain = false)
    {
        [$this->circuits, $this->byHousing] = self::circuits($compartments);
        $known = array_column($parts, null, 'key');
        $changed = $tasks = $openings = $levels = [];
        foreach ($works as $work) {
            $at = $work->at;
            if ($at instanceof Compartment) {
                $circuit = $this->byHousing[$at->key];
                match ($work->kind) {
                    TaskKind::Replace => $changed[$circuit->key] = $circuit,
                    TaskKind::CheckLevel => $levels[$circuit->key] = $circuit,
                    default => null,
                };
            } elseif ($at instanceof Part && in_array($work->kind, [TaskKind::Replace, TaskKind::Clean], true)) {
                $known[$at->key] ??= $at;
                $isNew = $work->kind === TaskKind::Replace && ! ($at->kind === PartKind::SparkPlug && $isPlugUsedAgain);
                $tasks[$at->key] = $isNew || ($tasks[$at->key] ?? null) === PartTask::Renew ? PartTask::Renew : PartTask::Clean;
            } elseif ($at instanceof Opening && in_array($work->kind, [TaskKind::Replace, TaskKind::Clean], true)) {
                $openings[$at->key] = $this->hole($at);
            }
        }
        foreach ($changed as $circuit) {
            // What runs out by a filter has it taken off, whether a new one is due or not.
            foreach ($this->byWhatComesOff($circuit, $known) as $part) {
                $tasks[$part->key] ??= PartTask::PutBack;
            }
        }
        foreach ($tasks as $key => $task) {
            foreach (self::over($known[$key], $known) as $over) {
                // What seals is new each time.
                $tasks[$over->key] ??= in_array($over->kind, self::SEALS, true) ? PartTask::Renew : PartTask::PutBack;
            }
        }
        foreach ($changed as $circuit) {
            self::refuse($circuit, $known);
        }
        $this->parts = array_map(fn (string|int $key): Part => $known[$key], array_combine(array_keys($tasks), array_keys($tasks)));
        $this->tasks = $tasks;
        $this->changed = $changed;
        $this->openings = $openings;
        $this->levels = array_diff_key($levels, $changed);
        foreach ([...$this->caught(), ...$this->levels] as $circuit) {
            $isOnlyRead = isset($this->levels[$circuit->key]);
            if ($circuit->holder->method === null || ($isOnlyRead && $circuit->holder->method === LevelMethod::Measure)) {
                throw Unready::noReading($circuit->holder);
            }
        }
        foreach ($this->caught() as $circuit) {
            if ($circuit->fills() === []) {
                throw Unready::noWayIn($circuit->holder);
            }
        }
    }

    /** @return array<string, string> by the key of an opening or a part, the housing in which it sits */
    public function housings(): array
    {
        $housings = [];
        foreach ($this->circuits as $circuit) {
            foreach ($circuit->housings as $housing) {
                foreach ($housing->openings as $opening) {
                    $housings[$opening->key] = $housing->key;
                }
            }
        }
        foreach ($this->parts as $part) {
            $housings[$part->key] = $part->in ?? $part->key;
        }

        return $housings;
    }

    /** @return list<Part> those that come off in a circuit */
    public function partsIn(Circuit $circuit): array
    {
        $keys = array_column($circuit->housings, 'key');

        return array_values(array_filter($this->parts, fn (Part $part): bool => in_array($part->in, $keys, true)));
    }

    /** Whether something new in a circuit takes up fluid once it runs. */
    public function drinks(Circuit $circuit): bool
    {
        foreach ($this->partsIn($circuit) as $part) {
            if ($part->fitting->drinks !== '' || $part->isFilter()) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Opening> those worked at themselves in a circuit */
    public function workedIn(Circuit $circuit): array
    {
        return array_values(array_intersect_key($this->openings, array_column($circuit->openings(), null, 'key')));
    }

    /** The circuit whose fluid a part or an opening holds back; null where it holds back none. */
    public function circuitOf(Part|Opening $at): ?Circuit
    {
        if ($at instanceof Part) {
            return $this->byHousing[$at->in ?? ''] ?? null;
        }
        foreach ($this->circuits as $circuit) {
            if (in_array($at->key, array_column($circuit->openings(), 'key'), true)) {
                return $circuit;
            }
        }

        return null;
    }

    /** @return array<string, Circuit> not changed, but opened below their level, by key: what runs out is caught and poured back */
    public function caught(): array
    {
        $caught = [];
        foreach ($this->parts as $part) {
            if (in_array($part->kind, self::WET, true)) {
                $caught[] = $this->circuitOf($part);
            }
        }
        foreach ($this->openings as $opening) {
            if ($opening->has(...self::LOW)) {
                $caught[] = $this->circuitOf($opening);
            }
        }

        return array_filter(
            array_column(array_filter($caught), null, 'key'),
            fn (Circuit $circuit): bool => ! isset($this->changed[$circuit->key]) && ! $circuit->holder->isFuel(),
        );
    }

    /** Whether fluid runs out behind a part or an opening while it is off. */
    public function letsOut(Part|Opening $at): bool
    {
        return $at instanceof Part ? in_array($at->kind, self::WET, true) : $at->has(...self::LOW);
    }

    /**
     * @param  array<string, Part>  $known
     * @return list<Part> by which a circuit runs out
     */
    public function byWhatComesOff(Circuit $circuit, array $known): array
    {
        $off = [];
        foreach ($circuit->housings as $housing) {
            $off = [...$off, ...self::outlets($housing, $known)];
        }

        return $off;
    }

    /**
     * @param  array<string, Part>  $known
     * @return list<Part>
     */
    public static function outlets(Compartment $housing, array $known): array
    {
        $sits = fn (PartKind ...$kinds): array => array_values(array_filter(
            $known,
            fn (Part $part): bool => $part->in === $housing->key && in_array($part->kind, $kinds, true),
        ));
        $filters = array_values(array_filter($known, fn (Part $part): bool => $part->in === $housing->key && $part->isFilter()));

        return match ($housing->drainWay()) {
            DrainWay::Filter, null => $filters,
            DrainWay::Catch => $sits(PartKind::Screen),
            default => [],
        };
    }

    /**
     * What lies over a part, outermost last.
     *
     * @param  array<string, Part>  $known
     * @return list<Part>
     */
    public static function over(Part $part, array $known): array
    {
        $over = [];
        foreach ($part->fitting->under as $key) {
            if (isset($known[$key]) && $key !== $part->key) {
                $over = [...$over, $known[$key], ...self::over($known[$key], array_diff_key($known, [$part->key => true]))];
            }
        }

        return array_values(array_column($over, null, 'key'));
    }

    /**
     * @param  list<string>  $parts
     * @return list<string> what lies over or under them
     */
    public function around(array $parts): array
    {
        $around = array_flip($parts);
        do {
            $known = count($around);
            foreach ($this->parts as $key => $part) {
                $together = [(string) $key, ...array_column(self::over($part, $this->parts), 'key')];
                if (array_intersect_key($around, array_flip($together)) !== []) {
                    $around += array_flip($together);
                }
            }
        } while (count($around) > $known);

        return array_map(strval(...), array_keys($around));
    }

    private function hole(Opening $opening): Opening
    {
        foreach ($this->circuits as $circuit) {
            foreach ($circuit->openings() as $hole) {
                if ($hole->key === $opening->key) {
                    return $hole;
                }
            }
        }

        return $opening->in(null);
    }

    /**
     * @param  list<Compartment>  $compartments
     * @return array{array<string, Circuit>, array<string, Circuit>} by their own key, and by the key of each housing
     */
    private static function circuits(array $compartments): array
    {
        $known = array_column($compartments, null, 'key');
        $housings = $circuits = $byHousing = [];
        foreach ($known as $key => $compartment) {
            $holder = $known[$compartment->sheet->sharesWith ?? ''] ?? $compartment;
            $housings[$holder->key][$holder->key] = $holder;
            $housings[$holder->key][$key] = $compartment;
        }
        foreach ($housings as $key => $together) {
            $circuits[$key] = new Circuit(array_values($together));
            foreach ($together as $housing) {
                $byHousing[$housing->key] = $circuits[$key];
            }
        }

        return [$circuits, $byHousing];
    }

    /**
     * @param  array<string, Part>  $known
     *
     * @throws Unready
     */
    private static function refuse(Circuit $circuit, array $known): void
    {
        foreach ($circuit->housings as $housing) {
            $way = $housing->drainWay();
            if ($way === DrainWay::None) {
                throw Unready::neverEmptied($housing);
            }
            $isKnown = match ($way) {
                DrainWay::Plug, DrainWay::Tap, DrainWay::Hub => $housing->openings(OpeningRole::Drain) !== [],
                DrainWay::Suction => $housing->draws() !== [],
                DrainWay::Hose, DrainWay::Cup => true,
                DrainWay::BledThrough => ThroughTheWheels::screws($circuit) !== [],
                DrainWay::Catch => $housing->openings(OpeningRole::Strainer) !== [] || self::outlets($housing, $known) !== [],
                DrainWay::Filter, null => self::outlets($housing, $known) !== [],
            };
            if (! $isKnown) {
                throw $way === DrainWay::BledThrough ? Unready::noScrews($housing) : Unready::noWayOut($housing);
            }
        }
        $holder = $circuit->holder;
        match (true) {
            $holder->drainWay() === DrainWay::Cup => null,
            $circuit->fills() === [] => throw Unready::noWayIn($holder),
            $holder->method === null => throw Unready::noReading($holder),
            $holder->method === LevelMethod::Measure && $holder->capacity === null => throw Unready::noAmount($holder),
            default => null,
        };
    }
}
