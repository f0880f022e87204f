<?php

declare(strict_types=1);

namespace Core\Chart;

/** What a column of a written chart stands for. */
enum HeadingKind
{
    /** A point on the way, marked by all that falls due there: `100 h`. */
    case At;
    /** An interval: `every 100 h`, `yearly`. */
    case Every;
    /** A first (break-in) service: `first 25 h`. */
    case First;
    /** A part of the year: `spring`. */
    case Season;
    /** What is done: replace, inspect and so on. */
    case Work;
    /** From where the next is counted. */
    case Counted;
    /** Only when somebody says so: `as required`. */
    case Condition;
    /** So often that it belongs to the round: `daily`. */
    case Walkaround;
    /** A number that can be read two ways. */
    case TwoWays;
    case Unknown;

    /** Whether a mark under it says when. */
    public function countsTime(): bool
    {
        return in_array($this, [self::At, self::Every, self::First, self::Season, self::Condition], true);
    }
}
