<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Machine\Verdict;

/** What was measured, held against its limit. */
final readonly class Judged
{
    /**
     * @param  Verdict|null  $verdict  null where the reading tells nothing, and why says what to wait for
     * @param  string  $why  one plain sentence with its numbers
     * @param  string  $do  what to do about it, empty where nothing is to be done
     * @param  array<string, mixed>  $fields  what was computed, by the names of the calculators' contract
     * @param  non-empty-list<string>  $sources
     * @param  WearMeasure|null  $worn  what is followed against hours
     */
    public function __construct(
        public ?Verdict $verdict,
        public string $why,
        public string $do = '',
        public array $fields = [],
        public array $sources = ['common practice'],
        public ?WearMeasure $worn = null,
    ) {}

    /** Whether it counts as a reading at all. */
    public function isUsable(): bool
    {
        return $this->verdict !== null;
    }
}
