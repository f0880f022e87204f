<?php

declare(strict_types=1);

namespace Core\Chart;

/** A row of a written chart: a task, and what stands under each heading. */
final readonly class WrittenRow
{
    /**
     * @param  int  $line  where it stands, counted from 1
     * @param  list<string>  $cells  one under each heading
     * @param  int  $surplus  fields that stand under no heading
     * @param  bool  $recurs  whether its only mark stands for an interval, whatever the chart has further on
     */
    public function __construct(
        public int $line,
        public string $task,
        public array $cells,
        public int $surplus = 0,
        public bool $recurs = false,
    ) {}
}
