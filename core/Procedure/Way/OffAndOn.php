<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Measure\Plain;
use Core\Procedure\Draft;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\ServicedMachine;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Workpiece;

/** Off, looked at, compared or cleaned, on, tight: one block, whatever the part is. */
abstract readonly class OffAndOn implements PartWay
{
    private const BY_FEEL = 'no torque is written down, so look it up; else snug plus an eighth of a turn, kept as by feel';

    public function __construct(protected Draft $draft, protected ServicedMachine $machine) {}

    final public function steps(Part $part, PartTask $task): Ports
    {
        $before = $this->before($part);
        $remove = $this->step(StepVerb::Remove, $part, $this->sentence($this->off($part).self::counting($part), $part), cautions: $this->cautions($part));
        $this->draft->needs($remove, [StepVerb::CleanRound->at(), ...$before]);
        $between = $this->between($part, $task, $remove);
        $fit = $this->step(StepVerb::Fit, $part, implode(', ', array_filter([
            $this->on($part, $task === PartTask::Renew),
            Plain::within($part->fitting->orientation),
            $part->fitting->seal === '' ? '' : $this->machine->schools->seal($part->fitting->seal),
            ...$this->seated($part, $task === PartTask::Renew),
        ])).'.');
        $this->draft->onlyIf($fit, $remove);
        $this->draft->needs($fit, $between);
        $this->draft->waits($fit, StepVerb::Prefill->at($part->key));
        $done = [$fit];
        if ($part->fitting->loose !== []) {
            $done[] = $count = $this->step(StepVerb::CountOn, $part, self::counted('Count again: all on, nothing left in the pan', $part), $part->fitting->loose);
            $this->draft->onlyIf($count, $fit);
        }
        $shut = $done;
        if ($this->isTightened($part)) {
            $done[] = $torque = $this->step(StepVerb::Torque, $part, $this->tight($part));
            $this->draft->onlyIf($torque, $fit);
            $this->draft->waits($torque, $done);
        }
        foreach ($this->after($part, $task) as [$verb, $says, $phase]) {
            $after = $this->step($verb, $part, $says, phase: $phase);
            $undone = match ($verb) {
                StepVerb::Couple => StepVerb::Undo->at($part->key),
                StepVerb::TurnOn => StepVerb::ShutOff->at($part->key),
                default => $fit,
            };
            $this->draft->onlyIf($after, $undone);
            if ($undone !== $fit) {
                $this->draft->pair($undone, $after);
            }
            $this->draft->waits($after, $done);
            $done = $phase === Phase::Reach ? [...$done, $after] : $done;
        }

        return new Ports([...$before, $remove], shut: $shut, done: $done);
    }

    abstract protected function off(Part $part): string;

    protected function looks(Part $part): string
    {
        return "Look at {$part->name} and where it sat: wear, dirt, what should not be there.";
    }

    protected function compares(): string
    {
        return 'size, fit, which way round';
    }

    protected function cleans(Part $part): string
    {
        return "Clean {$part->name}, and look it over.";
    }

    protected function on(Part $part, bool $isNew): string
    {
        return 'Fit '.($isNew ? 'the new ' : '').$part->name;
    }

    /** @return list<string> how it goes on */
    protected function seated(Part $part, bool $isNew): array
    {
        return [self::byHand($part)];
    }

    /** Whether bolts, a nut or a thread hold it. */
    protected function isTightened(Part $part): bool
    {
        return true;
    }

    protected function tight(Part $part): string
    {
        $torque = $part->fitting->torque();

        return "Tighten {$part->name}".($torque === '' ? ': '.self::BY_FEEL.'.' : " to {$torque}.");
    }

    /** Whether it is filled before it is fitted. */
    protected function isPrefilled(Part $part): bool
    {
        return false;
    }

    /** @return list<string> what is done before it comes off, in order */
    protected function before(Part $part): array
    {
        return [];
    }

    /** @return list<array{StepVerb, string}> what is done to what goes on, in order, before it does */
    protected function readies(Part $part, PartTask $task): array
    {
        return [];
    }

    /** @return list<array{StepVerb, string}> what is written on a new filter, before it is fitted */
    final protected function labelled(Part $part, PartTask $task): array
    {
        return $task === PartTask::Renew
            ? [[StepVerb::Label, "Write the date and the hours on {$part->name} with a marker, while it is dry."]]
            : [];
    }

    /** @return list<array{StepVerb, string, Phase}> what is done when it is on, in order */
    protected function after(Part $part, PartTask $task): array
    {
        return [];
    }

    /** @return list<Caution> what can hurt whoever takes it off */
    protected function cautions(Part $part): array
    {
        return [];
    }

    /**
     * @param  list<string>  $pieces
     * @param  list<Caution>  $cautions
     */
    final protected function step(
        StepVerb $verb,
        Part $part,
        string $says,
        array $pieces = [],
        array $cautions = [],
        Phase $phase = Phase::Reach,
    ): string {
        return $this->draft->step(
            new StepKey($verb, $part->key),
            $says,
            new Workpiece($part->key, pieces: $pieces),
            $phase,
            cautions: $cautions,
            block: $phase === Phase::Reach ? $part->key : '',
        );
    }

    final protected static function byHand(Part $part): string
    {
        $tight = Plain::within($part->fitting->inWords());

        return $tight === '' ? 'by hand first' : $tight;
    }

    final protected function sentence(string $says, Part $part): string
    {
        return implode('. ', array_filter([$says, rtrim($part->hint, '.')])).'.';
    }

    /** @return list<string> */
    private function between(Part $part, PartTask $task, string $remove): array
    {
        if ($task === PartTask::PutBack) {
            return [];
        }
        $between = [$this->step(StepVerb::Look, $part, $this->looks($part))];
        if ($part->fitting->loose !== []) {
            $between[] = $this->step(StepVerb::CountOff, $part, self::counted('Lay out and count what came off', $part), $part->fitting->loose);
        }
        $number = $part->number === '' ? '' : " ({$part->number})";
        $between[] = $task === PartTask::Renew
            ? $this->step(StepVerb::Compare, $part, "Hold the new {$part->name}{$number} beside the old: {$this->compares()}.")
            : $this->step(StepVerb::Clean, $part, $this->cleans($part));
        foreach ($between as $step) {
            $this->draft->needs($step, $remove);
        }
        foreach ($this->readies($part, $task) as [$verb, $says]) {
            $ready = $this->step($verb, $part, $says);
            $this->draft->needs($ready, $between);
            $between[] = $ready;
        }
        if ($task === PartTask::Renew && $this->isPrefilled($part)) {
            $prefill = $this->step(StepVerb::Prefill, $part, "Fill {$part->name} to about half, let the paper soak it up, and write down how much.");
            $this->draft->needs($prefill, StepVerb::Compare->at($part->key));
        }

        return $between;
    }

    private static function counting(Part $part): string
    {
        return $part->fitting->loose === [] ? '' : '; count what comes off: '.implode(', ', $part->fitting->loose);
    }

    private static function counted(string $what, Part $part): string
    {
        return "{$what}: ".implode(', ', $part->fitting->loose).'.';
    }
}
