<?php

declare(strict_types=1);

namespace Core\Schedule;

/** What a rule says now. */
enum State: string
{
    case Unknown = 'unknown';
    case Fresh = 'fresh';
    case Nearing = 'nearing';
    case Due = 'due';
    case Past = 'past';

    /** More urgent states rank higher. */
    public function rank(): int
    {
        return match ($this) {
            self::Fresh => 0,
            self::Unknown => 1,
            self::Nearing => 2,
            self::Due => 3,
            self::Past => 4,
        };
    }

    public function isMoreUrgentThan(self $other): bool
    {
        return $this->rank() > $other->rank();
    }
}
