<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Measure\Quantity;

/** What else a measurement is judged by: the day it was taken, and what the yard must stand. */
final readonly class Occasion
{
    public function __construct(public \DateTimeImmutable $day, public ?Quantity $coldestNight = null) {}
}
