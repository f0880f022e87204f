<?php

declare(strict_types=1);

namespace Core\Schedule;

/** From where the next point is counted. Keepers differ; the first is the default. */
enum Anchor: string
{
    /** From the day it was done. */
    case FromDone = 'from_done';
    /** By the chart's own multiples, whatever the day it was done. */
    case Chart = 'chart';
}
