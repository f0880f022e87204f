<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\OpeningRole;

/** The steps by which what was filled is run, rid of air, read and topped up. */
final readonly class LevelSteps
{
    /** Minutes after a purge until a drive is cold enough to read. Common practice, no source. */
    private const COOLS = 30;

    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope) {}

    /**
     * @param  array<string, LevelReading>  $readings  by compartment, those that are read after something was done to them
     */
    public function add(array $readings): void
    {
        $by = fn (LevelReading $reading): array => array_map(strval(...), array_keys($readings, $reading, true));
        foreach ($by(LevelReading::BeforeAnythingRuns) as $key) {
            $this->read($this->scope->compartments[$key], Phase::Cold);
        }
        $this->purge($by(LevelReading::Cold));
        $this->run($by(LevelReading::AfterTheRun));
        foreach ($by(LevelReading::Standing) as $key) {
            $this->standing($this->scope->compartments[$key]);
        }
        $this->idle($by(LevelReading::Idling));
    }

    /** @param  list<string>  $keys */
    private function run(array $keys): void
    {
        if ($keys === []) {
            return;
        }
        $compartments = array_map(fn (string $key): Compartment => $this->scope->compartments[$key], $keys);
        $minutes = max(1, ...array_map(fn (Compartment $one): int => $one->runMinutes(), $compartments));
        $verb = $this->machine->engine === Engine::Electric ? 'Drive it' : 'Start it and let it idle';
        $byHand = $this->machine->tightened === Tightened::WhenLevelIsRight
            ? ' Plugs are seated by hand only: watch them, and stop when one weeps.'
            : '';
        $run = $this->draft->step(
            new StepKey(StepVerb::Run),
            "{$verb} for {$minutes} min, {$this->machine->stopped()}.{$byHand}",
            Workpiece::all($keys),
            Phase::Run,
            $minutes,
        );
        $this->draft->onlyIf($run, $this->filled($keys));
        foreach ($compartments as $compartment) {
            $this->waitAndRead($compartment, $run, $compartment->waitMinutes(), Phase::Settle);
        }
    }

    /** @param  list<string>  $keys */
    private function purge(array $keys): void
    {
        foreach ($keys as $key) {
            $compartment = $this->scope->compartments[$key];
            $isCoolant = $compartment->isCoolant();
            $step = $this->draft->step(
                new StepKey(StepVerb::Purge, $key),
                Purge::of($compartment)->says($compartment),
                Workpiece::all([$key]),
                $isCoolant ? Phase::Run : Phase::Purge,
                Purge::of($compartment)->minutes($compartment),
                cautions: $isCoolant ? [] : [Caution::TurningWheels],
            );
            $this->draft->onlyIf($step, $this->filled([$key]));
            $cools = $isCoolant ? Compartment::COOL : self::COOLS;
            $this->waitAndRead($compartment, $step, max($cools, $compartment->waitMinutes()), Phase::Cool);
        }
    }

    /** @param  list<string>  $keys */
    private function idle(array $keys): void
    {
        foreach ($keys as $key) {
            $compartment = $this->scope->compartments[$key];
            $minutes = $compartment->sheet->service->minutes->run ?? StepAct::Run->minutes();
            $step = $this->step(
                StepVerb::Idle,
                $compartment,
                "Start it and let it idle for {$minutes} min: {$compartment->name} is read idling, stopped it reads over full.",
                Phase::Settle,
                $minutes,
            );
            $this->draft->onlyIf($step, $this->filled([$key]));
            $this->waitAndRead($compartment, $step, 0, Phase::Settle);
        }
    }

    private function standing(Compartment $compartment): void
    {
        $filled = $this->filled([$compartment->key]);
        $minutes = $compartment->waitMinutes();
        if ($minutes > 0) {
            $wait = $this->step(StepVerb::Wait, $compartment, "Wait {$minutes} min until {$compartment->name} has run down.", Phase::Settle, $minutes);
            $this->draft->onlyIf($wait, $filled);
        }
        $this->readAndTopUp($compartment, $filled, Phase::Settle);
    }

    private function waitAndRead(Compartment $compartment, string $run, int $minutes, Phase $phase): void
    {
        $before = $run;
        if ($minutes > 0) {
            $before = $this->step(StepVerb::Wait, $compartment, $phase === Phase::Cool
                ? "Let {$compartment->name} cool for about {$minutes} min: it is read cold."
                : "Wait {$minutes} min: {$compartment->name} has not run down yet, and a reading before is none.", $phase, $minutes);
            $this->draft->needs($before, $run);
        }
        $reopened = $this->reopen($compartment, $phase, $before);
        $this->readAndTopUp($compartment, [$run], $phase);
        $this->draft->waits(StepVerb::Read->at($compartment->key), [$before, ...$reopened]);
    }

    /** @return list<string> the steps in which what was shut for the run is opened once more for the reading */
    private function reopen(Compartment $compartment, Phase $phase, string $after): array
    {
        $reopened = [];
        foreach ($this->scope->levelPlugsOf($compartment) as $plug) {
            $torque = $plug->sheet->torque;
            $reopened[] = $reopen = $this->draft->step(
                new StepKey(StepVerb::Reopen, $plug->key),
                "Take {$plug->name} out once more: the level shows there.",
                phase: $phase,
                subject: $plug->subject,
            );
            $this->draft->needs($reopen, $after);
            $reshut = $this->draft->step(
                new StepKey(StepVerb::Reshut, $plug->key),
                "Put {$plug->name} back and tighten it".($torque === '' ? '.' : " to {$torque}."),
                phase: $phase,
            );
            $this->draft->onlyIf($reshut, $reopen);
        }

        return $reopened;
    }

    /** @param  list<string>  $on */
    private function readAndTopUp(Compartment $compartment, array $on, Phase $phase): void
    {
        $read = $this->read($compartment, $phase);
        $this->draft->needs($read, $on);
        $this->draft->waits($read, StepVerb::Wait->at($compartment->key));
        $topUp = $this->step(StepVerb::TopUp, $compartment, "Top {$compartment->name} up to its mark by what the band takes, read again, and shut it.", $phase);
        $this->draft->needs($topUp, $read);
        foreach ($this->scope->openingsOf($compartment, ...OpeningRole::cases()) as $opening) {
            $this->draft->waits(StepVerb::Reshut->at($opening->key), [$read, $topUp]);
            $this->tightenWhenRight($opening, $phase, [$read, $topUp]);
        }
    }

    /**
     * What stayed loose for the reading is tightened when the level is right.
     *
     * @param  list<string>  $right
     */
    private function tightenWhenRight(Opening $opening, Phase $phase, array $right): void
    {
        if (in_array(StepVerb::Torque->at($opening->key), $this->draft->in($phase), true)) {
            $this->draft->waits(StepVerb::Torque->at($opening->key), $right);
        }
    }

    private function read(Compartment $compartment, Phase $phase): string
    {
        $how = $compartment->protocol?->inWords() ?? 'on level ground';

        return $this->step(StepVerb::Read, $compartment, "Read {$compartment->name} by its {$compartment->method->word()}: {$how}.", $phase);
    }

    /**
     * The steps by which fluid came into compartments, or something that drinks was fitted there.
     *
     * @param  list<string>  $keys
     * @return list<string> none where one of them is only read
     */
    private function filled(array $keys): array
    {
        $filled = [];
        foreach ($keys as $key) {
            $compartment = $this->scope->compartments[$key];
            $by = [
                ...isset($this->scope->changed[$key]) ? [StepVerb::Pour->at($key)] : [],
                ...array_map(fn (Part $part): string => StepVerb::Fit->at($part->key), $this->scope->partsIn($compartment)),
                ...array_map(
                    fn (Opening $opening): string => StepVerb::Close->at($opening->key),
                    $this->scope->workedIn($compartment),
                ),
            ];
            if ($by === []) {
                return [];
            }
            $filled = [...$filled, ...$by];
        }

        return $filled;
    }

    private function step(
        StepVerb $verb,
        Compartment $compartment,
        string $says,
        Phase $phase,
        ?int $minutes = null,
    ): string {
        return $this->draft->step(new StepKey($verb, $compartment->key), $says, Workpiece::all([$compartment->key]), $phase, $minutes);
    }
}
