<?php

declare(strict_types=1);

namespace Core\LogLine;

use Brick\Math\BigDecimal;
use Core\Meter\MeterUnit;

/** One value of a log line. */
final readonly class LoggedValue
{
    /**
     * @param  string  $typed  the number as it was written
     * @param  bool  $isGain  it was written with a plus and adds to the last reading
     * @param  MeterUnit|null  $unit  null where none was written
     */
    public function __construct(
        public BigDecimal $value,
        public string $typed,
        public bool $isGain,
        public ?MeterUnit $unit,
    ) {}
}
