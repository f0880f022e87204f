<?php

declare(strict_types=1);

namespace Core\Chart;

/** What a written chart was understood to say. */
final readonly class ChartReading
{
    /**
     * @param  list<ChartRow>  $rows  those that nothing is open about
     * @param  list<ChartQuestion>  $questions  what must be answered before the rest can be read
     * @param  list<string>  $remarks  what was left out, or taken one way, and why
     * @param  list<Heading>  $headings  as they were understood
     */
    public function __construct(
        public array $rows,
        public array $questions,
        public array $remarks,
        public array $headings,
    ) {}
}
