<?php

declare(strict_types=1);

namespace Core\Chart;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Meter\Limit;
use Core\Schedule\Interval;
use Core\Schedule\YearWindow;

/**
 * Some columns of a chart, and what marks under them say. Positions are whole numbers of so small a part of an hour or
 * kilometre that hundredths of a mile are exact.
 */
final readonly class MarkedColumns
{
    private const DECIMALS = 8;

    /** @param  list<Heading>  $headings */
    public function __construct(private array $headings) {}

    /** @return list<Interval> */
    public function first(): array
    {
        return array_values(
            array_filter(
                array_map(fn (Heading $heading): ?Interval => $heading->interval, $this->of(HeadingKind::First)),
            ),
        );
    }

    /** @return list<YearWindow> */
    public function windows(): array
    {
        return array_values(
            array_filter(
                array_map(fn (Heading $heading): ?YearWindow => $heading->season, $this->of(HeadingKind::Season)),
            ),
        );
    }

    /** What must be found, in the heading's own words; null where no such column is among them. */
    public function condition(): ?string
    {
        $headings = $this->of(HeadingKind::Condition);

        return $headings === [] ? null : mb_strtolower(rtrim($headings[0]->text, '.'));
    }

    /** The shortest along each dimension of the intervals marked. */
    public function every(): Interval
    {
        $every = new Interval;
        foreach ($this->of(HeadingKind::Every) as $heading) {
            $every = $every->shorter($heading->interval ?? new Interval);
        }

        return $every;
    }

    /**
     * Where the columns that count points stand.
     *
     * @return list<int> rising
     */
    public function positions(Limit $limit): array
    {
        $positions = [];
        foreach ($this->of(HeadingKind::At) as $heading) {
            $at = $heading->interval?->length($limit);
            if ($at !== null) {
                $positions[] = self::position($at);
            }
        }
        sort($positions);

        return array_values(array_unique($positions));
    }

    /** The last first point marked; 0 for none. */
    public function lastFirst(Limit $limit): int
    {
        return array_reduce(
            $this->first(),
            fn (int $last, Interval $first): int => max(
                $last,
                self::position($first->length($limit) ?? BigDecimal::zero()),
            ),
            0,
        );
    }

    public static function interval(Limit $limit, int $position): Interval
    {
        $length = BigDecimal::ofUnscaledValue($position, self::DECIMALS)->stripTrailingZeros();

        return $limit === Limit::Hours ? new Interval(hours: $length) : new Interval(km: $length);
    }

    private static function position(BigDecimal $length): int
    {
        return $length->toScale(self::DECIMALS, RoundingMode::HALF_UP)->getUnscaledValue()->toInt();
    }

    /** @return list<Heading> */
    private function of(HeadingKind $kind): array
    {
        return array_values(array_filter($this->headings, fn (Heading $heading): bool => $heading->kind === $kind));
    }
}
