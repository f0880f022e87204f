<?php

declare(strict_types=1);

namespace Core\Grease;

use Brick\Math\BigRational;
use Core\Measure\Day;
use Core\Schedule\Interval;

/** The strokes that one point got, summed where they follow each other closely. */
final readonly class Strokes
{
    /** Of its interval: greased again within this, the strokes count together. */
    private const TOGETHER = '1/4';

    /** @var list<Greasing> oldest first */
    private array $greased;

    /**
     * @param  list<Greasing>  $greased  in any order
     * @param  Interval  $every  how often the point is greased; empty where no rule says
     */
    public function __construct(private GreasePoint $point, array $greased, private Interval $every)
    {
        usort($greased, fn (Greasing $one, Greasing $other): int => $one->at <=> $other->at);
        $this->greased = $greased;
    }

    public function last(): ?Greasing
    {
        return $this->greased === [] ? null : $this->greased[array_key_last($this->greased)];
    }

    /** With those shortly before, the strokes that one greasing makes together. */
    public function togetherAt(Greasing $greased): int
    {
        $strokes = 0;
        foreach ($this->greased as $one) {
            $strokes += $one === $greased
                || ($one->at <= $greased->at && $this->isShortlyBefore($one, $greased))
                ? $one->strokes ?? $this->point->strokes
                : 0;
        }

        return $strokes;
    }

    /** Whether the point had enough then: as many strokes as it takes, or its end sign. */
    public function isEnough(Greasing $greased): bool
    {
        return $greased->signSeen || $this->togetherAt($greased) >= $this->point->strokes;
    }

    public function lastEnough(): ?Greasing
    {
        foreach (array_reverse($this->greased) as $greased) {
            if ($this->isEnough($greased)) {
                return $greased;
            }
        }

        return null;
    }

    private function isShortlyBefore(Greasing $one, Greasing $other): bool
    {
        $share = BigRational::of(self::TOGETHER);
        if ($this->every->hours !== null && $one->hours() !== null && $other->hours() !== null) {
            return $other->hours()
                ->minus($one->hours())
                ->toBigRational()
                ->isLessThan($share->multipliedBy($this->every->hours));
        }
        if ($this->every->months === null) {
            return Day::number($one->at) === Day::number($other->at);
        }
        $length = Day::number(Day::addMonths($one->at, $this->every->months)) - Day::number($one->at);

        return $share->multipliedBy($length)->isGreaterThan(Day::number($other->at) - Day::number($one->at));
    }
}
