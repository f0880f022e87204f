<?php

declare(strict_types=1);

namespace Core\Inspect;

use Brick\Math\RoundingMode;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/**
 * A limit made ready for where nobody can ask: what was entered, added up in whole numbers of a small unit, falls into
 * the first band that it lies below.
 */
final readonly class QuickLimit
{
    /** So small that hundredths and sixty-fourths of the unit are whole numbers of it. */
    public const PER_UNIT = 6400;

    /**
     * @param  non-empty-array<string, int>  $fields  what is entered, each with the sign it is added with; only how far
     *     the sum lies from nothing counts
     * @param  Unit  $unit  in which each must be entered
     * @param  non-empty-list<array{int|null, Verdict, string}>  $bands  below how many small units, the verdict, its
     *     words; the last has no end
     * @param  list<string>  $unless  what else may be entered, and asks for more than this limit knows
     */
    public function __construct(
        public array $fields,
        public Unit $unit,
        public array $bands,
        public array $unless = [],
    ) {}

    /** The least whole number of small units that is no longer below a bound. */
    public static function below(Quantity $bound, Unit $unit): int
    {
        return $bound->to($unit)->value->multipliedBy(self::PER_UNIT)->toScale(0, RoundingMode::CEILING)->toInt();
    }

    /** The least whole number of small units that lies above a bound. */
    public static function above(Quantity $bound, Unit $unit): int
    {
        return $bound->to($unit)->value->multipliedBy(self::PER_UNIT)->toScale(0, RoundingMode::FLOOR)->toInt() + 1;
    }
}
