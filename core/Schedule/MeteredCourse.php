<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Meter\Limit;

/** The points of a rule along hours or kilometres. */
final readonly class MeteredCourse
{
    /** @var list<BigDecimal> in rising order */
    private array $first;

    private ?BigDecimal $every;

    public function __construct(private Rule $rule, private Limit $limit)
    {
        $this->first = $rule->firstPoints($limit);
        $this->every = $rule->every->length($limit);
    }

    /**
     * @param  BigDecimal|null  $start  the machine's known beginning
     * @param  BigDecimal|null  $done  where it was last done
     * @param  BigDecimal|null  $skipped  the last point that was passed over on purpose
     * @param  BigDecimal|null  $met  the last first point that is met, in whichever dimension
     * @return DuePoint|null null where nothing further comes, or nothing is known
     */
    public function next(
        ?BigDecimal $start,
        ?BigDecimal $done,
        BigDecimal $now,
        ?BigDecimal $skipped = null,
        ?BigDecimal $met = null,
    ): ?DuePoint {
        $since = $done ?? $start;
        if ($since === null) {
            return null;
        }
        $counted = $done === null || ($skipped !== null && $skipped->isGreaterThan($done)) ? $skipped : $done;
        $start ??= BigDecimal::zero();
        $passed = $met?->isGreaterThan($start) === true ? $met : $start;
        $point = $this->point($passed, $counted, $since);
        if ($point === null) {
            return null;
        }
        [$at, $interval] = $point;

        $early = $interval->multipliedBy($this->rule->leeway->early);
        $late = $this->rule->leeway->late === $this->rule->leeway->early ? $early : $interval->multipliedBy($this->rule->leeway->late);

        return new DuePoint($this->limit, $since, $at, $now, $early, $late);
    }

    /** @return array{BigDecimal, BigDecimal}|null the point, and the interval whose shares its windows are */
    private function point(BigDecimal $passed, ?BigDecimal $counted, BigDecimal $since): ?array
    {
        $first = $this->firstAfter($passed);
        $recurring = match (true) {
            $this->every === null => null,
            $this->rule->anchor === Anchor::FromDone => $first !== null
                && $counted === null
                ? null
                : ($counted ?? $since)->plus($this->every),
            $first !== null => null,
            default => $this->multipleAfter(
                BigDecimal::max($passed, $counted?->plus($this->every->multipliedBy($this->rule->leeway->early)) ?? $passed),
                $this->every,
            ),
        };

        return match (true) {
            $first !== null && ($recurring === null || $first->isLessThanOrEqualTo($recurring)) => [$first, $first],
            $recurring !== null && $this->every !== null => [$recurring, $this->every],
            default => null,
        };
    }

    private function firstAfter(BigDecimal $passed): ?BigDecimal
    {
        foreach ($this->first as $point) {
            if ($point->isGreaterThan($passed)) {
                return $point;
            }
        }

        return null;
    }

    private function multipleAfter(BigDecimal $satisfied, BigDecimal $every): BigDecimal
    {
        return $satisfied->dividedBy($every, 0, RoundingMode::DOWN)->plus(1)->multipliedBy($every);
    }
}
