<?php

declare(strict_types=1);

namespace Core\Fill;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/** How much fluid lies between a stick's marks, learned from what was poured between two readings of it. */
final readonly class StickBand
{
    private function __construct(public Quantity $volume, public BigRational $level) {}

    /**
     * @param  list<StickMark>  $marks  in the order in which they were read
     * @return self|null null where it did not rise by what was poured, or nothing was
     */
    public static function learned(array $marks): ?self
    {
        $last = $marks === [] ? null : $marks[count($marks) - 1];
        $stretch = self::newest($marks);
        $risen = count($stretch) < 2 ? BigRational::zero()
            : $stretch[count($stretch) - 1]->level->minus($stretch[0]->level);
        $poured = null;
        foreach (array_slice($stretch, 1) as $mark) {
            $poured = $mark->poured === null ? $poured : ($poured?->plus($mark->poured) ?? $mark->poured);
        }
        if ($last === null || $poured === null || $poured->value->isZero() || ! $risen->isPositive()) {
            return null;
        }

        return new self(Quantity::of($poured->value->dividedBy($risen), $poured->unit), $last->level);
    }

    /** What is still to be poured, nothing at full or over. */
    public function toFull(): Quantity
    {
        return $this->between($this->level, BigRational::one());
    }

    /** What is to be drawn off, nothing at full or under. */
    public function drawOff(): Quantity
    {
        return $this->between(BigRational::one(), $this->level);
    }

    private function between(BigRational $from, BigRational $to): Quantity
    {
        $share = $to->minus($from);

        return Quantity::of($share->isPositive() ? $this->volume->value->multipliedBy($share) : 0, $this->volume->unit);
    }

    /**
     * Running it begins anew, since then it shows less for the same; where nothing was read after the last run, what
     * was read before it tells.
     *
     * @param  list<StickMark>  $marks
     * @return list<StickMark>
     */
    private static function newest(array $marks): array
    {
        $stretches = [[]];
        foreach ($marks as $mark) {
            if ($mark->ran) {
                $stretches[] = [];
            }
            $stretches[count($stretches) - 1][] = $mark;
        }
        foreach (array_reverse($stretches) as $stretch) {
            if (count($stretch) > 1) {
                return $stretch;
            }
        }

        return [];
    }
}
