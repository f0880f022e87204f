<?php

declare(strict_types=1);

namespace Core\Fill;

use Core\Fluid\Level\LevelMethod;

/** What follows a pour. */
enum AfterPour: string
{
    case RunWaitRead = 'run_wait_read';
    case UntilItShows = 'until_it_shows';
    case Done = 'done';

    public static function afterFirst(LevelMethod $method): self
    {
        return $method->isToldByAHole() ? self::UntilItShows : self::RunWaitRead;
    }

    /** What is to be done then; empty where nothing is. */
    public function inWords(): string
    {
        return match ($this) {
            self::RunWaitRead => 'run it, wait, read',
            self::UntilItShows => 'go on slowly until it shows',
            self::Done => '',
        };
    }
}
