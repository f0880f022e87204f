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
     */
    public function __construct(
        public string $id,
        public \DateTimeImmutable $at,
        public Verdict $verdict,
        public bool $mended = false,
    ) {
    }
}
