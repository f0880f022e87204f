<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Entry;
use Core\Inspect\RoundKind;
use Core\Inspect\Verdict;
use Core\Measure\Plain;
use Illuminate\Support\Collection;

/** A walk as the logbook tells it. */
final class WalkWords
{
    /** `Morning round: 14 looked at, all fit` */
    public static function round(Entry $entry): string
    {
        $kind = RoundKind::from($entry->detail['kind'] ?? RoundKind::Daily->value);
        $looks = $entry->observations->whereNull('struck_at');
        $told = $looks->whereNotNull('verdict');
        $ticks = $entry->greaseTicks->whereNull('struck_at');
        $parts = [];
        if ($told->isNotEmpty()) {
            $parts[] = $told->unique('subject')->count().' looked at';
            foreach ([Verdict::StandDown, Verdict::Act, Verdict::Watch] as $verdict) {
                $parts[] = self::named($verdict->label(), $told->where('verdict', $verdict));
            }
            $parts[] = $told->every('verdict', Verdict::Fit) ? 'all fit' : '';
        }
        $parts[] = self::named('not looked at', $looks->where('said', Said::NotLooked));
        $parts[] = $ticks->isEmpty() ? '' : Plain::count($ticks->unique('grease_point_id')->count(), 'point').' greased, '.Plain::count((int) $ticks->sum('strokes'), 'stroke');

        return ucfirst($kind->label()).': '.(implode(', ', array_filter($parts)) ?: 'begun');
    }

    public static function found(Entry $entry): string
    {
        return $entry->observations->map(fn (Observation $look): string => rtrim("{$look->title}: {$look->words}", ': '))->implode(', ');
    }

    public static function mended(Entry $entry): string
    {
        return $entry->observations->pluck('title')->implode(', ');
    }

    /** @param  Collection<int, Observation>  $looks */
    private static function named(string $label, Collection $looks): string
    {
        return $looks->isEmpty() ? '' : "{$label}: ".$looks->pluck('title')->unique()->implode(', ');
    }
}
