<?php

declare(strict_types=1);

namespace Core\Machine;

/** How somebody came to look at a spot. */
enum LookedBy: string
{
    /** By a check of the machine's sheet. */
    case Check = 'check';
    /** By the way: what was found there is a finding of its own. */
    case Chance = 'chance';
    /** With the grease gun: the nipple's own finding begins and ends with what goes in. */
    case Greasing = 'greasing';

    /**
     * The name by which what is found there is followed from one look to the next, until it is put right.
     *
     * @param  string  $of  a uuid of what was seen by chance, or the id of the nipple
     */
    public function key(string $of): string
    {
        return match ($this) {
            self::Check => $of,
            self::Chance => 'own-'.substr(str_replace('-', '', $of), 0, 32),
            self::Greasing => "nipple-{$of}",
        };
    }
}
