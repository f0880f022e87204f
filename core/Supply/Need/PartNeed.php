<?php

declare(strict_types=1);

namespace Core\Supply\Need;

/** So many of a part or a seal. */
final readonly class PartNeed
{
    /**
     * @param  non-empty-list<string>  $makers  the maker's numbers that will do, the one to ask for first
     * @param  list<string>  $for  what it is for
     * @param  list<string>  $equivalents  that will do too
     * @param  int|null  $day  since 1970, on which it will be needed; null where that does not matter
     * @param  string  $again  where the old one was used the last time
     */
    public function __construct(
        public array $makers,
        public int $count,
        public array $for,
        public string $again = '',
        public array $equivalents = [],
        public ?int $day = null,
    ) {}
}
