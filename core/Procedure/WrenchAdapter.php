<?php

declare(strict_types=1);

namespace Core\Procedure;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/** A crow-foot or extension between wrench and fastener, which lengthens the arm. */
final readonly class WrenchAdapter
{
    /** Decimals to which the cosine of an angle is taken. */
    private const COSINE_PLACES = 12;

    /**
     * @param  Quantity  $wrenchLength  from the middle of the grip to the square, above nothing
     * @param  Quantity  $extension  from the square to the fastener
     * @param  int  $angle  degrees off the wrench's line, 0 to 180
     */
    public function __construct(public Quantity $wrenchLength, public Quantity $extension, public int $angle) {}

    /** L / (L + E cos a): one at right angles. */
    public function factor(): BigRational
    {
        $length = $this->wrenchLength->si();
        $cosine = match ($this->angle) {
            0 => BigRational::one(),
            60 => BigRational::nd(1, 2),
            90 => BigRational::zero(),
            120 => BigRational::nd(-1, 2),
            180 => BigRational::of(-1),
            default => BigRational::of(sprintf('%.'.self::COSINE_PLACES.'F', cos(deg2rad($this->angle)))),
        };

        return $length->dividedBy($length->plus($this->extension->si()->multipliedBy($cosine)));
    }

    public function inWords(): string
    {
        return match ($this->angle) {
            90 => 'The adapter stands at right angles and changes nothing',
            0 => "{$this->extension->inWords()} in line with a wrench of {$this->wrenchLength->inWords()}",
            default => "{$this->extension->inWords()} at {$this->angle}° to a wrench of {$this->wrenchLength->inWords()}",
        };
    }
}
