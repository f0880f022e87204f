<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Level\Warmth;
use Core\Fluid\Sheet\Capacity;
use Core\Fluid\Sheet\CompartmentSheet;
use Core\Fluid\Sheet\DrainWay;
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

    private const DRIP_GEAR_OIL = 30;

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
    ];

    private const LIKE_AN_ENGINE = [CompartmentKind::Engine, CompartmentKind::Coolant];

    /**
     * @param  list<Opening>  $openings
     * @param  CompartmentSheet  $sheet  how it is emptied and serviced, and the compartment whose fluid it shares
     * @param  Capacity|null  $capacity  what goes in, by the book
     */
    public function __construct(
        public string $key,
        public CompartmentKind $kind,
        public string $name,
        public array $openings = [],
        public CompartmentSheet $sheet = new CompartmentSheet,
        public ?Capacity $capacity = null,
        public LevelMethod $method = LevelMethod::Stick,
        public ?LevelProtocol $protocol = null,
    ) {}

    /** @return list<Opening> */
    public function openings(OpeningRole ...$roles): array
    {
        return array_values(array_filter(
            $this->openings,
            fn (Opening $opening): bool => in_array($opening->role, $roles, true),
        ));
    }

    /** How it is emptied; null where nothing tells. */
    public function drainWay(): ?DrainWay
    {
        return $this->sheet->out->by ?? match (true) {
            $this->openings(OpeningRole::Drain) !== [] => DrainWay::Plug,
            $this->openings(OpeningRole::Draw) !== [] => DrainWay::Suction,
            default => null,
        };
    }

    /** @return list<Opening> through which it is filled: where nothing else is there, its level plug or its stick */
    public function fills(): array
    {
        foreach ([OpeningRole::Fill, OpeningRole::Level, OpeningRole::Draw] as $role) {
            $fills = $this->openings($role);
            if ($fills !== []) {
                return $fills;
            }
        }

        return [];
    }

    public function warmMinutes(): int
    {
        return $this->sheet->service->minutes->warm ?? match (true) {
            in_array($this->kind, self::NEVER_WARMED, true) => 0,
            in_array($this->kind, self::LIKE_AN_ENGINE, true) => self::WARM,
            default => self::WARM_DRIVE,
        };
    }

    /** Minutes that it is run before its level is read. */
    public function runMinutes(): int
    {
        $isReadWarm = $this->protocol?->warmth !== null && $this->protocol->warmth !== Warmth::Cold;

        return $this->sheet->service->minutes->run ?? ($isReadWarm ? $this->warmMinutes() : self::ENGINE_RUNS);
    }

    public function dripMinutes(): int
    {
        return $this->sheet->service->minutes->drip ?? ($this->holdsGearOil() ? self::DRIP_GEAR_OIL : self::DRIP);
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

    private function holdsGearOil(): bool
    {
        return $this->kind->subject() === Subject::GearOil;
    }
}
