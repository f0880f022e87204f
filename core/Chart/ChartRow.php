<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\TaskKind;
use Core\Schedule\YearWindow;

/** One task of a chart with the rule its marks amount to. */
final readonly class ChartRow
{
    /**
     * @param  list<Interval>  $first
     * @param  list<YearWindow>  $windows
     * @param  int|null  $containedIn  the row, counted from nothing, that counts as this one too
     */
    public function __construct(
        public string $task,
        public TaskKind $kind,
        public array $first,
        public Interval $every,
        public Anchor $anchor = Anchor::FromDone,
        public array $windows = [],
        public ?int $containedIn = null,
    ) {
    }
}
