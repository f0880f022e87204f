<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

/** What else counts beside the minutes. */
final readonly class Weights
{
    /** Minutes that a change of place counts for where nobody said: hands, tools and a lamp move along. Common practice, no source. */
    private const PLACE = 10;

    /** @param  int  $place  minutes that a change of place counts for while the place left still had something to do */
    public function __construct(public int $place = 0) {}

    public static function usual(): self
    {
        return new self(self::PLACE);
    }
}
