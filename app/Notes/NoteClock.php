<?php

declare(strict_types=1);

namespace App\Notes;

use App\Machines\Yard;
use Carbon\CarbonImmutable;

/**
 * When the notes of one sending were written, by our own clock. Device clocks run ahead or behind, are put right while
 * notes wait, or stand at 1970 after a
 * flat battery. No note is refused for that: our clock bounds it, and the order in which a device wrote.
 */
final readonly class NoteClock
{
    /** A clock is put right where it is off by more seconds than a request takes. */
    private const OFF = 60;

    /** No note waits longer on a device. */
    private const LONGEST_WAIT_DAYS = 366;

    private int $behind;

    /** @param  string|null  $sentAt  when the device says it sends; what comes without may have been put in any order */
    public function __construct(private ?string $sentAt)
    {
        $behind = $sentAt === null ? 0 : now()->getTimestamp() - (new \DateTimeImmutable($sentAt))->getTimestamp();
        $this->behind = abs($behind) > self::OFF ? $behind : 0;
    }

    /** When a note was told: a device that does not say when it sends is told by our clock. */
    public function toldAt(When $written): CarbonImmutable
    {
        return $this->sentAt === null ? CarbonImmutable::now() : $written->at;
    }

    /**
     * @param  list<string>  $written  by the device's clock, in the order of writing
     * @return list<When>
     */
    public function read(array $written, Yard $yard): array
    {
        $now = CarbonImmutable::now()->startOfSecond();
        $next = $now;
        $whens = [];
        foreach (array_reverse($written) as $at) {
            $told = CarbonImmutable::createFromTimestamp((new \DateTimeImmutable($at))->getTimestamp() + $this->behind);
            $impossible = $told > $now->addMinutes(5)
                || $told < $now->subDays(self::LONGEST_WAIT_DAYS)
                || ($this->sentAt !== null && $told > $next->addSeconds(self::OFF));
            $when = When::read(($impossible ? $next : $told)->format('Y-m-d\TH:i:sP'), $yard);
            $whens[] = $impossible
                ? $when->doubted(
                    'The device\'s clock was wrong, so this is told as of when '
                        .($next < $now ? 'the next was written.' : 'it was sent.'),
                )
                : $when;
            $next = $this->sentAt === null ? $now : $next->min($when->at);
        }

        return array_reverse($whens);
    }
}
