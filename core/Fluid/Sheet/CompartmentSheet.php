<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Fluid\Cooling;
use Core\Fluid\Housing;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Specification;
use Core\Machine\CompartmentKind;

/** What is written down of a compartment: how much, of what, and how it is emptied. */
final readonly class CompartmentSheet
{
    /**
     * @param  list<Capacity>  $capacities
     * @param  array<string, Specification>  $specifications  by {@see Book}'s value
     * @param  string|null  $sharesWith  the compartment whose fluid this one shares
     * @param  LevelMethod|null  $readBy  null where nobody said
     */
    public function __construct(
        public array $capacities = [],
        public array $specifications = [],
        public WayOut $out = new WayOut,
        public ?bool $yellowMetals = null,
        public ?Cooling $cooling = null,
        public ?string $sharesWith = null,
        public ServiceWay $service = new ServiceWay,
        public ?LevelMethod $readBy = null,
    ) {}

    public function emptiedBy(DrainWay $way): self
    {
        $out = new WayOut($way, $this->out->valve, $this->out->putsBack, $this->out->through);

        return new self(
            $this->capacities,
            $this->specifications,
            $out,
            $this->yellowMetals,
            $this->cooling,
            $this->sharesWith,
            $this->service,
            $this->readBy,
        );
    }

    /** The specification that judges: the machine's own book first. */
    public function specification(): Specification
    {
        return $this->specifications[Book::Machine->value]
            ?? $this->specifications[Book::Component->value]
            ?? new Specification;
    }

    public function housing(CompartmentKind $kind): Housing
    {
        return new Housing($kind, $this->specification(), $this->cooling, $this->yellowMetals);
    }

    /** The capacity of the first of some kinds that is known, the machine's own book first. */
    public function capacity(CapacityKind ...$kinds): ?Capacity
    {
        foreach ($kinds as $kind) {
            foreach (Book::cases() as $book) {
                foreach ($this->capacities as $capacity) {
                    if ($capacity->kind === $kind && $capacity->book === $book) {
                        return $capacity;
                    }
                }
            }
        }

        return null;
    }

    /**
     * What goes in at a change.
     *
     * @param  int  $drains  how many it has: what the book gives for each side is poured for every one of them
     */
    public function atAChange(bool $withFilter, int $drains = 1): ?Capacity
    {
        $capacity = $withFilter
            ? $this->capacity(
                CapacityKind::WithFilter,
                CapacityKind::Refill,
                CapacityKind::WithoutFilter,
                CapacityKind::PerSide,
                CapacityKind::Dry,
            )
            : $this->capacity(
                CapacityKind::WithoutFilter,
                CapacityKind::Refill,
                CapacityKind::PerSide,
                CapacityKind::WithFilter,
                CapacityKind::Dry,
            );

        return $capacity?->ofAllSides($drains);
    }

    /**
     * The most it can hold by any figure.
     *
     * @param  int  $drains  as in {@see atAChange()}
     */
    public function most(int $drains = 1): ?Capacity
    {
        $most = null;
        foreach ($this->capacities as $capacity) {
            $whole = $capacity->ofAllSides($drains);
            $most = $most === null || $whole->most->compareTo($most->most) > 0 ? $whole : $most;
        }

        return $most;
    }
}
