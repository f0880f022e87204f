<?php

declare(strict_types=1);

namespace Core\Schedule;

/** On whose word a rule stands. */
final readonly class Provenance
{
    /** @param  Interval|null  $book  what the maker's book says, where the keeper's rule differs */
    public function __construct(public RuleSource $source = RuleSource::Keeper, public ?Interval $book = null) {}
}
