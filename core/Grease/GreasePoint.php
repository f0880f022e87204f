<?php

declare(strict_types=1);

namespace Core\Grease;

use Brick\Math\BigDecimal;
use Core\Schedule\Interval;

/** A nipple: where it is, how one gets at it, and what it takes. */
final readonly class GreasePoint
{
    /**
     * @param  string  $reach  how one gets at it, and what has to come off
     * @param  int  $strokes  that it usually takes
     * @param  int|null  $most  strokes that it must never get at once, because a seal blows or a belt runs there
     * @param  array{int, int}  $spot  where it stands on the machine's plate, in hundredths of its width and height
     * @param  string|null  $job  the job in whose course it is reached, where it is not reached by itself
     */
    public function __construct(
        public string $name,
        public string $place,
        public int $strokes,
        public Interval $every,
        public array $spot,
        public EndSign $endSign = EndSign::Shows,
        public ?int $most = null,
        public string $reach = '',
        public ?string $job = null,
        public string $grease = 'NLGI 2, lithium complex',
    ) {
    }

    /** @param  list<GreaseTick>  $ticks */
    public function standing(array $ticks, ?BigDecimal $hoursNow, \DateTimeImmutable $today): PointStanding
    {
        return PointStanding::of($this, $ticks, $hoursNow, $today);
    }
}
