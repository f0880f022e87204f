<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Subject;
use Core\Supply\PartFitting;
use Core\Supply\PartKind;

/** A place where a part sits, as a service sees it. */
final readonly class Part
{
    /**
     * @param  string|null  $in  the compartment it belongs to
     * @param  string  $number  what to ask for
     */
    public function __construct(
        public string $key,
        public PartKind $kind,
        public string $name,
        public ?string $in = null,
        public PartFitting $fitting = new PartFitting,
        public string $number = '',
        public string $hint = '',
        public Subject $subject = Subject::Other,
    ) {}

    public function isFilter(): bool
    {
        return $this->kind === PartKind::Filter;
    }

    public function isSparkPlug(): bool
    {
        return $this->kind === PartKind::Plug && $this->subject === Subject::Ignition;
    }
}
