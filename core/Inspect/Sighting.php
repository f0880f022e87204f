<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Machine\Verdict;

/** One look at one thing, and what it came to. */
final readonly class Sighting
{
    /**
     * @param  string  $id  orders sightings of the same instant
     * @param  Verdict  $verdict  fit where nothing is wrong, or no longer
     * @param  bool  $mended  whether it was put right by a job
     * @param  bool  $accepted  whether somebody said that it may stay as it is
     * @param  string  $occasion  the same for all who looked at it in one round
     */
    public function __construct(
        public string $id,
        public \DateTimeImmutable $at,
        public Verdict $verdict,
        public bool $mended = false,
        public bool $accepted = false,
        public string $occasion = '',
    ) {}
}
