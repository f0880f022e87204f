<?php

declare(strict_types=1);

namespace App\Rulebook;

/** A rule comes at other times than before, or at other spots. */
final readonly class RuleChanged
{
    public function __construct(public Rule $rule) {}
}
