<?php

declare(strict_types=1);

namespace Core\Fluid\Level;

/** What a level is read by, which decides what can be observed of it. */
enum LevelMethod: string
{
    case Stick = 'stick';
    case LevelPlug = 'level_plug';
    /** At the filler itself. */
    case Threads = 'to_the_threads';
    case SightGlass = 'sight_glass';
    case Line = 'line';
    case Ticks = 'ticks';
    case Gauge = 'gauge';
    /** Of a battery: the plates are covered, up to the ring. */
    case Cells = 'cells';
    /** Nothing is read: what its book says is poured whole. */
    case Measure = 'by_measure';

    private const TOLD_BY_A_HOLE = [self::LevelPlug, self::Threads];

    /** @return list<self> those by which somebody sees where it stands */
    public static function read(): array
    {
        return array_values(array_filter(self::cases(), fn (self $method): bool => $method !== self::Measure));
    }

    /** @return list<LevelMark> a hole only tells whether the fluid reaches its threads */
    public function marks(): array
    {
        return match ($this) {
            self::LevelPlug, self::Threads, self::Cells => [LevelMark::Full, LevelMark::Below],
            self::Measure => [],
            default => LevelMark::cases(),
        };
    }

    /** Whether there is a scale on which a share between the marks can be read. */
    public function hasScale(): bool
    {
        return ! in_array($this, [...self::TOLD_BY_A_HOLE, self::Cells, self::Measure], true);
    }

    /** Whether it is full when it shows at an open hole. */
    public function isToldByAHole(): bool
    {
        return in_array($this, self::TOLD_BY_A_HOLE, true);
    }

    public function label(LevelMark $mark): string
    {
        return match (true) {
            $this->isToldByAHole() => $mark === LevelMark::Full
                ? 'at the threads, or just running'
                : 'below the threads',
            $this === self::Cells => $mark === LevelMark::Full ? 'plates covered, up to the ring' : 'below the ring',
            $this === self::Line && $mark === LevelMark::Full => 'at the line',
            $this === self::SightGlass && $mark === LevelMark::Full => 'at the middle of the glass',
            default => $mark->label(),
        };
    }

    public function word(): string
    {
        return match ($this) {
            self::Threads => 'filler, to its threads',
            self::Ticks => 'tick marks',
            self::Measure => 'measure',
            default => str_replace('_', ' ', $this->value),
        };
    }
}
