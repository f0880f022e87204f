<?php

declare(strict_types=1);

namespace Core\Machine;

use Core\Measure\Plain;

/** What a task is called after its spots, where nobody calls it otherwise: `Engine oil and filter`. */
final class TaskName
{
    private const LONGEST = 80;

    /** @param  list<Spot>  $spots */
    public static function of(array $spots): string
    {
        $names = [];
        foreach ($spots as $spot) {
            $first = $names[0] ?? '';
            $name = $first !== ''
                && str_starts_with(mb_strtolower($spot->name), mb_strtolower($first).' ')
                ? mb_substr($spot->name, mb_strlen($first) + 1)
                : $spot->name;
            $names[] = $names === [] ? $name : Plain::within($name);
        }
        $last = array_pop($names) ?? '';

        return mb_substr($names === [] ? $last : implode(', ', $names)." and {$last}", 0, self::LONGEST);
    }
}
