<?php

declare(strict_types=1);

namespace Core\Procedure;

/** How air is got out of what was filled. Common practice, no source. */
enum Purge
{
    /** A drive filled until its vents ran. */
    case ByVents;
    /** A drive with a tank of its own. */
    case ByTank;
    case Coolant;

    /** Of a drive filled until its vents run. */
    private const CYCLES = 5;

    private const MINUTES_A_CYCLE = 1;

    /** Until a thermostat opens. */
    private const MINUTES_OF_COOLANT = 10;

    public static function of(Circuit $circuit): self
    {
        $service = $circuit->holder->sheet->service;

        return match (true) {
            $circuit->holder->isCoolant() => self::Coolant,
            $service->vents || $service->purge !== null => self::ByVents,
            default => self::ByTank,
        };
    }

    /** Of what its level is read cold only when air is out of it. */
    public static function isCalledFor(Circuit $circuit): bool
    {
        $service = $circuit->holder->sheet->service;

        return $circuit->holder->isCoolant() || $service->purge !== null || $service->vents
            || array_filter($circuit->housings, fn (Compartment $housing): bool => $housing->isDrive()) !== [];
    }

    public static function phase(Circuit $circuit): Phase
    {
        return self::of($circuit) === self::Coolant ? Phase::Bleed : Phase::Purge;
    }

    public function cycles(Circuit $circuit): int
    {
        return $this === self::ByVents ? $circuit->holder->sheet->service->purge ?? self::CYCLES : 1;
    }

    public function minutes(Circuit $circuit): int
    {
        return match ($this) {
            self::ByVents => max(StepAct::Purge->minutes(), $this->cycles($circuit) * self::MINUTES_A_CYCLE),
            self::Coolant => max(self::MINUTES_OF_COOLANT, $circuit->holder->sheet->service->minutes->run ?? 0),
            self::ByTank => StepAct::Purge->minutes(),
        };
    }

    public function says(Circuit $circuit, ServicedMachine $machine): string
    {
        $off = $machine->isElectric() ? 'then key out' : 'then engine off';

        return match ($this) {
            self::ByVents => "Driven wheels just clear of the ground, about an inch: slow, half forward, half back, then full, {$this->cycles($circuit)} cycles, {$off}. Foam just after is air, not water.",
            self::ByTank => "Driven wheels just clear of the ground, cap of the tank off: run a few minutes, slowly forward and back, until the foam is gone; add to the cold line as it drops, and say how much; {$off}.",
            self::Coolant => "Cap off, heater open: run it until the thermostat opens, the upper hose is hot and no more bubbles come; top up as it drops, and say how much; {$off}.",
        };
    }
}
