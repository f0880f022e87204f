<?php

declare(strict_types=1);

namespace Core\Grease;

use Brick\Math\BigDecimal;
use Core\Machine\Point;

/** One time that a point got grease. */
final readonly class Greasing
{
    /**
     * @param  int|null  $strokes  null where nobody counted them: it got what the point takes
     * @param  bool  $signSeen  clean grease showed, or it resisted
     */
    public function __construct(
        public ?int $strokes,
        public \DateTimeImmutable $at,
        public Point $point,
        public bool $signSeen = false,
    ) {}

    public function hours(): ?BigDecimal
    {
        return $this->point->hours;
    }
}
