<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Level\Warmth;
use Core\Fluid\Sheet\Capacity;
use Core\Fluid\Sheet\CompartmentSheet;
use Core\Fluid\Sheet\DrainWay;
use Core\Machine\Closure;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\Subject;

/** A compartment as a service sees it. */
final readonly class Compartment
{
    /** Minutes in which an engine, or what it drives, is warm enough to drain. Common practice, no source. */
    private const WARM = 5;

    private const WARM_DRIVE = 10;

    /** Minutes of dripping. Common practice, no source. */
    private const DRIP = 10;

    /** Minutes of a run that fills an engine's new filter. Common practice, no source. */
    private const ENGINE_RUNS = 2;

    /** Minutes after that until its oil has run down. Common practice, no source. */
    private const ENGINE_WAITS = 2;

    /** Minutes until a cooling system can be touched. Common practice, no source. */
    public const COOL = 45;

    private const NEVER_WARMED = [
        CompartmentKind::Brake,
        CompartmentKind::Fuel,
        CompartmentKind::OilBath,
        CompartmentKind::BatteryCells,
        CompartmentKind::Coolant,
    ];

    /** Where nobody can be wrong about it, whatever is written down. */
    private const READ_BY_THEIR_KIND = [
        CompartmentKind::Coolant->value => LevelMethod::Line,
        CompartmentKind::Brake->value => LevelMethod::Line,
        CompartmentKind::OilBath->value => LevelMethod::Line,
        CompartmentKind::Fuel->value => LevelMethod::Gauge,
        CompartmentKind::BatteryCells->value => LevelMethod::Cells,
        CompartmentKind::PivotShaft->value => LevelMethod::Threads,
        CompartmentKind::Engine->value => LevelMethod::Stick,
    ];

    private const PUMPED = [
        CompartmentKind::Engine,
        CompartmentKind::Hydraulic,
        CompartmentKind::Hydrostatic,
        CompartmentKind::Transmission,
        CompartmentKind::TorqueConverter,
    ];

    /** @var list<Opening> */
    public array $openings;

    /** By what its level is read; null where nothing tells. */
    public ?LevelMethod $method;

    /**
     * @param  list<Opening>  $openings
     * @param  CompartmentSheet  $sheet  how it is emptied and serviced, and the compartment whose fluid it shares
     * @param  Capacity|null  $capacity  what goes in, by the book
     * @param  LevelMethod|null  $method  null where nobody said
     */
    public function __construct(
        public string $key,
        public CompartmentKind $kind,
        public string $name,
        array $openings = [],
        public CompartmentSheet $sheet = new CompartmentSheet,
        public ?Capacity $capacity = null,
        ?LevelMethod $method = null,
        public ?LevelProtocol $protocol = null,
    ) {
        $hasLevel = array_filter($openings, fn (Opening $opening): bool => $opening->has(OpeningRole::Level)) !== [];
        $this->method = $method ?? $sheet->readBy ?? self::READ_BY_THEIR_KIND[$kind->value] ?? match (true) {
            $hasLevel => $kind->subject() === Subject::GearOil ? LevelMethod::LevelPlug : LevelMethod::Stick,
            $protocol !== null => LevelMethod::Stick,
            default => null,
        };
        $this->openings = array_map(fn (Opening $opening): Opening => $opening->in($this->method), $openings);
    }

    /** @return list<Opening> */
    public function openings(OpeningRole ...$roles): array
    {
        return array_values(array_filter($this->openings, fn (Opening $opening): bool => $opening->has(...$roles)));
    }

    /** How it is emptied; null where nothing tells. */
    public function drainWay(): ?DrainWay
    {
        // Brakes are never emptied, nor cells, whatever somebody wrote down.
        return match ($this->kind) {
            CompartmentKind::Brake => DrainWay::BledThrough,
            CompartmentKind::BatteryCells => DrainWay::None,
            default => $this->sheet->out->by ?? $this->byItsOpenings(),
        };
    }

    private function byItsOpenings(): ?DrainWay
    {
        $byTaps = array_filter($this->openings(OpeningRole::Drain), fn (Opening $drain): bool => $drain->closure === Closure::Tap);

        return match (true) {
            $byTaps !== [] => DrainWay::Tap,
            $this->openings(OpeningRole::Drain) !== [] => DrainWay::Plug,
            $this->kind === CompartmentKind::OilBath => DrainWay::Cup,
            $this->openings(OpeningRole::Draw) !== [] => DrainWay::Suction,
            default => null,
        };
    }

    /** @return list<Opening> through which it is sucked out */
    public function draws(): array
    {
        $through = $this->sheet->out->through;

        return $through === null
            ? $this->openings(OpeningRole::Draw)
            : array_values(array_filter($this->openings, fn (Opening $opening): bool => $opening->key === $through));
    }

    public function warmMinutes(): int
    {
        return $this->sheet->service->minutes->warm ?? match (true) {
            in_array($this->kind, self::NEVER_WARMED, true) => 0,
            $this->isEngine() => self::WARM,
            default => self::WARM_DRIVE,
        };
    }

    /** Minutes that it is run before its level is read. */
    public function runMinutes(): int
    {
        $isReadWarm = $this->protocol?->warmth !== null && $this->protocol->warmth !== Warmth::Cold;

        return $this->sheet->service->minutes->run ?? ($isReadWarm ? max(self::WARM, $this->warmMinutes()) : self::ENGINE_RUNS);
    }

    public function dripMinutes(): int
    {
        return $this->sheet->service->minutes->drip ?? self::DRIP;
    }

    /** Minutes after the run until its level tells anything. */
    public function waitMinutes(): int
    {
        return $this->sheet->service->minutes->wait
            ?? $this->protocol->waitMinutes
            ?? ($this->isEngine() ? self::ENGINE_WAITS : 0);
    }

    public function isEngine(): bool
    {
        return $this->kind === CompartmentKind::Engine;
    }

    public function isDrive(): bool
    {
        return $this->kind === CompartmentKind::Hydrostatic;
    }

    public function isCoolant(): bool
    {
        return $this->kind === CompartmentKind::Coolant;
    }

    public function isFuel(): bool
    {
        return $this->kind === CompartmentKind::Fuel;
    }

    /** Whether idling does not warm it: it has to be driven. */
    public function isWarmedByDriving(): bool
    {
        return ! $this->isEngine() && $this->warmMinutes() > 0;
    }

    /** Whether a pump fills its circuit only when it runs. */
    public function isPumped(): bool
    {
        return in_array($this->kind, self::PUMPED, true);
    }
}
