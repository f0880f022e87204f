<?php

declare(strict_types=1);

namespace Core\Chart;

/** What was given cannot be taken for a chart; the message says why in plain words. */
final class NotAChart extends \InvalidArgumentException
{
}
