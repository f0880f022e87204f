<?php

declare(strict_types=1);

namespace Core\Supply\Need;

use Core\Measure\Day;
use Core\Measure\Plain;

/** By when something is ordered, so that it is here when it is needed. */
final readonly class OrderTime
{
    private function __construct(public ?\DateTimeImmutable $by, public bool $isNow, public string $why) {}

    /** @param  int|null  $deliveryDays  null where nobody knows */
    public static function of(\DateTimeImmutable $neededOn, ?int $deliveryDays, \DateTimeImmutable $today): self
    {
        $needed = $neededOn < $today ? $today : $neededOn;
        $for = 'Needed on '.Plain::nearDay($needed, $today);
        if ($deliveryDays === null) {
            return new self(null, $neededOn <= $today, "{$for}; nobody has written down how long it takes to come.");
        }
        $by = Day::of(Day::number($needed) - $deliveryDays);
        $takes = 'it takes '.Plain::count($deliveryDays, 'day').' to come';

        return new self($by, $by <= $today, match (true) {
            $by < $today => "{$for}, and {$takes}: it comes too late. Order it now, or put the job off.",
            default => "{$for}, and {$takes}: order it by ".Plain::nearDay($by, $today).'.',
        });
    }
}
