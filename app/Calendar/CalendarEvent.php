<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Contract\Record;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Rulebook\Standings\Reckoning;
use Carbon\CarbonImmutable;
use Core\Forecast\TaskStanding;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Schedule\StandingWords;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Cache;
use Sabre\VObject\Component\VCalendar;

/**
 * A due point as calendars know it: it keeps its identity from one service to the next however its day moves, and is
 * cancelled when it is done.
 *
 * @property int $id
 * @property int $rule_id
 * @property int $machine_id
 * @property string $cycle hash of when the task was last done
 * @property CarbonImmutable $day
 * @property string $summary
 * @property string $description
 * @property int $sequence
 * @property CarbonImmutable $changed_at
 * @property CarbonImmutable|null $cancelled_at
 */
final class CalendarEvent extends Record
{
    /** Calendars that look this seldom may miss that something is done. */
    private const DAYS_CANCELLED_ONES_STAY = 90;

    /** Nobody plans further ahead. */
    private const FURTHEST_DAYS = 1100;

    private const MACHINES_AT_ONCE = 100;

    protected function casts(): array
    {
        return [
            'day' => 'immutable_date',
            'changed_at' => 'immutable_datetime',
            'cancelled_at' => 'immutable_datetime',
        ];
    }

    /** Brings every event in line with what falls due today, once for each change of the facts. */
    public static function bringUpToDate(Yard $yard): void
    {
        $facts = Machine::query()->toBase()->selectRaw('count(*) as machines, sum(facts_version) as versions')->first();
        $stamp = "{$facts?->machines}-{$facts?->versions}-{$yard->version}-{$yard->today()->format('Y-m-d')}";
        Cache::lock('calendar-events', 60)->block(60, function () use ($yard, $stamp): void {
            if (Cache::get('calendar-events-stamp') === $stamp && self::query()->exists()) {
                return;
            }
            $all = Machine::query()
                ->where('retired', false)
                ->with('meters')
                ->lazyById(self::MACHINES_AT_ONCE);
            foreach ($all->chunk(self::MACHINES_AT_ONCE) as $machines) {
                $known = self::query()->whereIn('machine_id', $machines->pluck('id'))->get()->groupBy('machine_id');
                foreach (Reckoning::ofAll(array_values($machines->all()), $yard) as $id => $reckoning) {
                    self::follow($reckoning, $known[$id] ?? new Collection);
                }
            }
            self::query()->whereNull('cancelled_at')
                ->whereIn('machine_id', Machine::query()->select('id')->where('retired', true))
                ->get()->each
                ->cancel();
            self::query()->where('cancelled_at', '<', now()->subDays(self::DAYS_CANCELLED_ONES_STAY))->delete();
            Cache::forever('calendar-events-stamp', $stamp);
        });
    }

    /** @param  Collection<int, self>  $events  what calendars know of this machine */
    private static function follow(Reckoning $reckoning, Collection $events): void
    {
        $known = $events->keyBy(fn (self $event): string => "{$event->rule_id}.{$event->cycle}");
        foreach ($reckoning->standings as $ruleId => $standing) {
            $told = self::telling($standing, $reckoning);
            if ($told === null) {
                continue;
            }
            $cycle = self::cycle($standing->standing->last);
            $event = $known->pull("{$ruleId}.{$cycle}")
                ?? new self(
                    [
                        'rule_id' => $ruleId,
                        'machine_id' => $reckoning->machine->id,
                        'cycle' => $cycle,
                        'sequence' => -1,
                    ],
                );
            $event->fill([...$told, 'cancelled_at' => null]);
            if ($event->isDirty()) {
                $event->fill(['sequence' => $event->sequence + 1, 'changed_at' => now()])->save();
            }
        }
        $known->whereNull('cancelled_at')->each->cancel();
    }

    /** As an iCalendar object has it. Source: RFC 5545. */
    public function addTo(VCalendar $calendar, int $remindDays): void
    {
        $written = $calendar->createComponent('VEVENT', [
            'UID' => "due-{$this->id}@".self::domain(),
            'DTSTAMP' => $this->changed_at->utc()->toDateTimeImmutable(),
            'SEQUENCE' => $this->sequence,
            'SUMMARY' => $this->summary,
            'DESCRIPTION' => $this->description,
            'STATUS' => $this->cancelled_at === null ? 'CONFIRMED' : 'CANCELLED',
            'TRANSP' => 'TRANSPARENT',
        ]);
        $calendar->add($written);
        $written->add('DTSTART', $this->day->format('Ymd'), ['VALUE' => 'DATE']);
        if ($this->cancelled_at === null) {
            $written->add(
                'VALARM',
                ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $this->summary, 'TRIGGER' => "-P{$remindDays}D"],
            );
        }
    }

    /** Of this installation, so that the events of two yards never meet. */
    private static function domain(): string
    {
        return substr(hash('sha256', 'calendar '.config('app.key')), 0, 16).'.jardinier';
    }

    public function cancel(): void
    {
        $this->update(['cancelled_at' => now(), 'changed_at' => now(), 'sequence' => $this->sequence + 1]);
    }

    /** @return array{day: string, summary: string, description: string}|null null where no day can be told */
    private static function telling(TaskStanding $standing, Reckoning $reckoning): ?array
    {
        $today = Day::number($reckoning->today);
        if ($standing->when === null || $standing->when->p50 > $today + self::FURTHEST_DAYS) {
            return null;
        }
        $band = $standing->when->isCertain()
            || $standing->expectedDays <= 0
            ? ''
            : ' '.ucfirst($standing->when->inWords($reckoning->today)).'.';

        return [
            'day' => Day::of(max($today, $standing->when->p50))->format('Y-m-d'),
            'summary' => "{$reckoning->machine->name}: ".Plain::within($standing->task->name),
            'description' => StandingWords::why($standing->standing, $reckoning->machine->distanceUnit()).$band,
        ];
    }

    private static function cycle(?Point $last): string
    {
        return substr(hash('xxh128', implode('|', [$last?->hours, $last?->km, $last?->date?->format('Y-m-d')])), 0, 16);
    }
}
