<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Measure\Day;
use Core\Meter\Limit;

/**
 * The points of a rule that comes in certain parts of the year. Each window of each year is one point: due from its
 * first day, past after its last.
 */
final readonly class SeasonCourse
{
    public function __construct(private Rule $rule) {}

    /**
     * @param  \DateTimeImmutable|null  $start  the machine's known beginning
     * @param  \DateTimeImmutable|null  $done  the day it was last done
     * @param  \DateTimeImmutable|null  $skipped  the day of the last point passed over
     * @return DuePoint|null null where the rule has no window, or nothing is known
     */
    public function next(
        ?\DateTimeImmutable $start,
        ?\DateTimeImmutable $done,
        \DateTimeImmutable $today,
        ?\DateTimeImmutable $skipped = null,
    ): ?DuePoint {
        $since = $done ?? $start;
        if ($since === null || $this->rule->windows === []) {
            return null;
        }
        $begun = Day::number($since);
        $counted = max($begun, $skipped === null ? $begun : Day::number($skipped));
        $previous = null;
        foreach ($this->windowsFrom((int) $since->format('Y') - 1) as [$opening, $closing, $window]) {
            $early = $this->rule->leeway->early->multipliedBy($opening - ($previous ?? $opening - 365));
            $previous = $opening;
            $lead = $done === null && $skipped === null ? BigDecimal::zero() : $early;
            if ($lead->plus($counted)->isLessThan($opening)) {
                return new DuePoint(
                    Limit::Date,
                    BigDecimal::of($begun),
                    BigDecimal::of($opening),
                    BigDecimal::of(Day::number($today)),
                    $early,
                    BigDecimal::of($closing - $opening),
                    $window,
                );
            }
        }

        throw new \LogicException('Every window opens again.');
    }

    /** @return iterable<array{int, int, YearWindow}> opening and closing, in the order of opening */
    private function windowsFrom(int $year): iterable
    {
        for (; ; $year++) {
            $openings = array_map(
                fn (YearWindow $window): array => [$window->opening($year), $window->closing($year), $window],
                $this->rule->windows,
            );
            usort($openings, fn (array $one, array $other): int => $one[0] <=> $other[0]);
            yield from $openings;
        }
    }
}
