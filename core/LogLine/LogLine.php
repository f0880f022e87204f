<?php

declare(strict_types=1);

namespace Core\LogLine;

use Brick\Math\BigDecimal;
use Core\Meter\MeterUnit;

/** What a typed log line means: a reading of one machine's meter, or what was gained since the last. */
final readonly class LogLine
{
    /**
     * @param  bool  $isGain  the value was written with a plus and adds to the last reading
     * @param  MeterUnit|null  $unit  null where none was written
     * @param  \DateTimeImmutable|null  $day  null for now
     */
    public function __construct(
        public string $machineId,
        public BigDecimal $value,
        public bool $isGain,
        public ?MeterUnit $unit,
        public ?\DateTimeImmutable $day,
    ) {
    }
}
