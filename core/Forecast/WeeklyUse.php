<?php

declare(strict_types=1);

namespace Core\Forecast;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Meter\Reading;

/** How much a machine has lately been run in a week: a plain average, which says nothing of the season. */
final readonly class WeeklyUse
{
    /** Weeks looked back on: long enough for a fortnightly run, short enough to follow the season (common practice, no source). */
    public const WEEKS = 8;

    private function __construct(public BigDecimal $perWeek)
    {
    }

    /**
     * @param  Reading|null  $earlier  the last reading before the weeks looked back on, or the first within them
     * @param  Reading|null  $latest  the newest reading
     */
    public static function between(?Reading $earlier, ?Reading $latest, \DateTimeImmutable $now): self
    {
        if ($earlier === null || $latest === null || $earlier->at >= $now) {
            return new self(BigDecimal::zero());
        }
        $days = max(7, (int) round(($now->getTimestamp() - $earlier->at->getTimestamp()) / 86400));
        $gained = BigDecimal::max(0, $latest->value->minus($earlier->value));

        return new self($gained->multipliedBy(7)->dividedBy($days, 2, RoundingMode::HALF_UP));
    }

    /** The calendar itself, for a machine without a meter: seven days a week. */
    public static function daily(): self
    {
        return new self(BigDecimal::of(7));
    }

    public function isIdle(): bool
    {
        return $this->perWeek->isLessThan('0.05');
    }

    /** Days until so much more has been run, or null for an idle machine, which would never get there. */
    public function daysUntil(BigDecimal $remaining): ?int
    {
        if ($this->isIdle()) {
            return null;
        }

        return $remaining->multipliedBy(7)->dividedBy($this->perWeek, 0, RoundingMode::FLOOR)->toInt();
    }

    /** What is run in so many days. */
    public function in(int $days): BigDecimal
    {
        return $this->perWeek->multipliedBy($days)->dividedBy(7, 2, RoundingMode::HALF_UP);
    }
}
