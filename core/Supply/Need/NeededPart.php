<?php

declare(strict_types=1);

namespace Core\Supply\Need;

/** A part or a seal that is needed, for all jobs together. */
final readonly class NeededPart
{
    /**
     * @param  string  $number  to ask for
     * @param  list<string>  $for
     * @param  int|null  $lackingOn  since 1970, the first day for which what is there does not do
     * @param  array<string, int>  $taken  from the shelf, by number
     */
    public function __construct(
        public string $number,
        public int $count,
        public int $have,
        public int $short,
        public array $for,
        public string $again,
        public array $taken,
        public ?int $lackingOn,
    ) {}
}
