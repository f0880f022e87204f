<?php

declare(strict_types=1);

namespace Core\Upkeep;

/** Which backups are kept: the last of each of the newest days, weeks and months that have one. Common practice, no source. */
final class Rotation
{
    private const DAYS = 7;

    private const WEEKS = 4;

    private const MONTHS = 12;

    /**
     * @template T of array-key
     *
     * @param  array<T, \DateTimeImmutable>  $made  when, in the yard's time
     * @return list<T> the keys of those that are kept
     */
    public static function kept(array $made): array
    {
        arsort($made);
        $kept = [];
        // A week of ISO 8601 belongs to the year of its Thursday.
        foreach (['Y-m-d' => self::DAYS, 'o-W' => self::WEEKS, 'Y-m' => self::MONTHS] as $period => $count) {
            $newest = [];
            foreach ($made as $key => $moment) {
                $newest[$moment->format($period)] ??= $key;
            }
            $kept = [...$kept, ...array_slice(array_values($newest), 0, $count)];
        }

        return array_values(array_unique($kept));
    }
}
