<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Measure\Quantity;

/** How much a compartment takes, as a book writes it. */
final readonly class Capacity
{
    /**
     * @param  Quantity  $most  of one figure the figure itself
     * @param  string  $written  as it stands in the book
     */
    public function __construct(
        public CapacityKind $kind,
        public Quantity $least,
        public Quantity $most,
        public string $written,
        public Book $book = Book::Machine,
    ) {}

    public function isRange(): bool
    {
        return $this->least->compareTo($this->most) !== 0;
    }

    /** The whole of what a book gives for each side; everything else is the whole already. */
    public function ofAllSides(int $sides): self
    {
        return $this->kind !== CapacityKind::PerSide || $sides < 2 ? $this : new self(
            CapacityKind::Refill,
            $this->least->times($sides),
            $this->most->times($sides),
            "{$sides} × {$this->written}",
            $this->book,
        );
    }

    /** In the other system, in small print beside what is written; empty where there is none. */
    public function other(): string
    {
        $unit = $this->most->unit->counterpart();
        if ($unit === null) {
            return '';
        }
        $most = $this->most->to($unit);

        return ($this->isRange() ? "{$this->least->to($unit)->rounded($unit->places())}–" : '')
            ."{$most->rounded($unit->places())} {$unit->symbol()}";
    }
}
