<?php

declare(strict_types=1);

namespace App\Logbook\Readings;

use App\Contract\Record;
use App\Machines\Meter;
use App\Machines\Yard;
use Brick\Math\BigDecimal;
use Core\Forecast\MeterHistory;
use Core\Measure\Day;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * The first reading and the last of each week of one meter, kept so that a forecast need not read years of the logbook.
 * It follows from the entries and can be made again at any time.
 *
 * @property int $meter_id
 * @property list<array{int, string}> $weekly day counted from 1 January 1970, and what the meter showed
 */
final class WeeklyReadings extends Record
{
    private const METERS_AT_ONCE = 50;

    protected $primaryKey = 'meter_id';

    public $incrementing = false;

    protected function casts(): array
    {
        return ['weekly' => 'array'];
    }

    public static function ofMeter(int $meterId): self
    {
        return self::query()->find($meterId) ?? new self(['meter_id' => $meterId, 'weekly' => []]);
    }

    /** What the meter usually gains in a week, in its own unit; null where that is not known. */
    public function usualPerWeek(int $day): ?float
    {
        return MeterHistory::ofPairs(
            array_map(fn (array $pair): array => [$pair[0], (float) $pair[1]], $this->weekly),
        )->usualPerWeek($day);
    }

    /** After a reading was written down. */
    public static function add(Reading $reading, Yard $yard): void
    {
        $kept = self::ofMeter($reading->meter_id);
        $day = Day::number($yard->dayOf($reading->happened_at));
        $kept->weekly = self::lastOfEach([...$kept->weekly, [$day, self::plain($reading->value)]]);
        $kept->save();
    }

    /** After a reading was struck. */
    public static function remake(int $meterId, Yard $yard): void
    {
        self::make([$meterId], $yard);
    }

    /** Makes all of them anew from the logbook. */
    public static function rebuild(Yard $yard): void
    {
        self::query()->delete();
        foreach (Meter::query()->where('struck', false)->pluck('id')->chunk(self::METERS_AT_ONCE) as $ids) {
            self::make($ids->all(), $yard);
        }
    }

    /**
     * What a machine has run week by week, whichever meter counted it.
     *
     * @param  iterable<Meter>  $meters  of one machine and one kind
     * @param  Collection<int, self>  $kept  by meter id
     */
    public static function history(iterable $meters, Collection $kept): MeterHistory
    {
        $pairs = [];
        foreach ($meters as $meter) {
            $begun = $meter->reckoned('0')->toFloat();
            $each = $meter->reckoned('1')->toFloat() - $begun;
            foreach (($kept[$meter->id] ?? null)->weekly ?? [] as [$day, $shown]) {
                $pairs[] = [$day, $begun + $each * (float) $shown];
            }
        }

        return MeterHistory::ofPairs($pairs);
    }

    /** @param  array<int|string>  $meterIds */
    private static function make(array $meterIds, Yard $yard): void
    {
        $weekly = array_fill_keys($meterIds, []);
        $dayOf = self::daysOf($yard);
        $readings = DB::table('readings')
            ->whereIn('meter_id', $meterIds)
            ->where('struck', false)
            ->orderBy('id')
            ->select('meter_id', 'happened_at', 'value');
        foreach ($readings->cursor() as $reading) {
            $weekly[$reading->meter_id][] = [$dayOf($reading->happened_at), $reading->value];
        }
        $rows = [];
        foreach ($weekly as $id => $pairs) {
            $last = array_map(fn (array $pair): array => [$pair[0], self::plain($pair[1])], self::lastOfEach($pairs));
            $rows[] = ['meter_id' => $id, 'weekly' => json_encode($last, JSON_THROW_ON_ERROR)];
        }
        self::query()->upsert($rows, ['meter_id'], ['weekly']);
    }

    /**
     * Which of the yard's days an instant as it is stored lies in. Clocks differ from universal time by quarters of an
     * hour, so each quarter is asked once.
     *
     * @return \Closure(string): int
     */
    private static function daysOf(Yard $yard): \Closure
    {
        $known = [];

        return function (string $stored) use (&$known, $yard): int {
            $quarter = substr($stored, 0, 14).intdiv((int) substr($stored, 14, 2), 15);

            return $known[$quarter] ??= Day::number(
                $yard->dayOf(new \DateTimeImmutable($stored, new \DateTimeZone('UTC'))),
            );
        };
    }

    /**
     * @param  list<array{int, string}>  $pairs
     * @return list<array{int, string}>
     */
    private static function lastOfEach(array $pairs): array
    {
        usort(
            $pairs,
            fn (array $one, array $other): int => [$one[0], (float) $one[1]] <=> [$other[0], (float) $other[1]],
        );
        $last = $pairs === [] ? [] : ['first' => $pairs[0]];
        foreach ($pairs as $pair) {
            $last[MeterHistory::week($pair[0])] = $pair;
        }

        return array_values(array_column($last, null, 0));
    }

    private static function plain(string $decimal): string
    {
        return (string) BigDecimal::of($decimal)->stripTrailingZeros();
    }
}
