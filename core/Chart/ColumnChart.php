<?php

declare(strict_types=1);

namespace Core\Chart;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Meter\Limit;
use Core\Schedule\Anchor;
use Core\Schedule\Rule;

/** Tasks down, hours or kilometres across: where each rule falls due when everything is done on time from the beginning. */
final class ColumnChart
{
    /** More than this nobody can read, nor print. */
    public const MOST_COLUMNS = 2_000;

    /**
     * @param  array<string, Rule>  $rules  by the name of their task
     * @return list<Column> rising; what falls due there in the order of the rules
     *
     * @throws \LengthException if there would be more columns than anybody can read
     */
    public static function between(array $rules, BigDecimal $from, BigDecimal $to, Limit $along = Limit::Hours): array
    {
        $columns = [];
        foreach ($rules as $name => $rule) {
            foreach (self::points($rule, $from, $to, $along) as $point) {
                $columns[(string) $point->stripTrailingZeros()][] = (string) $name;
                if (count($columns) > self::MOST_COLUMNS) {
                    throw new \LengthException(
                        'That would be more than '.number_format(self::MOST_COLUMNS).' columns. Ask for a shorter stretch.',
                    );
                }
            }
        }
        $columns = array_map(
            fn (int|string $at): Column => new Column(BigDecimal::of($at), $columns[$at]),
            array_keys($columns),
        );
        usort($columns, fn (Column $one, Column $other): int => $one->at->compareTo($other->at));

        return $columns;
    }

    /**
     * The points of one rule that lie from one position to another: the first ones, then by its anchor either the
     * multiples of its interval or so much again after each.
     *
     * @return iterable<BigDecimal> rising
     */
    public static function points(Rule $rule, BigDecimal $from, BigDecimal $to, Limit $along): iterable
    {
        $last = BigDecimal::zero();
        foreach ($rule->firstPoints($along) as $point) {
            $last = $point;
            if ($point->isGreaterThanOrEqualTo($from) && $point->isLessThanOrEqualTo($to)) {
                yield $point;
            }
        }
        $every = $rule->every->length($along);
        if ($every === null) {
            return;
        }
        $origin = $rule->anchor === Anchor::Chart ? BigDecimal::zero() : $last;
        $count = BigDecimal::max($last, $from)->minus($origin)->dividedBy($every, 0, RoundingMode::DOWN)->toInt();
        for (; ; $count++) {
            $point = $origin->plus($every->multipliedBy($count));
            if ($point->isGreaterThan($to)) {
                return;
            }
            if ($point->isGreaterThan($last) && $point->isGreaterThanOrEqualTo($from)) {
                yield $point;
            }
        }
    }
}
