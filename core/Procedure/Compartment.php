<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Level\Warmth;
use Core\Fluid\Sheet\DrainWay;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\Subject;
use Core\Measure\Quantity;

/** A compartment as a service sees it. */
final readonly class Compartment
{
    /** Minutes in which an engine, or what it drives, is warm enough to drain. Common practice, no source. */
    private const WARM = 5;

    private const WARM_DRIVE = 10;

    /** Minutes of dripping. Common practice, no source. */
    private const DRIP = 10;

    private const DRIP_GEAR_OIL = 30;

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
     * @param  Quantity|null  $least  of what goes in, by the book
     * @param  list<Opening>  $openings
     * @param  int|null  $warm  minutes that it is run before it is drained; null for the usual
     * @param  int|null  $drip  minutes; null for the usual
     * @param  string|null  $valve  what is shut before a line of it is opened, and which way is on; null for none
     * @param  string|null  $sharesWith  the compartment whose fluid it shares
     * @param  DrainWay|null  $drainWay  null for what its openings say
     * @param  list<string>  $putsBack  what is undone to get there, and done up again
     * @param  string  $fluid  what is poured, in words
     */
    public function __construct(
        public string $key,
        public CompartmentKind $kind,
        public string $name,
        public ?Quantity $least = null,
        public ?Quantity $most = null,
        public array $openings = [],
        public ?LevelProtocol $protocol = null,
        public Filling $filling = new Filling,
        private ?int $warm = null,
        private ?int $drip = null,
        public ?string $valve = null,
        public ?string $sharesWith = null,
        private ?DrainWay $drainWay = null,
        public array $putsBack = [],
        public string $fluid = '',
    ) {
    }

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
        return $this->drainWay ?? match (true) {
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
        return $this->warm ?? match (true) {
            in_array($this->kind, self::NEVER_WARMED, true) => 0,
            in_array($this->kind, self::LIKE_AN_ENGINE, true) => self::WARM,
            default => self::WARM_DRIVE,
        };
    }

    /** Minutes that it is run before its level is read. */
    public function runMinutes(): int
    {
        $isReadWarm = $this->protocol?->warmth !== null && $this->protocol->warmth !== Warmth::Cold;

        return $this->filling->run ?? ($isReadWarm ? $this->warmMinutes() : Filling::ENGINE_RUNS);
    }

    public function dripMinutes(): int
    {
        return $this->drip ?? ($this->holdsGearOil() ? self::DRIP_GEAR_OIL : self::DRIP);
    }

    /** Minutes after the run until its level tells anything. */
    public function waitMinutes(): int
    {
        return $this->filling->wait
            ?? $this->protocol->waitMinutes
            ?? ($this->isEngine() ? Filling::ENGINE_WAITS : 0);
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
