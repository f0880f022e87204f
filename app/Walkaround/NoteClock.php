<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\When;
use App\Yard\Yard;
use Carbon\CarbonImmutable;

/** Device clocks run ahead or behind, are put right while notes wait, or stand at 1970 after a flat battery. No note is refused for that. */
final class NoteClock
{
    /** A clock is put right where it is off by more seconds than a request takes. */
    private const OFF = 60;

    /** No note waits longer on a device. */
    private const LONGEST_WAIT_DAYS = 366;

    /** @return int seconds by which a device's clock is behind ours, nought where it goes right */
    public static function behind(?string $sentAt): int
    {
        $behind = $sentAt === null ? 0 : (int) round(now()->getTimestamp() - (new \DateTimeImmutable($sentAt))->getTimestamp());

        return abs($behind) > self::OFF ? $behind : 0;
    }

    /** What such a clock wrote, by our own; what cannot have been then is told as of now, and says so. */
    public static function when(string $at, int $behind, Yard $yard): When
    {
        $now = CarbonImmutable::now();
        $told = CarbonImmutable::createFromTimestamp((new \DateTimeImmutable($at))->getTimestamp() + $behind);
        if ($told > $now->addMinutes(5) || $told < $now->subDays(self::LONGEST_WAIT_DAYS)) {
            return When::read(null, $yard)->doubted('The device\'s clock was wrong, so this is told as of when it was sent.');
        }

        return When::read($told->format('Y-m-d\TH:i:sP'), $yard);
    }
}
