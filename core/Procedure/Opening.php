<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Sheet\OpeningSheet;
use Core\Machine\Closure;
use Core\Machine\OpeningRole;
use Core\Machine\Subject;

/** One hole of a compartment, by what it asks of whoever opens it. */
final readonly class Opening
{
    private const THREADED = [OpeningRole::Drain, OpeningRole::Strainer, OpeningRole::FilterCover, OpeningRole::Vent];

    /**
     * @param  non-empty-list<OpeningRole>  $roles  all that this one hole is: a filler can be the level plug
     * @param  string  $hint  where it is, what has to come off first, the trick that works
     */
    public function __construct(
        public string $key,
        public array $roles,
        public string $name,
        public OpeningSheet $sheet = new OpeningSheet,
        public string $hint = '',
        public Subject $subject = Subject::Other,
        public ?Closure $closure = null,
    ) {}

    public function has(OpeningRole ...$roles): bool
    {
        return array_uintersect($this->roles, $roles, fn (OpeningRole $one, OpeningRole $other): int => strcmp($one->value, $other->value)) !== [];
    }

    /** The same as one of a compartment whose level is read in such a way. */
    public function in(?LevelMethod $method): self
    {
        $isAPlug = ($method === LevelMethod::LevelPlug && $this->has(OpeningRole::Level))
            // What is full when it runs at a hole is filled through another such hole.
            || ($method?->isToldByAHole() === true && $this->has(OpeningRole::Fill));
        $isDoneUp = $this->sheet->torque !== '' || $this->sheet->tool !== '' || $this->has(...self::THREADED);

        return new self(
            $this->key,
            $this->roles,
            $this->name,
            $this->sheet,
            $this->hint,
            $this->subject,
            $this->sheet->hole->closure ?? ($isAPlug || $isDoneUp ? Closure::Thread : Closure::Cap),
        );
    }

    /** Whether it is done up with a wrench, and not a cap or a stick that a hand shuts. */
    public function isThreaded(): bool
    {
        return $this->closure === Closure::Thread;
    }

    public function isTap(): bool
    {
        return $this->closure === Closure::Tap;
    }

    /** Whether there is a hole to open at all: a glass or a line is looked at through the wall. */
    public function isAHole(?LevelMethod $method): bool
    {
        return $this->roles !== [OpeningRole::Level]
            || in_array($method, [LevelMethod::Stick, LevelMethod::LevelPlug, LevelMethod::Threads, LevelMethod::Ticks, null], true);
    }
}
