<?php

declare(strict_types=1);

namespace Core\Chart;

/**
 * The first points and the interval that a row of marks amounts to. Positions are whole numbers, as {@see
 * MarkedColumns} counts them, so that multiples are exact.
 */
final readonly class Inference
{
    private const MOST_FIRST_POINTS = 3;

    /** So many marks show an interval that has no column of its own. */
    private const MARKS_THAT_SHOW = 3;

    /**
     * @param  list<int>  $first
     * @param  int|null  $every  null where it comes only once, or nobody can tell
     * @param  bool  $fromDone  counted on from the first point, not by multiples
     * @param  bool  $open  the chart ends before the interval could show again
     */
    private function __construct(
        public array $first,
        public ?int $every,
        public bool $fromDone = false,
        public bool $open = false,
    ) {}

    /** Multiples of its interval alone, with no first point before them. */
    public function isPlain(): bool
    {
        return $this->first === [] && $this->every !== null && ! $this->fromDone;
    }

    public static function recurring(int $every): self
    {
        return new self([], $every);
    }

    /**
     * @param  list<int>  $columns  all positions of the chart, rising
     * @param  non-empty-list<int>  $marks  those marked, rising
     * @param  int  $after  the last first point that is known already; 0 for none
     * @return self|null null where no interval fits
     */
    public static function of(array $columns, array $marks, int $after = 0): ?self
    {
        for ($heads = 0; $heads <= min(self::MOST_FIRST_POINTS, count($marks) - 1); $heads++) {
            $first = array_slice($marks, 0, $heads);
            $tail = array_slice($marks, $heads);
            $last = $heads === 0 ? $after : $first[$heads - 1];
            $every = self::commonMeasure($tail);
            $seen = in_array($every, $columns, true) || count($tail) >= self::MARKS_THAT_SHOW;
            if ($seen && self::among($columns, fn (int $at): bool => $at > $last && $at % $every === 0) === $tail) {
                $open = count($tail) === 1 && $heads <= 1 && ! self::shows($columns, $every, $tail[0]);
                if (count($tail) > 1 || $open) {
                    return new self($first, $every, open: $open);
                }
            }
            if ($heads > 0 && count($tail) > 1) {
                $step = $tail[0] - $last;
                if (self::among($columns, fn (int $at): bool => $at > $last && ($at - $last) % $step === 0) === $tail) {
                    return new self($first, $step, fromDone: true);
                }
            }
        }

        return count($marks) === 1 ? new self($marks, null) : null;
    }

    /** @param  list<int>  $columns */
    private static function shows(array $columns, int $every, int $beyond): bool
    {
        return self::among($columns, fn (int $at): bool => $at > $beyond && $at % $every === 0) !== [];
    }

    /**
     * @param  list<int>  $columns
     * @param  \Closure(int): bool  $holds
     * @return list<int>
     */
    private static function among(array $columns, \Closure $holds): array
    {
        return array_values(array_filter($columns, $holds));
    }

    /** @param  list<int>  $numbers */
    private static function commonMeasure(array $numbers): int
    {
        return array_reduce($numbers, function (int $one, int $other): int {
            while ($other !== 0) {
                [$one, $other] = [$other, $one % $other];
            }

            return $one;
        }, 0);
    }
}
