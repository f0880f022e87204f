<?php

declare(strict_types=1);

namespace Core\LogLine;

/**
 * What a typed log line means: readings of one machine's meters, what was gained since the last, fluid that went in or
 * out, something that was done at a place; or what came to the shelf.
 */
final readonly class LogLine
{
    /**
     * @param  string|null  $machineId  null of the shelf
     * @param  list<LoggedValue>  $values  one for each meter; none where something else is told of
     * @param  \DateTimeImmutable|null  $day  null for now
     * @param  string  $dayWords  the day as it was written
     */
    public function __construct(
        public ?string $machineId,
        public array $values,
        public ?\DateTimeImmutable $day,
        public string $dayWords = '',
        public ?LoggedPour $pour = null,
        public ?LoggedWork $work = null,
        public ?LoggedStock $stock = null,
    ) {}
}
