<?php

declare(strict_types=1);

namespace Core\Supply\Stock;

use Core\Measure\Day;
use Core\Measure\Plain;

/** Until when what is in a container may be used: by the day printed on it, or so long after it was opened. */
final readonly class ShelfLife
{
    private function __construct(public ?\DateTimeImmutable $until, public bool $isOver, public string $why) {}

    /**
     * @param  \DateTimeImmutable|null  $opened  the day, null where it is shut
     * @param  int|null  $months  how long it keeps once opened, null where that does not matter
     * @param  \DateTimeImmutable|null  $printed  the day on the container
     */
    public static function of(
        ?\DateTimeImmutable $opened,
        ?int $months,
        ?\DateTimeImmutable $printed,
        \DateTimeImmutable $today,
    ): self {
        $fromOpening = $opened === null || $months === null ? null : Day::addMonths($opened, $months);
        $until = $fromOpening === null || ($printed !== null && $printed < $fromOpening) ? $printed : $fromOpening;
        if ($until === null) {
            return new self(null, false, '');
        }
        $day = Plain::nearDay($until, $today);
        $because = $until === $fromOpening && $opened !== null
            ? 'opened '.Plain::nearDay($opened, $today).", keeps {$months} months"
            : 'as printed on it';

        return new self(
            $until,
            $until < $today,
            $until < $today ? "Past its time since {$day}: {$because}." : "Good until {$day}: {$because}.",
        );
    }
}
