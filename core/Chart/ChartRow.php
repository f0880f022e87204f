<?php

declare(strict_types=1);

namespace Core\Chart;

use Brick\Math\BigDecimal;
use Core\Machine\TaskKind;
use Core\Meter\Limit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\YearWindow;

/** One task of a chart with the rule its marks amount to. */
final readonly class ChartRow
{
    /**
     * @param  list<Interval>  $first
     * @param  list<YearWindow>  $windows
     * @param  int|null  $line  where it stood in the table
     * @param  string|null  $condition  what must be found for it to fall due
     */
    public function __construct(
        public string $task,
        public TaskKind $kind,
        public array $first,
        public Interval $every,
        public Anchor $anchor = Anchor::FromDone,
        public array $windows = [],
        public ?int $line = null,
        public ?string $condition = null,
    ) {}

    public function called(string $task): self
    {
        return new self(
            $task,
            $this->kind,
            $this->first,
            $this->every,
            $this->anchor,
            $this->windows,
            $this->line,
            $this->condition,
        );
    }

    /** Whether a chart has a mark for it under a heading. */
    public function isMarkedUnder(Heading $heading): bool
    {
        $interval = $heading->interval ?? new Interval;

        return match ($heading->kind) {
            HeadingKind::First => array_filter($this->first, $interval->equals(...)) !== [],
            HeadingKind::Every => array_filter(
                Limit::cases(),
                fn (Limit $limit): bool => $interval->gives($limit)
                    && ! $this->every->only($limit)->equals($interval->only($limit)),
            ) === [],
            HeadingKind::At => $this->fallsOn($interval),
            HeadingKind::Condition => $this->condition !== null,
            HeadingKind::Season => in_array($heading->season, $this->windows),
            default => false,
        };
    }

    private function fallsOn(Interval $point): bool
    {
        $limit = $point->gives(Limit::Hours) ? Limit::Hours : Limit::Distance;
        [$at, $every] = [$point->length($limit), $this->every->length($limit)];
        $last = array_reduce(
            $this->first,
            fn (?BigDecimal $last, Interval $first): ?BigDecimal => $first->length($limit) ?? $last,
        );

        return $at !== null
            && $every !== null
            && $at->remainder($every)->isZero()
            && ($last === null || $at->isGreaterThan($last));
    }
}
