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

    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope)
    {
    }

    /**
     * @param  array<string, LevelReading>  $readings  by compartment, those that are read after something was done to them
     */
    public function add(array $readings): void
    {
        $by = fn (LevelReading $reading): array => array_keys(array_filter(
            $readings,
            fn (LevelReading $one): bool => $one === $reading,
        ));
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
        $minutes = max(1, ...array_map(
            fn (Compartment $one): int => $one->runMinutes(),
            $compartments,
        ));
        $verb = $this->machine->engine === Engine::Electric ? 'Drive it' : 'Start it and let it idle';
        $byHand = $this->machine->tightened === Tightened::WhenLevelIsRight
            ? ' Plugs are seated by hand only: watch them, and stop when one weeps.'
            : '';
        $this->step(Phase::Run, 'run', StepAct::Run, $compartments, "{$verb} for {$minutes} min, {$this->machine->stopped()}.{$byHand}", $minutes, attended: false);
        $this->draft->onlyIf('run', $this->filled($keys));
        foreach ($compartments as $compartment) {
            $this->waitAndRead($compartment, 'run', $compartment->waitMinutes(), Phase::Settle);
        }
    }

    /** @param  list<string>  $keys */
    private function purge(array $keys): void
    {
        foreach ($keys as $key) {
            $compartment = $this->scope->compartments[$key];
            $isCoolant = $compartment->isCoolant();
            $step = "purge:{$key}";
            $this->step(
                $isCoolant ? Phase::Run : Phase::Purge,
                $step,
                StepAct::Purge,
                [$compartment],
                Purge::of($compartment)->says($compartment),
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
            $minutes = $compartment->filling->run ?? StepAct::Run->minutes();
            $step = "run:{$key}";
            $this->step(
                Phase::Settle,
                $step,
                StepAct::Run,
                [$compartment],
                "Start it and let it idle for {$minutes} min: {$compartment->name} is read idling, stopped it reads over full.",
                $minutes,
                attended: false,
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
            $this->step(Phase::Settle, "wait:{$compartment->key}", StepAct::Wait, [$compartment], "Wait {$minutes} min until {$compartment->name} has run down.", $minutes, attended: false);
            $this->draft->onlyIf("wait:{$compartment->key}", $filled);
        }
        $this->readAndTopUp($compartment, $filled, Phase::Settle);
    }

    private function waitAndRead(Compartment $compartment, string $run, int $minutes, Phase $phase): void
    {
        $key = $compartment->key;
        if ($minutes > 0) {
            $this->step($phase, "wait:{$key}", StepAct::Wait, [$compartment], $phase === Phase::Cool
                ? "Let {$compartment->name} cool for about {$minutes} min: it is read cold."
                : "Wait {$minutes} min: {$compartment->name} has not run down yet, and a reading before is none.", $minutes, attended: false);
            $this->draft->needs("wait:{$key}", $run);
        }
        $this->reopen($compartment, $phase, $minutes > 0 ? "wait:{$key}" : $run);
        $this->readAndTopUp($compartment, [$run], $phase);
        $this->draft->waits("read:{$key}", ["wait:{$key}", ...$this->reopened($compartment)]);
    }

    /**
     * What was shut for the run is opened once more for the reading.
     */
    private function reopen(Compartment $compartment, Phase $phase, string $after): void
    {
        foreach ($this->scope->levelPlugsOf($compartment) as $plug) {
            $this->draft->add($phase, new Step(
                "reopen:{$plug->key}",
                StepAct::Open,
                $plug->key,
                "Take {$plug->name} out once more: the level shows there.",
                StepAct::Open->minutes(),
            ));
            $this->draft->needs("reopen:{$plug->key}", $after);
            $this->draft->add($phase, new Step(
                "reshut:{$plug->key}",
                StepAct::Close,
                $plug->key,
                "Put {$plug->name} back and tighten it".($plug->torque === '' ? '.' : " to {$plug->torque}."),
                StepAct::Close->minutes(),
            ));
            $this->draft->onlyIf("reshut:{$plug->key}", "reopen:{$plug->key}");
        }
    }

    /** @return list<string> */
    private function reopened(Compartment $compartment): array
    {
        return array_map(
            fn (Opening $plug): string => "reopen:{$plug->key}",
            $this->scope->levelPlugsOf($compartment),
        );
    }

    /** @param  list<string>  $on */
    private function readAndTopUp(Compartment $compartment, array $on, Phase $phase): void
    {
        $key = $compartment->key;
        $this->read($compartment, $phase);
        $this->draft->needs("read:{$key}", $on);
        $this->draft->waits("read:{$key}", "wait:{$key}");
        $this->step($phase, "top_up:{$key}", StepAct::TopUp, [$compartment], "Top {$compartment->name} up to its mark by what the band takes, read again, and shut it.", StepAct::TopUp->minutes());
        $this->draft->needs("top_up:{$key}", "read:{$key}");
        foreach ($this->scope->openingsOf($compartment, ...OpeningRole::cases()) as $opening) {
            $this->draft->waits("reshut:{$opening->key}", ["read:{$key}", "top_up:{$key}"]);
            $this->tightenWhenRight($opening, $phase, ["read:{$key}", "top_up:{$key}"]);
        }
    }

    /**
     * What stayed loose for the reading is tightened when the level is right.
     *
     * @param  list<string>  $right
     */
    private function tightenWhenRight(Opening $opening, Phase $phase, array $right): void
    {
        if (in_array("torque:{$opening->key}", $this->draft->in($phase), true)) {
            $this->draft->waits("torque:{$opening->key}", $right);
        }
    }

    private function read(Compartment $compartment, Phase $phase): void
    {
        $how = $compartment->protocol?->inWords() ?? 'on level ground';
        $this->step($phase, "read:{$compartment->key}", StepAct::Read, [$compartment], "Read {$compartment->name} by its {$compartment->filling->method->word()}: {$how}.", StepAct::Read->minutes());
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
                ...isset($this->scope->changed[$key]) ? ["pour:{$key}"] : [],
                ...array_map(fn (Part $part): string => "fit:{$part->key}", $this->scope->partsIn($compartment)),
                ...array_map(
                    fn (Opening $opening): string => "close:{$opening->key}",
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

    /**
     * @param  list<Compartment>  $compartments
     * @param  list<Caution>  $cautions
     */
    private function step(
        Phase $phase,
        string $key,
        StepAct $act,
        array $compartments,
        string $says,
        int $minutes,
        bool $attended = true,
        array $cautions = [],
    ): void {
        $covers = array_column($compartments, 'key');
        $this->draft->add($phase, new Step(
            $key,
            $act,
            $covers[0],
            $says,
            $minutes,
            $attended,
            cautions: [...Cautions::atStep($act, $this->machine->class), ...$cautions],
            covers: $covers,
        ));
    }
}
