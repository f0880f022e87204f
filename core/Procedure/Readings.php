<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\LevelMethod;
use Core\Machine\Caution;
use Core\Procedure\Way\Ports;
use Core\Procedure\Way\Ways;

/** The steps by which what was filled is run, rid of air, read and topped up, and what is only read is read. */
final readonly class Readings
{
    /** Minutes after a purge until a drive is cold enough to read. Common practice, no source. */
    private const COOLS = 30;

    /**
     * @param  array<string, LevelReading>  $moments  by circuit, when each is read
     * @param  array<string, Ports>  $ports  by circuit, of those that were filled
     */
    public function __construct(
        private Draft $draft,
        private ServicedMachine $machine,
        private Scope $scope,
        private Ways $ways,
        private OpeningSteps $openings,
        private array $moments,
        private array $ports,
    ) {}

    public function add(): void
    {
        foreach ($this->read(LevelReading::BeforeAnythingRuns) as $circuit) {
            $this->readAndTopUp($circuit, [], Phase::Cold);
        }
        foreach ($this->read(LevelReading::AtThePour) as $circuit) {
            if (isset($this->scope->levels[$circuit->key])) {
                $this->levelOnly($circuit);
            }
        }
        foreach ($this->read(LevelReading::Standing) as $circuit) {
            $this->standing($circuit);
        }
        $this->purge($this->read(LevelReading::Cold));
        $this->run($this->read(LevelReading::AfterTheRun));
        $this->idle($this->read(LevelReading::Idling));
    }

    /** @return list<Circuit> */
    private function read(LevelReading $moment): array
    {
        return array_values(array_map(
            fn (string|int $key): Circuit => $this->scope->circuits[$key],
            array_keys($this->moments, $moment, true),
        ));
    }

    /** Through its own hole, which is opened for nothing else. */
    private function levelOnly(Circuit $circuit): void
    {
        $holes = $circuit->holder->method === LevelMethod::Cells ? $circuit->fills() : $circuit->levelPlugs();
        [$read, $topUp] = $this->readAndTopUp($circuit, [], Phase::Reach);
        foreach ($holes as $hole) {
            $open = $this->openings->open($hole, ': the level shows there');
            $this->draft->needs($read, $open);
            $close = $this->openings->close($hole);
            $this->draft->waits($close, [$read, $topUp]);
            $this->openings->tighten($hole);
        }
    }

    private function standing(Circuit $circuit): void
    {
        $filled = $this->filled($circuit);
        $phase = isset($this->scope->changed[$circuit->key]) ? Phase::Reach : Phase::Run;
        $minutes = $circuit->holder->waitMinutes();
        if ($minutes > 0) {
            $wait = $this->step(StepVerb::Wait, $circuit, "Wait {$minutes} min until {$circuit->name} has run down.", $phase, $minutes);
            $this->draft->onlyIf($wait, $filled);
            $this->draft->waits($wait, $filled);
        }
        [, $topUp] = $this->readAndTopUp($circuit, $filled, $phase);
        // It is shut when the level is right, and a pedal is tried last of all.
        foreach ($phase === Phase::Reach ? $circuit->fills() : [] as $fill) {
            $this->draft->waits(StepVerb::Close->at($fill->key), $topUp);
        }
        $this->draft->waits(StepVerb::Pedal->at($circuit->key), $topUp);
    }

    /** @param  list<Circuit>  $circuits */
    private function purge(array $circuits): void
    {
        foreach ($circuits as $circuit) {
            $purge = Purge::of($circuit);
            $step = $this->draft->step(
                new StepKey(StepVerb::Purge, $circuit->key),
                $purge->says($circuit, $this->machine),
                new Workpiece($circuit->key, [$circuit->key], takesFluid: $purge !== Purge::ByVents),
                Purge::phase($circuit),
                $purge->minutes($circuit),
            );
            $this->draft->onlyIf($step, $this->filled($circuit));
            foreach ($circuit->fills() as $cap) {
                if ($purge !== Purge::ByVents && ! $cap->isThreaded()) {
                    // Air goes out there, and what is missing goes in.
                    $this->draft->waits(StepVerb::Close->at($cap->key), $step);
                    $this->draft->move(StepVerb::Close->at($cap->key), Purge::phase($circuit));
                }
            }
            $cools = $purge === Purge::Coolant ? Compartment::COOL : self::COOLS;
            $minutes = max($cools, $circuit->holder->waitMinutes());
            $wait = $this->step(StepVerb::Wait, $circuit, "Let {$circuit->name} cool for about {$minutes} min: it is read cold.", Phase::Cool, $minutes);
            $this->draft->needs($wait, $step);
            $this->reopenAndRead($circuit, $wait, Phase::Cool);
        }
    }

    /** @param  list<Circuit>  $circuits */
    private function run(array $circuits): void
    {
        if ($circuits === []) {
            return;
        }
        $minutes = max(1, ...array_map(fn (Circuit $one): int => $one->holder->runMinutes(), $circuits));
        $isDriven = array_filter($circuits, fn (Circuit $one): bool => $one->holder->isWarmedByDriving()) !== [];
        $verb = match (true) {
            $this->machine->isElectric() => 'Switch to run and drive it slowly',
            $isDriven && ! $this->machine->stands() => 'Start it, let it idle, then work everything that was filled, slowly,',
            default => 'Start it and let it idle',
        };
        $pressure = $this->machine->isElectric() || array_filter($circuits, fn (Circuit $one): bool => $one->holder->isEngine()) === []
            ? ''
            : ' Oil pressure is there within seconds, or stop at once. Listen.';
        $byHand = $this->machine->tightened === Tightened::WhenLevelIsRight
            ? ' Plugs are seated by hand only: watch them, and stop when one weeps.'
            : '';
        $run = $this->draft->step(
            new StepKey(StepVerb::Run),
            "{$verb} for {$minutes} min, {$this->machine->stopped()}.{$pressure}{$byHand}",
            Workpiece::all(array_column($circuits, 'key')),
            Phase::Run,
            $minutes,
        );
        $this->draft->onlyIf($run, $this->filledIfAll($circuits));
        $this->draft->shut($run, $this->draft->those(fn (Step $step): bool => $step->act === StepAct::Close
            && in_array($step->key, $this->draft->in(Phase::Run), true)));
        foreach ($circuits as $circuit) {
            $minutes = $circuit->holder->waitMinutes();
            $before = $run;
            if ($minutes > 0) {
                $before = $this->step(StepVerb::Wait, $circuit, "Wait {$minutes} min: {$circuit->name} has not run down yet, and a reading before is none.", Phase::Settle, $minutes);
                $this->draft->needs($before, $run);
            }
            $this->reopenAndRead($circuit, $before, Phase::Settle);
        }
    }

    /** @param  list<Circuit>  $circuits */
    private function idle(array $circuits): void
    {
        foreach ($circuits as $circuit) {
            $minutes = $circuit->holder->sheet->service->minutes->run ?? StepAct::Run->minutes();
            $idle = $this->step(
                StepVerb::Idle,
                $circuit,
                "Start it and let it idle for {$minutes} min: {$circuit->name} is read idling, stopped it reads over full.",
                Phase::Settle,
                $minutes,
            );
            $this->draft->onlyIf($idle, $this->filled($circuit));
            $this->reopenAndRead($circuit, $idle, Phase::Settle);
        }
    }

    /** What was shut for the run is opened once more for the reading. */
    private function reopenAndRead(Circuit $circuit, string $after, Phase $phase): void
    {
        [$read, $topUp] = $this->readAndTopUp($circuit, [$after], $phase);
        foreach ($circuit->levelPlugs() as $plug) {
            $reopen = $this->draft->step(
                new StepKey(StepVerb::Reopen, $plug->key),
                "Take {$plug->name} out once more: the level shows there, and what comes is warm.",
                phase: $phase,
                cautions: $phase === Phase::Cool ? [] : [Caution::HotOil],
            );
            $this->draft->needs($reopen, $after);
            $this->draft->needs($read, $reopen);
            $torque = $plug->sheet->torque;
            $reshut = $this->draft->step(
                new StepKey(StepVerb::Reshut, $plug->key),
                "Put {$plug->name} back and tighten it".($torque === '' ? ': look its torque up; else snug plus an eighth of a turn, kept as by feel.' : " to {$torque}."),
                phase: $phase,
            );
            $this->draft->onlyIf($reshut, $reopen);
            $this->draft->waits($reshut, [$read, $topUp]);
        }
    }

    /**
     * @param  list<string>  $on
     * @return array{string, string}
     */
    private function readAndTopUp(Circuit $circuit, array $on, Phase $phase): array
    {
        $way = $this->ways->reading($circuit);
        $read = $this->step(StepVerb::Read, $circuit, $way->says($circuit), $phase);
        $this->draft->needs($read, $on);
        $this->draft->waits($read, StepVerb::Wait->at($circuit->key));
        $topUp = $this->step(StepVerb::TopUp, $circuit, $way->tops($circuit), $phase);
        $this->draft->needs($topUp, $read);
        foreach ($circuit->openings() as $opening) {
            $torque = StepVerb::Torque->at($opening->key);
            if ($phase !== Phase::Reach && in_array($torque, $this->draft->in($phase), true)) {
                // What stayed loose for the reading is tightened when the level is right.
                $this->draft->waits($torque, [$read, $topUp]);
            }
        }

        return [$read, $topUp];
    }

    /** @return list<string> the steps by which fluid came in; none where it is only read */
    private function filled(Circuit $circuit): array
    {
        return ($this->ports[$circuit->key] ?? null)->filled ?? [];
    }

    /**
     * @param  list<Circuit>  $circuits
     * @return list<string> none where one of them is only read
     */
    private function filledIfAll(array $circuits): array
    {
        $filled = array_map($this->filled(...), $circuits);

        return in_array([], $filled, true) ? [] : array_merge(...$filled);
    }

    private function step(StepVerb $verb, Circuit $circuit, string $says, Phase $phase, ?int $minutes = null): string
    {
        return $this->draft->step(new StepKey($verb, $circuit->key), $says, Workpiece::all([$circuit->key]), $phase, $minutes);
    }
}
