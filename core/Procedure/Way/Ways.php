<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Fluid\Level\EngineState;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Sheet\DrainWay;
use Core\Machine\Subject;
use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\Engine;
use Core\Procedure\LevelReading;
use Core\Procedure\OpeningSteps;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\Scope;
use Core\Procedure\ServicedMachine;
use Core\Procedure\Tightened;
use Core\Supply\PartKind;

/** Which way each spot of a service has. */
final readonly class Ways
{
    private RunsOut $runsOut;

    public function __construct(
        private Draft $draft,
        private ServicedMachine $machine,
        private Scope $scope,
        private OpeningSteps $openings,
    ) {
        $this->runsOut = new RunsOut($draft, $machine, $openings);
    }

    /** @param  LevelReading  $reading  when its level is read, and what stays loose until then is tightened */
    public function emptying(Compartment $housing, LevelReading $reading): Empties
    {
        $byPlug = new ByPlug(
            $this->draft,
            $this->openings,
            $this->runsOut,
            $this->machine->tightened === Tightened::AtOnce ? Phase::Reach : $reading->tightensIn(),
        );

        return match ($housing->drainWay()) {
            DrainWay::Plug, DrainWay::Tap => $byPlug,
            DrainWay::Hub => new ByHub($this->draft, $byPlug),
            DrainWay::Suction => new BySuction($this->draft, $this->openings, $this->runsOut),
            DrainWay::Hose => new ByHose($this->draft, $this->runsOut),
            DrainWay::Cup => new ByCup($this->draft),
            DrainWay::BledThrough => new BledThrough($this->draft, $this->openings, $this->runsOut),
            DrainWay::Catch => new ByStrainer($this->draft, $this->openings, $this->runsOut, $this->byWhatComesOff($housing)),
            DrainWay::Filter, DrainWay::None, null => $this->byWhatComesOff($housing),
        };
    }

    public function filling(Circuit $circuit): Fills
    {
        return match ($circuit->holder->drainWay()) {
            DrainWay::Cup => new IntoItsCup($this->draft),
            DrainWay::BledThrough => new ThroughTheWheels($this->draft, $this->openings),
            default => $this->reading($circuit),
        };
    }

    /** What was caught while something was off goes back. */
    public function pouringBack(): PourBack
    {
        return new PourBack($this->draft, $this->openings, $this->runsOut, $this->scope);
    }

    public function reading(Circuit $circuit): Filling
    {
        $holder = $circuit->holder;
        $by = [$this->draft, $this->machine, $this->openings];
        $reads = match (true) {
            $holder->isCoolant() => new InTwoPours(...$by),
            $holder->protocol?->engine === EngineState::Idling => new Idling(...$by),
            default => match ($holder->method) {
                LevelMethod::Stick => new ByStick(...$by),
                LevelMethod::Ticks => new ByTicks(...$by),
                LevelMethod::Gauge => new ByGauge(...$by),
                LevelMethod::SightGlass => new ByGlass(...$by),
                LevelMethod::Line => new ByLine(...$by),
                LevelMethod::LevelPlug => new ByLevelPlug(...$by),
                LevelMethod::Threads => new ToTheThreads(...$by),
                LevelMethod::Cells => new ByCells(...$by),
                LevelMethod::Measure => new ByMeasure(...$by),
                null => throw new \LogicException("Nothing says how {$circuit->name} is read."),
            },
        };

        return $holder->sheet->service->vents ? new UntilVentsRun(...[...$by, $reads]) : $reads;
    }

    public function part(Part $part, PartTask $task): PartWay
    {
        $by = [$this->draft, $this->machine];
        $isForFuel = $part->subject === Subject::Fuel;

        return match ($part->kind) {
            PartKind::SpinOn => $isForFuel ? new FuelFilter(...$by) : new SpinOn(...[...$by, $this->isPrefilled($part)]),
            PartKind::Filter => $this->machine->engine === Engine::Diesel ? new FuelFilter(...$by) : new InLine(...$by),
            PartKind::Cartridge, PartKind::Canister => new Cartridge(...$by),
            PartKind::InLine => new InLine(...$by),
            PartKind::AirElement => new AirElement(...$by),
            PartKind::Screen, PartKind::Strainer => new Screen(...$by),
            PartKind::Breather => new Breather(...$by),
            PartKind::VBelt, PartKind::Belt => new VBelt(...$by),
            PartKind::CvtBelt => new CvtBelt(...$by),
            PartKind::DeckBelt => new DeckBelt(...$by),
            PartKind::Blade => new Blade(...$by),
            PartKind::SparkPlug => new SparkPlug(...$by),
            PartKind::Impeller => new Impeller(...$by),
            PartKind::Pads => new Pads(...$by),
            PartKind::Battery => new Battery(...$by),
            PartKind::Wheel => new Wheel(...$by),
            PartKind::Ring, PartKind::Washer, PartKind::Gasket => new Seal(...$by),
            PartKind::Plug, PartKind::PivotShaft, PartKind::Other => $part->subject === Subject::Brakes && $task === PartTask::Renew
                ? new LicensedTrade($this->draft)
                : new Bolted(...$by),
        };
    }

    private function byWhatComesOff(Compartment $housing): ByFilter
    {
        return new ByFilter($this->draft, $this->runsOut, Scope::outlets($housing, $this->scope->parts));
    }

    private function isPrefilled(Part $part): bool
    {
        return $this->scope->circuitOf($part)?->holder->sheet->service->prefill === true;
    }
}
