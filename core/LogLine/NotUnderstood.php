<?php

declare(strict_types=1);

namespace Core\LogLine;

/**
 * A log line that cannot be carried out as it stands. The message says what is missing; suggestions are whole lines
 * that would do.
 */
final class NotUnderstood extends \InvalidArgumentException
{
    /** @param  list<string>  $suggestions */
    public function __construct(string $message, public readonly array $suggestions = [])
    {
        parent::__construct($message);
    }
}
