<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Contract\Refusal;
use App\Logbook\Acts\Act;
use App\Logbook\Fluids\GivenFluid;
use App\Logbook\Fluids\Source;
use App\Logbook\Stock\Container;
use App\Logbook\Stock\MoveKind;
use App\Machines\Machine;
use App\Machines\Spot;
use Core\Inspect\Check;
use Core\Machine\ActKind;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\TooMuch;
use Core\Measure\Unit;

/** Fluid went into a compartment: it was topped up, filled, or changed. */
final readonly class Poured extends Told
{
    /**
     * @param  ActKind  $kind  topped up, filled or changed
     * @param  Quantity|null  $amount  null where nobody measured it
     * @param  string|null  $typed  the same as it was written
     * @param  Source  $source  out of which container, as it was said until that is settled
     * @param  list<array{level: int, poured_ml: int, ran: bool}>  $marks  where the stick stood, with what was poured between
     */
    public function __construct(
        Spot $spot,
        public ActKind $kind,
        public ?Quantity $amount,
        public ?string $typed,
        public Source $source,
        public array $marks = [],
        public string $check = '',
        Telling $telling = new Telling,
    ) {
        parent::__construct($spot, $telling);
    }

    /** @throws Refusal if there is no such fluid or container */
    public static function of(Spot $spot, ActKind $kind, GivenFluid $given, Telling $telling): self
    {
        return new self(
            $spot,
            $kind,
            $given->quantity(),
            $given->amount,
            Source::told($given->supplyNamed($telling->field('fluid')), $given->containerNamed($telling->field('container'))),
            telling: $telling,
        );
    }

    /**
     * What was poured in as a level was read.
     *
     * @param  string|null  $with  the reading
     */
    public static function asLevelWasRead(Spot $spot, Check $check, string $amount, ?string $with = null): self
    {
        return new self(
            $spot,
            ActKind::ToppedUp,
            Quantity::parse($amount, Unit::Litre),
            $amount,
            Source::told(),
            check: $check->key,
            telling: new Telling($check->title, with: $with, field: 'values.topped_up'),
        );
    }

    public function kind(): ActKind
    {
        return $this->kind;
    }

    public function ability(): string
    {
        return $this->kind === ActKind::ToppedUp ? 'log' : 'service';
    }

    public function check(): string
    {
        return $this->check;
    }

    public function columns(): array
    {
        return ['check_key' => $this->check, 'typed' => $this->marks === [] ? null : ['marks' => $this->marks]];
    }

    public function settled(Machine $machine, Holdings $holdings): static
    {
        return $this->amount === null ? $this : new self(
            $this->spot,
            $this->kind,
            $this->amount,
            $this->typed,
            $holdings->source($machine, self::compartment($this->spot), $this->source),
            $this->marks,
            $this->check,
            $this->telling,
        );
    }

    public function questions(Machine $machine, Holdings $holdings): array
    {
        $compartment = self::compartment($this->spot);
        $wrong = $this->wrong($machine, $holdings);
        $questions = $wrong === null ? [] : [Question::first(
            $this->telling->field('fluid'),
            "{$this->source->fluid?->name} will not do for {$compartment->name}. {$wrong}",
            'Take another bottle. If it is in already, say so: it is written down, and found wrong.',
        )];
        if ($this->amount === null) {
            return $questions;
        }
        $container = $this->source->container;
        $earlier = $this->kind === ActKind::ToppedUp ? $holdings->toppedUpBefore($compartment) : [];
        $asks = TooMuch::poured($this->amount, $compartment->name, $holdings->holds($compartment), $earlier)
            ?? ($container === null
                ? null
                : TooMuch::drawn($this->amount, $holdings->left($container), "{$container->size} {$this->source->fluid?->name}"));
        $doubt = $this->source->doubt();

        return [
            ...$questions,
            ...$asks === null ? [] : [Question::first($this->telling->field('amount'), $asks)],
            ...$doubt === null ? [] : [Question::afterwards($doubt)],
        ];
    }

    public function brings(Machine $machine, Holdings $holdings): array
    {
        $wrong = $this->wrong($machine, $holdings);

        return $wrong === null ? [] : [Looked::found(
            self::compartment($this->spot),
            Verdict::Act,
            "{$this->source->fluid?->name} was poured. {$wrong}",
            'Drain it and fill what belongs there, before it is run long.',
            $this->telling->following(),
        )];
    }

    public function hang(Act $act, Holdings $holdings): void
    {
        if ($this->amount === null && $this->source->fluid === null) {
            return;
        }
        $act->moved()->create([
            'entry_id' => $act->entry_id,
            'kind' => MoveKind::Poured,
            'from_container_id' => $this->source->container?->id,
            'to_spot_id' => self::compartment($this->spot)->id,
            'supply_id' => $this->source->fluid?->id,
            'fluid' => $this->source->fluid?->name,
            'amount' => $this->amount?->to(Unit::Litre)->rounded()->__toString(),
            'typed' => $this->typed === null ? null : mb_substr($this->typed, 0, 40),
            'happened_at' => $act->happened_at,
        ]);
    }

    private function wrong(Machine $machine, Holdings $holdings): ?string
    {
        return $this->source->fluid === null ? null : $holdings->wrong($this->source->fluid, $machine, self::compartment($this->spot));
    }

    /** The one that holds the fluid. */
    public static function compartment(Spot $spot): Spot
    {
        $named = $spot->compartment === null ? $spot->parent ?? $spot : $spot;

        return $named->holder ?? $named;
    }
}
