<?php

declare(strict_types=1);

namespace Core\Fluid\Level;

use Core\Machine\Subject;

/** What a level is read by, which decides what can be observed of it. */
enum LevelMethod: string
{
    case Stick = 'stick';
    case LevelPlug = 'level_plug';
    case SightGlass = 'sight_glass';
    case Line = 'line';

    /**
     * How a level is read where nobody has written it down: gear housings have a plug, others a stick. Common practice,
     * no source.
     */
    public static function usualAt(Subject $subject, bool $hasLevelOpening): self
    {
        return $hasLevelOpening && $subject === Subject::GearOil ? self::LevelPlug : self::Stick;
    }

    /** @return list<LevelMark> a plug only tells whether the fluid reaches its threads */
    public function marks(): array
    {
        return $this === self::LevelPlug ? [LevelMark::Full, LevelMark::Below] : LevelMark::cases();
    }

    /** Whether there is a scale on which a share between the marks can be read. */
    public function hasScale(): bool
    {
        return $this !== self::LevelPlug;
    }

    public function label(LevelMark $mark): string
    {
        return match (true) {
            $this === self::LevelPlug => $mark === LevelMark::Full
                ? 'at the threads, or just running'
                : 'below the threads',
            $this === self::Line && $mark === LevelMark::Full => 'at the line',
            default => $mark->label(),
        };
    }

    public function word(): string
    {
        return str_replace('_', ' ', $this->value);
    }
}
