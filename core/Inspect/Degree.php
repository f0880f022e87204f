<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Machine\Verdict;

/** One of the ways in which something is not fine, in words that tell them apart. */
final readonly class Degree
{
    public function __construct(public string $words, public Verdict $verdict) {}

    /** @return non-empty-list<self> where a check tells of none of its own */
    public static function usual(): array
    {
        return [
            new self('Not right, but it can wait', Verdict::Watch),
            new self('Must be seen to', Verdict::Act),
            new self('Not safe to use', Verdict::StandDown),
        ];
    }
}
