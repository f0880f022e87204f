<?php

declare(strict_types=1);

namespace App\Rulebook\Written;

use Brick\Math\BigDecimal;
use Core\Meter\MeterUnit;
use Core\Schedule\Interval;
use Core\Schedule\YearWindow;

/** An interval as the keeper wrote it, distances in kilometres or miles, and as the rules reckon it. */
final class WrittenInterval
{
    /** @param  array{hours?: string|null, km?: string|null, mi?: string|null, months?: int|null}|null  $written */
    public static function toCore(?array $written): ?Interval
    {
        if ($written === null) {
            return null;
        }
        $miles = $written['mi'] ?? null;
        $km = $written['km'] ?? null;

        return new Interval(
            isset($written['hours']) ? BigDecimal::of($written['hours']) : null,
            match (true) {
                $miles !== null => MeterUnit::Miles->toReckoned(BigDecimal::of($miles)),
                $km !== null => BigDecimal::of($km),
                default => null,
            },
            $written['months'] ?? null,
        );
    }

    /** @return array{hours?: string, km?: string, months?: int} */
    public static function fromCore(Interval $interval): array
    {
        return array_filter([
            'hours' => $interval->hours === null ? null : (string) $interval->hours,
            'km' => $interval->km === null ? null : (string) $interval->km,
            'months' => $interval->months,
        ], fn (string|int|null $length): bool => $length !== null);
    }

    /** @return array{name: string, from: string, to: string} */
    public static function window(YearWindow $window): array
    {
        return ['name' => $window->name, 'from' => $window->from(), 'to' => $window->to()];
    }
}
