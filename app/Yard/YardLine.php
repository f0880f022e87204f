<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Record;
use App\Logbook\Readings\WeeklyReadings;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Rulebook\Standings\ClassSeason;
use App\Rulebook\Standings\DueTasks;
use App\Rulebook\Standings\Reckoning;
use App\Walkaround\WalkLine;
use Core\Schedule\Headline;
use Illuminate\Cache\Lock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * A machine's line on the yard's sheet, reckoned from its facts. It carries the version of those facts and the day it
 * holds for, and can be made again at any time.
 *
 * @property int $machine_id
 * @property int $facts_version
 * @property string $reckoned_on
 * @property string $state
 * @property string $season hash of the class's season that it was reckoned with
 * @property int $urgency
 * @property int $days_left
 * @property array<string, mixed> $line
 */
final class YardLine extends Record
{
    /** Where nobody can tell when a point will come, it sorts behind all others. */
    public const NOBODY_CAN_TELL = 99_999;

    private const MACHINES_AT_ONCE = 200;

    private const MILLISECONDS_BETWEEN_TRIES = 20;

    protected $primaryKey = 'machine_id';

    public $incrementing = false;

    protected function casts(): array
    {
        return ['line' => 'array'];
    }

    /** Reckons every line that does not hold for today, once, however many ask at the same time. */
    public static function bringUpToDate(Yard $yard): void
    {
        if (self::allHold($yard)) {
            return;
        }
        $lock = Cache::lock('yard-lines', 60);
        if ($lock instanceof Lock) {
            $lock->betweenBlockedAttemptsSleepFor(self::MILLISECONDS_BETWEEN_TRIES);
        }
        $lock->block(60, function () use ($yard): void {
            self::reckonEach(self::stale($yard), $yard);
        });
    }

    /** Whether every machine of the yard has a line that holds for today. */
    private static function allHold(Yard $yard): bool
    {
        $day = $yard->today()->format('Y-m-d');
        $others = self::query()->where('reckoned_on', '<', $day)->orWhere('reckoned_on', '>', $day)->orWhere(
            fn ($today) => $today->where('reckoned_on', $day)->whereNotIn('season', self::seasons($yard)),
        );
        $counted = DB::query()->selectSub(Machine::query()->where('retired', false)->selectRaw('count(*)'), 'machines')
            ->selectSub(self::query()->selectRaw('count(*)'), 'kept')
            ->selectSub($others->select(DB::raw('1'))->limit(1), 'stale')
            ->first();

        return $counted !== null && $counted->stale === null && $counted->machines === $counted->kept;
    }

    /** @return list<string> hashes of the seasons that hold now */
    private static function seasons(Yard $yard): array
    {
        return array_values(ClassSeason::query()->where('month', $yard->today()->format('Y-m'))->pluck('hash')->map(strval(...))->all());
    }

    /**
     * After facts of some machines have changed, or something that all are reckoned by: each is reckoned anew when
     * somebody looks.
     *
     * @param  list<int>|null  $machineIds  null for all
     */
    public static function outdate(?array $machineIds = null): void
    {
        self::query()->when($machineIds, fn ($lines, array $ids) => $lines->whereKey($ids))->update(['season' => '']);
        if ($machineIds !== null) {
            Machine::query()->whereKey($machineIds)->toBase()->increment('facts_version');
        }
    }

    /** Makes every line anew from the facts. */
    public static function rebuild(Yard $yard): int
    {
        WeeklyReadings::rebuild($yard);
        ClassSeason::query()->delete();
        WalkLine::rebuild($yard, new CheckLists);

        return self::reckonEach(Machine::query()->where('retired', false), $yard);
    }

    /** @return Builder<Machine> machines without a line for today, or with one reckoned by a season that no longer holds */
    private static function stale(Yard $yard): Builder
    {
        return Machine::query()->where('retired', false)->whereNotExists(fn ($lines) => $lines->from('yard_lines')
            ->whereColumn('yard_lines.machine_id', 'machines.id')->where(
                'reckoned_on',
                $yard->today()->format('Y-m-d'),
            )->whereIn('season', self::seasons($yard)));
    }

    /**
     * Machine by machine under its lock, so that nothing written meanwhile is overlooked.
     *
     * @param  Builder<Machine>  $machines
     * @return int how many
     */
    private static function reckonEach(Builder $machines, Yard $yard): int
    {
        $count = 0;
        foreach ($machines->pluck('id')->chunk(self::MACHINES_AT_ONCE) as $ids) {
            DB::transaction(
                fn () => self::reckon(
                    array_values(Machine::query()->whereKey($ids)->with('meters')->lockForUpdate()->get()->all()),
                    $yard,
                ),
            );
            $count += $ids->count();
        }

        return $count;
    }

    /** @param  list<Machine>  $machines */
    private static function reckon(array $machines, Yard $yard): void
    {
        $lines = [];
        $reckonings = Reckoning::ofAll($machines, $yard);
        DueTasks::keep(array_values($reckonings));
        foreach ($reckonings as $id => $reckoning) {
            $lines[] = new self([
                'machine_id' => $id,
                'facts_version' => $reckoning->machine->facts_version,
                'reckoned_on' => $yard->today()->format('Y-m-d'),
                'season' => $reckoning->season->hash,
                'state' => $reckoning->state(),
                'urgency' => array_search($reckoning->state(), array_keys(Headline::WORDS), true),
                'days_left' => max(
                    -self::NOBODY_CAN_TELL,
                    min(self::NOBODY_CAN_TELL, $reckoning->outlook->expectedDays() ?? self::NOBODY_CAN_TELL),
                ),
                'line' => LineShape::of($reckoning),
            ]);
        }
        self::query()->upsert(
            array_map(fn (self $line): array => $line->getAttributes(), $lines),
            ['machine_id'],
            ['facts_version', 'reckoned_on', 'season', 'state', 'urgency', 'days_left', 'line'],
        );
    }
}
