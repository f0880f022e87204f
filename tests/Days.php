<?php

declare(strict_types=1);

namespace Tests;

/** Days of four years on which something in a calendar is as it seldom is. */
final class Days
{
    /** @return array<string, string> the moment, by what is particular about its day */
    public static function all(): array
    {
        return [
            'leap day' => '2024-02-29T10:00:00Z',
            'clocks go forward' => '2024-03-31T00:30:00Z',
            'New Year\'s Eve in a week of the next year' => '2024-12-31T22:00:00Z',
            'a day without a leap day' => '2025-02-28T10:00:00Z',
            'a 31st before a month of 30 days' => '2025-05-31T09:00:00Z',
            'clocks go back on a 26th' => '2025-10-26T01:30:00Z',
            'a minute past midnight' => '2026-09-01T23:01:00Z',
            'the day it failed' => '2026-11-25T10:00:00Z',
            'a 53rd week' => '2026-12-31T12:00:00Z',
        ];
    }
}
