<?php

declare(strict_types=1);

namespace App\Rulebook\Written;

use Brick\Math\BigDecimal;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Leeway;
use Core\Schedule\Provenance;
use Core\Schedule\Rule as CoreRule;
use Core\Schedule\RuleSource;
use Core\Schedule\YearWindow;

/** A rule as its row has it, and as it is reckoned with. */
final class WrittenRule
{
    /**
     * @param  array<string, mixed>  $every
     * @param  list<array<string, mixed>>  $first
     * @param  array<string, mixed>|null  $book
     * @param  list<array{name: string, from: string, to: string}>|null  $windows
     * @return CoreRule|null null where its task only ever goes with another
     *
     * @throws \InvalidArgumentException if the rule could never fall due
     */
    public static function toCore(
        array $every,
        array $first,
        Anchor $anchor,
        string $early,
        string $late,
        RuleSource $source,
        ?array $book,
        ?array $windows,
        ?string $condition,
        bool $goesWithAnother,
    ): ?CoreRule {
        $interval = WrittenInterval::toCore($every) ?? new Interval;
        $points = array_values(array_filter(array_map(WrittenInterval::toCore(...), $first)));
        if ($goesWithAnother && $interval->isEmpty() && $points === [] && ! $windows && $condition === null) {
            return null;
        }
        $share = BigDecimal::of($early);

        return new CoreRule(
            every: $interval,
            first: $points,
            anchor: $anchor,
            leeway: new Leeway($share, $late === $early ? $share : BigDecimal::of($late)),
            from: new Provenance($source, WrittenInterval::toCore($book)),
            windows: array_map(
                fn (array $window): YearWindow => YearWindow::between($window['from'], $window['to'], $window['name']),
                $windows ?? [],
            ),
            condition: $condition,
        );
    }
}
