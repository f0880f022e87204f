<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Machines\Machine;
use Core\Forecast\Recurrences;
use Core\Forecast\TaskStanding;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Meter\Limit;
use Core\Schedule\State;
use Illuminate\Support\Facades\DB;

/** When each task falls due, kept with what was reckoned of its machine, so that the whole yard is read at once. */
final readonly class DueTasks
{
    /** How far ahead it is told how often a task will come. */
    public const DAYS_AHEAD = 92;

    public function __construct(private KeptStandings $kept) {}

    /** @param  list<Reckoning>  $reckonings */
    public static function keep(array $reckonings): void
    {
        DB::table('machine_dues')->upsert(array_map(fn (Reckoning $reckoning): array => [
            'machine_id' => $reckoning->machine->id,
            'dues' => json_encode(self::of($reckoning), JSON_THROW_ON_ERROR),
        ], $reckonings), ['machine_id'], ['dues']);
    }

    /**
     * @param  array<int|string>|null  $machines  null for all that are in the yard
     * @return list<DueTask> the soonest first, those of which nobody can tell last
     */
    public function all(?array $machines = null): array
    {
        $this->kept->renew();
        $tasks = [];
        $rows = DB::table('machine_dues')
            ->whereIn('machine_id', Machine::query()->where('retired', false)->select('id'))
            ->when($machines, fn ($dues, array $ids) => $dues->whereIn('machine_id', $ids))
            ->orderBy('machine_id')->pluck('dues', 'machine_id');
        foreach ($rows as $machine => $dues) {
            foreach (json_decode($dues, flags: JSON_THROW_ON_ERROR) as [$rule, $state, $cycle, $days]) {
                $tasks[] = new DueTask($rule, (int) $machine, State::from($state), $cycle, $days);
            }
        }
        usort($tasks, fn (DueTask $one, DueTask $other): int => ($one->days[0] ?? PHP_INT_MAX) <=> ($other->days[0] ?? PHP_INT_MAX));

        return $tasks;
    }

    /** @return list<array{int, string, string, list<int>}> */
    private static function of(Reckoning $reckoning): array
    {
        $today = Day::number($reckoning->today);
        $dues = [];
        foreach ($reckoning->standings as $rule => $standing) {
            $dues[] = [
                $rule,
                $standing->standing->state->value,
                self::cycle($standing),
                Recurrences::days($standing, $reckoning->hours, $reckoning->km, $today, $today + self::DAYS_AHEAD),
            ];
        }

        return $dues;
    }

    /** The same until it is done again. */
    private static function cycle(TaskStanding $standing): string
    {
        $last = $standing->standing->last ?? new Point;

        return substr(sha1(implode(' ', array_map(
            fn (Limit $limit): string => (string) $last->along($limit),
            Limit::cases(),
        ))), 0, 12);
    }
}
