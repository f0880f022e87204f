<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What somebody told of a step, and when that was. */
final readonly class Telling
{
    public function __construct(public string $id, public string $step, public Did $did, public \DateTimeImmutable $at) {}
}
