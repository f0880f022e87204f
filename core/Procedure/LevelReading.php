<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\EngineState;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\Warmth;

/** When a compartment's level is read after it was opened. */
enum LevelReading
{
    /** As it stands, before the engine is started at all. */
    case BeforeAnythingRuns;
    /** While it is filled: a level plug that nothing has to run for. */
    case AtThePour;
    /** Standing, nothing having run. */
    case Standing;
    /** Some minutes after the engine ran. */
    case AfterTheRun;
    /** While it idles. */
    case Idling;
    /** When it has been purged and is cold again. */
    case Cold;

    /** @param  bool  $drinks  whether something new in it takes up fluid once it runs */
    public static function of(Compartment $compartment, bool $drinks): self
    {
        $protocol = $compartment->protocol;

        return match (true) {
            $compartment->isFuel() => self::Standing,
            $protocol?->engine === EngineState::Idling => self::Idling,
            $compartment->isCoolant(), self::isPurged($compartment) => self::Cold,
            $drinks,
            $compartment->isEngine(),
            $compartment->sheet->service->minutes->run > 0,
            $protocol?->warmth !== null && $protocol->warmth !== Warmth::Cold => self::AfterTheRun,
            $compartment->method === LevelMethod::LevelPlug => self::AtThePour,
            default => self::Standing,
        };
    }

    /** Of a compartment whose level is read and nothing more. */
    public static function ofLevel(Compartment $compartment): self
    {
        $protocol = $compartment->protocol;

        return match (true) {
            $protocol?->engine === EngineState::Idling => self::Idling,
            $protocol?->waitMinutes !== null,
            $protocol?->latestMinutes !== null,
            $protocol?->warmth !== null && $protocol->warmth !== Warmth::Cold => self::AfterTheRun,
            default => self::BeforeAnythingRuns,
        };
    }

    /** When what is opened for the reading is tightened. */
    public function tightensIn(): Phase
    {
        return match ($this) {
            self::AtThePour => Phase::Reach,
            self::Cold => Phase::Cool,
            default => Phase::Settle,
        };
    }

    public static function isPurged(Compartment $compartment): bool
    {
        return $compartment->sheet->service->purge !== null || $compartment->isDrive() || $compartment->sheet->service->vents;
    }
}
