<?php

declare(strict_types=1);

namespace Core\LogLine;

/** What a typed log line means: readings of one machine's meters, or what was gained since the last. */
final readonly class LogLine
{
    /**
     * @param  non-empty-list<LoggedValue>  $values  one for each meter
     * @param  \DateTimeImmutable|null  $day  null for now
     * @param  string  $dayWords  the day as it was written
     */
    public function __construct(
        public string $machineId,
        public array $values,
        public ?\DateTimeImmutable $day,
        public string $dayWords = '',
    ) {
    }
}
