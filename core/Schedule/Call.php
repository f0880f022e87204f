<?php

declare(strict_types=1);

namespace Core\Schedule;

/** A check that said a task must be done now, whatever the hours. */
final readonly class Call
{
    public function __construct(public \DateTimeImmutable $on, public string $because) {}
}
