<?php

declare(strict_types=1);

namespace Core\Chart;

use Brick\Math\BigDecimal;

/** One column of a chart: how many hours or kilometres, and what falls due there. */
final readonly class Column
{
    /** @param  non-empty-list<string>  $tasks */
    public function __construct(public BigDecimal $at, public array $tasks) {}
}
