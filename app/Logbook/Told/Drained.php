<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Contract\Refusal;
use App\Logbook\Acts\Act;
use App\Logbook\Fluids\GivenFluid;
use App\Logbook\Stock\MoveKind;
use App\Logbook\Stock\Supply;
use App\Machines\Machine;
use App\Machines\Spot;
use Core\Fluid\Condition;
use Core\Fluid\Seen;
use Core\Machine\ActKind;
use Core\Machine\CompartmentKind;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\TooMuch;
use Core\Measure\Unit;

/** Fluid ran out of a compartment, all of it or a sample, and what it looked like. */
final readonly class Drained extends Told
{
    /**
     * @param  ActKind  $kind  drained, or sampled
     * @param  Quantity|null  $amount  null where nobody measured it
     * @param  string|null  $typed  the same as it was written
     * @param  Supply|null  $fluid  what it was
     * @param  list<Seen>  $seen
     */
    public function __construct(
        Spot $spot,
        public ActKind $kind,
        public ?Quantity $amount = null,
        public ?string $typed = null,
        public ?Supply $fluid = null,
        public array $seen = [],
        public bool $firstService = false,
        Telling $telling = new Telling,
    ) {
        parent::__construct($spot, $telling);
    }

    /** @throws Refusal if there is no such fluid */
    public static function of(Spot $spot, ActKind $kind, GivenFluid $given, Telling $telling): self
    {
        return new self(
            $spot,
            $kind,
            $given->quantity(),
            $given->amount,
            $given->supplyNamed($telling->field('fluid')),
            $given->seen,
            $given->firstService,
            $telling,
        );
    }

    public function kind(): ActKind
    {
        return $this->kind;
    }

    public function ability(): string
    {
        return 'service';
    }

    public function columns(): array
    {
        $conditions = $this->conditions();

        return $conditions === [] ? [] : [
            'words' => ucfirst(implode(', ', array_map(fn (Seen $one): string => $one->label(), $this->seen))).': '
                .implode('; ', array_column($conditions, 'reading')).'.',
            'advice' => $conditions[0]->do,
            'typed' => ['seen' => array_column($this->seen, 'value')],
        ];
    }

    public function questions(Machine $machine, Holdings $holdings): array
    {
        $compartment = Poured::compartment($this->spot);
        $asks = $this->kind !== ActKind::Drained || $this->amount === null
            ? null
            : TooMuch::drained($this->amount, $compartment->name, $holdings->holds($compartment));

        return $asks === null ? [] : [Question::first($this->telling->field('amount'), $asks)];
    }

    public function brings(Machine $machine, Holdings $holdings): array
    {
        $worst = $this->conditions()[0] ?? null;

        return $worst === null || $worst->verdict === Verdict::Fit ? [] : [Looked::found(
            Poured::compartment($this->spot),
            $worst->verdict,
            $this->columns()['words'],
            $worst->do,
            $this->telling->following(),
        )];
    }

    public function hang(Act $act, Holdings $holdings): void
    {
        if ($this->amount === null && $this->fluid === null) {
            return;
        }
        $act->moved()->create([
            'entry_id' => $act->entry_id,
            'kind' => MoveKind::Drained,
            'from_spot_id' => Poured::compartment($this->spot)->id,
            'supply_id' => $this->fluid?->id,
            'fluid' => $this->fluid?->name,
            'amount' => $this->amount === null ? null : (string) $this->amount->to(Unit::Litre)->rounded(),
            'typed' => $this->amount === null ? null : mb_substr($this->typed ?? $this->amount->inWords(), 0, 40),
            'happened_at' => $act->happened_at,
        ]);
    }

    /** @return list<Condition> what it looked like says, the worst first */
    private function conditions(): array
    {
        return $this->seen === [] ? [] : Condition::of(
            Poured::compartment($this->spot)->compartment ?? CompartmentKind::Engine,
            $this->seen,
            $this->firstService,
        );
    }
}
