<?php

declare(strict_types=1);

namespace Core\LogLine;

/**
 * What a typed log line means: readings of one machine's meters, what was gained since the last, or fluid that went in
 * or
 * out.
 */
final readonly class LogLine
{
    /**
     * @param  list<LoggedValue>  $values  one for each meter; none where fluid is told of
     * @param  \DateTimeImmutable|null  $day  null for now
     * @param  string  $dayWords  the day as it was written
     */
    public function __construct(
        public string $machineId,
        public array $values,
        public ?\DateTimeImmutable $day,
        public string $dayWords = '',
        public ?LoggedPour $pour = null,
    ) {
    }
}
