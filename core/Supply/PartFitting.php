<?php

declare(strict_types=1);

namespace Core\Supply;

use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;

/** How a part is fitted. */
final readonly class PartFitting
{
    /**
     * @param  string  $orientation  which way round it goes
     * @param  list<string>  $loose  pieces that come off with it and are counted
     * @param  string  $tight  how it is tightened
     * @param  string  $seal  what seals it, with its number; new each time
     * @param  list<string>  $uses  what the work uses up
     * @param  string  $hangs  `upright`, `sideways` or `inverted`, of a filter; empty where nobody said
     * @param  string  $drinks  how much fluid a new one takes up, as typed
     * @param  list<string>  $under  the keys of what lies over it and comes off first
     */
    public function __construct(
        public string $orientation = '',
        public array $loose = [],
        public string $tight = '',
        public string $seal = '',
        public array $uses = [],
        public string $hangs = '',
        public string $drinks = '',
        public array $under = [],
    ) {}

    /** @param  list<string>  $over  the keys of what lies over it */
    public function lyingUnder(array $over): self
    {
        return new self($this->orientation, $this->loose, $this->tight, $this->seal, $this->uses, $this->hangs, $this->drinks, $over);
    }

    /** How tight it is, where its book gives a torque and no words. */
    public function torque(): string
    {
        try {
            return Quantity::parse($this->tight)->unit->dimension() === Dimension::Torque ? $this->tight : '';
        } catch (Unreadable) {
            return '';
        }
    }

    /** How tight it is in words, where no torque says it. */
    public function inWords(): string
    {
        return $this->torque() === '' ? $this->tight : '';
    }

    /** Whether a filter hangs so that it can be filled before it is fitted. */
    public function isUpright(): bool
    {
        return $this->hangs === 'upright';
    }
}
