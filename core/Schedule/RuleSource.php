<?php

declare(strict_types=1);

namespace Core\Schedule;

/** Whose rule it is. */
enum RuleSource: string
{
    case Book = 'book';
    case Keeper = 'keeper';
}
