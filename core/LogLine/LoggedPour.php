<?php

declare(strict_types=1);

namespace Core\LogLine;

use Core\Measure\Quantity;

/** What a log line says went into a compartment, or out of it. */
final readonly class LoggedPour
{
    /**
     * @param  string  $typed  the amount as it was written
     * @param  string  $where  the words for the compartment
     */
    public function __construct(
        public Quantity $amount,
        public string $typed,
        public bool $isOut,
        public string $where,
    ) {}
}
