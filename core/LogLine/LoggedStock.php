<?php

declare(strict_types=1);

namespace Core\LogLine;

/** What a log line says came to the shelf: `+2 x 5 L 10W-30`. */
final readonly class LoggedStock
{
    /**
     * @param  string|null  $size  of one container, as it was written; null of a part
     * @param  string  $what  the words for the supply
     */
    public function __construct(public int $count, public ?string $size, public string $what)
    {
    }
}
