<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Subject;
use Core\Measure\Quantity;
use Core\Supply\PartKind;

/** A place where a part sits, as a service sees it. */
final readonly class Part
{
    /**
     * @param  string|null  $in  the compartment it belongs to
     * @param  bool  $upright  whether a filter hangs so that it can be filled before it is fitted
     * @param  bool  $drinks  whether it takes up fluid when it is new, which the level shows only after a run
     * @param  Quantity|null  $drunk  how much
     * @param  list<string>  $loose  pieces that come off with it and are counted
     * @param  string  $seal  new each time
     * @param  string  $torque  as the book writes it
     * @param  string  $tight  how else it is tightened
     * @param  string  $number  what to ask for
     * @param  string  $orientation  which way round
     */
    public function __construct(
        public string $key,
        public PartKind $kind,
        public string $name,
        public ?string $in = null,
        public bool $upright = false,
        public bool $drinks = false,
        public ?Quantity $drunk = null,
        public array $loose = [],
        public string $seal = '',
        public string $torque = '',
        public string $tight = '',
        public string $number = '',
        public string $orientation = '',
        public string $hint = '',
        public Subject $subject = Subject::Other,
    ) {
    }

    public function isFilter(): bool
    {
        return $this->kind === PartKind::Filter;
    }

    public function isSparkPlug(): bool
    {
        return $this->kind === PartKind::Plug && $this->subject === Subject::Ignition;
    }
}
