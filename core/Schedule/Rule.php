<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;

/** When a task is due: points at which it comes first, the interval at which it comes again, and how much early or late still counts. */
final readonly class Rule
{
    /** The share of the interval that is early or late without harm, where nobody says otherwise: common practice, no source. */
    public const USUAL_WINDOW = '0.10';

    public BigDecimal $early;

    public BigDecimal $late;

    /**
     * @param  list<Interval>  $first  points counted from the machine's beginning
     * @param  BigDecimal|null  $early  share of the interval before the point within which it may be done
     * @param  BigDecimal|null  $late  share of the interval after the point within which it is due and not yet past
     * @param  Interval|null  $book  what the maker's book says, where the keeper's rule differs
     *
     * @throws \InvalidArgumentException if the rule never falls due, or a window is not from nothing to the whole interval
     */
    public function __construct(
        public Interval $every,
        public array $first = [],
        public Anchor $anchor = Anchor::FromDone,
        ?BigDecimal $early = null,
        ?BigDecimal $late = null,
        public Source $source = Source::Keeper,
        public ?Interval $book = null,
    ) {
        $this->early = $early ?? BigDecimal::of(self::USUAL_WINDOW);
        $this->late = $late ?? BigDecimal::of(self::USUAL_WINDOW);
        foreach ([$this->early, $this->late] as $share) {
            if ($share->isNegative() || $share->isGreaterThan(1)) {
                throw new \InvalidArgumentException('A window is a share of the interval, from 0 to 1.');
            }
        }
        if ($every->isEmpty() && array_filter($first, fn (Interval $point): bool => ! $point->isEmpty()) === []) {
            throw new \InvalidArgumentException('A rule needs an interval or a first point.');
        }
    }

    public function uses(Limit $limit): bool
    {
        foreach ([$this->every, ...$this->first] as $interval) {
            if ($interval->gives($limit)) {
                return true;
            }
        }

        return false;
    }

    public function isLooserThanBook(): bool
    {
        return $this->book !== null && $this->source === Source::Keeper && $this->every->isLooserThan($this->book);
    }
}
