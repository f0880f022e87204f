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
    case Diesel;

    /** Of a drive filled until its vents run. */
    private const CYCLES = 5;

    private const MINUTES_A_CYCLE = 1;

    public static function of(Compartment $compartment): self
    {
        return match (true) {
            $compartment->isFuel() => self::Diesel,
            $compartment->isCoolant() => self::Coolant,
            $compartment->sheet->service->vents || $compartment->sheet->service->purge !== null => self::ByVents,
            default => self::ByTank,
        };
    }

    public function cycles(Compartment $compartment): int
    {
        return $this === self::ByVents ? $compartment->sheet->service->purge ?? self::CYCLES : 1;
    }

    public function minutes(Compartment $compartment): int
    {
        return match ($this) {
            self::ByVents => max(StepAct::Purge->minutes(), $this->cycles($compartment) * self::MINUTES_A_CYCLE),
            self::Coolant => max(10, $compartment->sheet->service->minutes->run ?? 0),
            self::ByTank, self::Diesel => StepAct::Purge->minutes(),
        };
    }

    public function says(Compartment $compartment): string
    {
        return match ($this) {
            self::ByVents => "Wheels just clear of the ground, about an inch: idle, half forward, half back, then full, {$this->cycles($compartment)} cycles, then engine off. Foam just after is air, not water.",
            self::ByTank => "Wheels just clear of the ground: run a few minutes with the tank's cap off until the foam is gone, add to the cold line, drive each way, then engine off.",
            self::Coolant => "Heater on, bleed screws open: run until it is warm and no more bubbles come, topping up as {$compartment->name} drops; close the screws, engine off.",
            self::Diesel => 'Tank full, valve open, bleed screw out about two turns: pump by hand, or with the key on, until no bubbles come; close it, hold the fitting below against turning; then start and raise the idle.',
        };
    }
}
