<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;

/**
 * When a task is due: points at which it comes first, the interval at which it comes again, and how much early or late
 * still counts.
 */
final readonly class Rule
{
    /**
     * @param  list<Interval>  $first  points counted from the machine's beginning
     * @param  list<YearWindow>  $windows  parts of the year in each of which it comes once
     * @param  string|null  $condition  what a check must say for it to fall due
     * @param  array<string, Tightening>  $tightenings  by the name of their limit: how the interval came to be shorter
     *     than the rulebook has it
     *
     * @throws NeverDue if the rule never falls due
     */
    public function __construct(
        public Interval $every,
        public array $first = [],
        public Anchor $anchor = Anchor::FromDone,
        public Leeway $leeway = new Leeway,
        public Provenance $from = new Provenance,
        public array $windows = [],
        public ?string $condition = null,
        public array $tightenings = [],
    ) {
        if (! $this->comesByItself() && $condition === null) {
            throw new NeverDue('A rule needs an interval, a first point, a part of the year or a condition.');
        }
    }

    /** Whether it falls due without a check that says so. */
    public function comesByItself(): bool
    {
        return ! $this->every->isEmpty()
            || $this->windows !== []
            || array_filter($this->first, fn (Interval $point): bool => ! $point->isEmpty()) !== [];
    }

    public function countedBy(Anchor $anchor): self
    {
        return new self(
            $this->every,
            $this->first,
            $anchor,
            $this->leeway,
            $this->from,
            $this->windows,
            $this->condition,
            $this->tightenings,
        );
    }

    /** @param  non-empty-array<string, Tightening>  $tightenings  by the name of their limit */
    public function tightened(array $tightenings): self
    {
        $along = fn (Limit $limit): Interval => ($tightenings[$limit->value] ?? null)->result
            ?? $this->every->only($limit);
        $every = new Interval($along(Limit::Hours)->hours, $along(Limit::Distance)->km, $along(Limit::Date)->months);

        return new self(
            $every,
            $this->first,
            $this->anchor,
            $this->leeway,
            $this->from,
            $this->windows,
            $this->condition,
            $tightenings,
        );
    }

    /** @return list<BigDecimal> the first points along hours or kilometres, rising */
    public function firstPoints(Limit $limit): array
    {
        if ($this->first === []) {
            return [];
        }
        $points = array_values(
            array_filter(array_map(fn (Interval $first): ?BigDecimal => $first->length($limit), $this->first)),
        );
        usort($points, fn (BigDecimal $one, BigDecimal $other): int => $one->compareTo($other));

        return $points;
    }

    /**
     * The first points that are met: reached, or nearly, in any of their dimensions by one of the services, or before
     * the machine's known beginning.
     *
     * @param  list<Point>  $services  and points passed over on purpose
     * @return list<Interval>
     */
    public function firstPointsMet(?Point $start, array $services): array
    {
        return $this->first === [] ? [] : array_values(
            array_filter(
                $this->first,
                fn (Interval $first): bool => array_filter(
                    Limit::cases(),
                    fn (Limit $limit): bool => $this->meets($first, $limit, $start, $services),
                ) !== [],
            ),
        );
    }

    /** @param  list<Point>  $services */
    private function meets(Interval $first, Limit $limit, ?Point $start, array $services): bool
    {
        $from = $limit === Limit::Date && $first->months !== null ? $start?->date : null;
        $at = $from === null
            ? $first->length($limit)
            : BigDecimal::of(Day::number(Day::addMonths($from, $first->months)));
        if ($at === null) {
            return false;
        }
        $early = $this->leeway->early->multipliedBy($from === null ? $at : $at->minus(Day::number($from)));
        foreach ($services as $service) {
            if ($service->along($limit)?->plus($early)->isGreaterThanOrEqualTo($at) === true) {
                return true;
            }
        }

        return $start?->along($limit)?->isGreaterThanOrEqualTo($at) === true;
    }

    /**
     * `every 100 h or 12 months, first at 25 h`, `in spring, 1 March to 15 April`, `when a check says so: water shows`
     *
     * @param  MeterUnit  $distance  the unit that distances are told in
     */
    public function inWords(MeterUnit $distance = MeterUnit::Kilometres): string
    {
        $parts = [
            $this->every->isEmpty() ? '' : 'every '.$this->every->inWords($distance),
            ...array_map(fn (YearWindow $window): string => $window->when(), $this->windows),
            ...array_map(
                fn (Interval $first): string => 'first at '.$first->inWords($distance),
                array_filter($this->first, fn (Interval $first): bool => ! $first->isEmpty()),
            ),
            $this->condition === null ? '' : "when a check says so: {$this->condition}",
        ];

        return implode(', ', array_filter($parts, fn (string $part): bool => $part !== ''));
    }

    public function uses(Limit $limit): bool
    {
        if ($limit === Limit::Date && $this->windows !== []) {
            return true;
        }
        foreach ([$this->every, ...$this->first] as $interval) {
            if ($interval->gives($limit)) {
                return true;
            }
        }

        return false;
    }

    public function isLooserThanBook(): bool
    {
        return $this->from->book !== null && $this->from->source === RuleSource::Keeper && $this->every->isLooserThan($this->from->book);
    }
}
