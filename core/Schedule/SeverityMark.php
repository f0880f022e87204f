<?php

declare(strict_types=1);

namespace Core\Schedule;

/** A machine lives under a severity, all year or in one part of it. */
final readonly class SeverityMark
{
    public function __construct(public Severity $severity, public ?YearWindow $season = null) {}

    public function isInForce(\DateTimeImmutable $today): bool
    {
        return $this->season === null || $this->season->holds($today);
    }
}
