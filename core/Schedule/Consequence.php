<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;

/** What follows from one way of counting: the next point, and what the fluid or part will have run by then. */
final readonly class Consequence
{
    private function __construct(
        public Anchor $anchor,
        public Standing $standing,
        private Interval $interval,
        private string $whose,
    ) {}

    /**
     * Both ways of counting side by side, the default first.
     *
     * @param  list<Point>  $done
     * @param  list<Point>  $skipped
     * @return list<self>
     */
    public static function ofBoth(Rule $rule, ?Point $start, array $done, Point $now, array $skipped = []): array
    {
        return array_map(
            fn (Anchor $anchor): self => new self(
                $anchor,
                StandingOf::rule($rule->countedBy($anchor), $start, $done, $now, $skipped),
                $rule->from->book ?? $rule->every,
                $rule->from->book !== null || $rule->from->source === RuleSource::Book ? 'book' : 'rule',
            ),
            Anchor::cases(),
        );
    }

    /** The hours that lie between the two services, or null where the rule does not count hours. */
    public function runsFor(): ?BigDecimal
    {
        return $this->standing->runsFor();
    }

    /** Hours beyond the book's interval, or the rule's where no book is on record; below nothing where it stays within. */
    public function overBook(): ?BigDecimal
    {
        return $this->interval->hours === null ? null : $this->runsFor()?->minus($this->interval->hours);
    }

    /** `Next at 800 h. It will then have run 440 h, 40 h over the book's 400 h.` */
    public function inWords(MeterUnit $distance = MeterUnit::Kilometres): string
    {
        $limiting = $this->standing->limiting;
        if ($limiting === null) {
            return StandingWords::why($this->standing, $distance);
        }
        $next = match ($limiting->limit) {
            Limit::Hours => 'at '.Plain::number($limiting->at).' h',
            Limit::Distance => 'at '.Plain::number($distance->fromReckoned($limiting->at)).' '.$distance->value,
            Limit::Date => 'on '.Plain::day(Day::of($limiting->at->toInt())),
        };
        $runs = $this->runsFor();
        $over = $this->overBook();
        $hours = $this->standing->points[Limit::Hours->value] ?? null;
        if ($runs === null || $over === null || $hours === null) {
            return "Next {$next}.";
        }
        $then = 'It will then have run';
        if ($limiting !== $hours) {
            $next .= ', or at '.Plain::number($hours->at).' h if that comes first';
            $then = 'By those hours it will have run';
        }
        $against = match ($over->getSign()) {
            0 => "just the {$this->whose}'s interval",
            1 => Plain::number($over)." h over the {$this->whose}'s ".Plain::number($runs->minus($over)).' h',
            default => Plain::number($over->abs())." h short of the {$this->whose}'s ".Plain::number($runs->minus($over)).' h',
        };

        return "Next {$next}. {$then} ".Plain::number($runs)." h, {$against}.";
    }
}
