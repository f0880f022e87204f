<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\EngineState;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\Warmth;
use Core\Fluid\Sheet\DrainWay;

/** When a circuit's level is read. */
enum LevelReading
{
    /** Not at all: it is measured in, or filled to a line before it is fitted. */
    case ByTheFill;
    /** As it stands, before the engine is started at all. */
    case BeforeAnythingRuns;
    /** While it is filled: a hole that nothing has to run for. */
    case AtThePour;
    /** Standing, nothing having run. */
    case Standing;
    /** Some minutes after the engine ran. */
    case AfterTheRun;
    /** While it idles. */
    case Idling;
    /** When it has been purged and is cold again. */
    case Cold;

    /**
     * Of one that was filled or opened.
     *
     * @param  bool  $drinks  whether something new in it takes up fluid once it runs
     */
    public static function of(Circuit $circuit, bool $drinks): self
    {
        $holder = $circuit->holder;

        return match (true) {
            $holder->method === LevelMethod::Measure,
            $holder->isFuel(),
            $holder->drainWay() === DrainWay::Cup => self::ByTheFill,
            $holder->drainWay() === DrainWay::BledThrough => self::Standing,
            $holder->protocol?->engine === EngineState::Idling => self::Idling,
            Purge::isCalledFor($circuit) => self::Cold,
            $drinks,
            $holder->isEngine(),
            $holder->sheet->service->minutes->run > 0,
            self::isWarm($holder),
            $holder->isPumped() && $holder->method?->isToldByAHole() === false => self::AfterTheRun,
            $holder->method?->isToldByAHole() === true => self::AtThePour,
            default => self::Standing,
        };
    }

    /** Of one whose level is read and nothing more. */
    public static function ofLevel(Circuit $circuit): self
    {
        $holder = $circuit->holder;

        return match (true) {
            $holder->protocol?->engine === EngineState::Idling => self::Idling,
            $holder->protocol?->waitMinutes !== null,
            $holder->protocol?->latestMinutes !== null,
            self::isWarm($holder) => self::AfterTheRun,
            $holder->method?->isToldByAHole() === true, $holder->method === LevelMethod::Cells => self::AtThePour,
            default => self::BeforeAnythingRuns,
        };
    }

    /** When what is opened for the reading is tightened. */
    public function tightensIn(): Phase
    {
        return match ($this) {
            self::AfterTheRun, self::Idling => Phase::Settle,
            self::Cold => Phase::Cool,
            default => Phase::Reach,
        };
    }

    private static function isWarm(Compartment $compartment): bool
    {
        return $compartment->protocol?->warmth !== null && $compartment->protocol->warmth !== Warmth::Cold;
    }
}
