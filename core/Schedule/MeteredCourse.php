<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

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
     * @return DuePoint|null null where nothing further comes, or nothing is known
     */
    public function next(?BigDecimal $start, ?BigDecimal $done, BigDecimal $now, ?BigDecimal $skipped = null): ?DuePoint
    {
        $since = $done ?? $start;
        $counted = $done === null || ($skipped !== null && $skipped->isGreaterThan($done)) ? $skipped : $done;
        if ($since === null) {
            return null;
        }
        $interval = $this->every ?? $this->first[array_key_last($this->first) ?? 0];
        $early = $interval->multipliedBy($this->rule->early);
        $satisfied = $this->satisfied($start, $counted, $early);
        $at = $this->firstAfter($satisfied, $counted) ?? match (true) {
            $this->every === null => null,
            $this->rule->anchor === Anchor::FromDone => ($counted ?? $since)->plus($this->every),
            default => $this->multipleAfter($satisfied, $this->every),
        };

        return $at === null ? null : new DuePoint($this->limit, $since, $at, $now, $early, $interval->multipliedBy($this->rule->late));
    }

    /** A service satisfies every point up to the early window beyond it; a known beginning satisfies what lies before it. */
    private function satisfied(?BigDecimal $start, ?BigDecimal $done, BigDecimal $early): BigDecimal
    {
        return match (true) {
            $done === null => $start ?? BigDecimal::zero(),
            $start === null => $done->plus($early),
            default => BigDecimal::max($done->plus($early), $start),
        };
    }

    private function firstAfter(BigDecimal $satisfied, ?BigDecimal $done): ?BigDecimal
    {
        foreach ($this->first as $point) {
            if ($point->isGreaterThan($satisfied)) {
                $counted = $done !== null && $this->every !== null && $this->rule->anchor === Anchor::FromDone ? $done->plus($this->every) : $point;

                return BigDecimal::min($point, $counted);
            }
        }

        return null;
    }

    private function multipleAfter(BigDecimal $satisfied, BigDecimal $every): BigDecimal
    {
        $last = $this->first === [] ? $satisfied : BigDecimal::max($satisfied, $this->first[array_key_last($this->first)]);

        return $last->dividedBy($every, 0, RoundingMode::DOWN)->plus(1)->multipliedBy($every);
    }
}
