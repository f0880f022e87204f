<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;

/** One thing that is to be done at one spot. */
final readonly class Work
{
    /** Into a pivot shaft that takes grease. Handbook section 9, common practice. */
    public const PIVOT_STROKES = 50;

    private const SAYS_PIVOT_SHAFT = 'About '.self::PIVOT_STROKES.' strokes, 75 where it was long neglected; too many blow its seal';

    /**
     * @param  string|null  $check  by which it is looked at or measured, in words
     * @param  list<string>  $undoes  what is undone for it, and done up again
     * @param  list<string>  $answers  the findings that it puts right, by their keys
     * @param  bool  $isThroughAPlug  whether grease goes in by an adapter in the place of a plug
     */
    public function __construct(
        public TaskKind $kind,
        public Compartment|Opening|Part|Place $at,
        public ?string $check = null,
        public array $undoes = [],
        public array $answers = [],
        public bool $isThroughAPlug = false,
    ) {}

    /** Whether the way of what it is done to does it, and no step of its own. */
    public function isDoneByItsWay(): bool
    {
        return match ($this->kind) {
            TaskKind::Replace => true,
            TaskKind::CheckLevel => $this->at instanceof Compartment,
            TaskKind::Clean => $this->at instanceof Part || $this->at instanceof Opening,
            default => false,
        };
    }

    /** The same as the machine's keeper does it: a pivot shaft that takes grease is greased, whatever its rule says of oil. */
    public function by(Schools $schools): self
    {
        $isGreased = $this->at instanceof Compartment
            && $this->at->kind === CompartmentKind::PivotShaft
            && in_array($this->kind, [TaskKind::Replace, TaskKind::CheckLevel], true)
            && $schools->way(School::PivotShaft) === 'grease';

        return $isGreased ? new self(
            TaskKind::Lubricate,
            new Place($this->at->key, $this->at->name, self::SAYS_PIVOT_SHAFT, Subject::Grease),
            undoes: [...$this->undoes, ...$this->at->sheet->out->putsBack],
            isThroughAPlug: true,
        ) : $this;
    }
}
