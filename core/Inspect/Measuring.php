<?php

declare(strict_types=1);

namespace Core\Inspect;

/** What is measured, and against which limits. */
final readonly class Measuring
{
    /**
     * @param  Measurement|null  $by  null where it is only looked at
     * @param  array<string, string>  $limits  as typed
     * @param  string  $putBack  what measuring it undoes, and does up again
     */
    public function __construct(
        public ?Measurement $by = null,
        public array $limits = [],
        public LimitSource $source = LimitSource::CommonPractice,
        public string $putBack = '',
    ) {}
}
