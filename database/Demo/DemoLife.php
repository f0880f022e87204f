<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Core\Machine\MachineClass;
use Core\Machine\Subject;
use Core\Schedule\SeverityMark;
use Core\Schedule\SeverityTable;
use Core\Starter\StarterRule;
use Core\Starter\Starters;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Lives one machine's years day by day: it is run by season, read, serviced early or late, and now and then something
 * happens to it.
 */
final class DemoLife
{
    /** @var list<array{at: CarbonImmutable, hours: float|null, km: float|null, by: string}> */
    public array $readings = [];

    /** @var list<array{at: CarbonImmutable, hours: float|null, km: float|null, tasks: list<string>, by: string, note: string|null}> */
    public array $services = [];

    /** @var array{at: CarbonImmutable, old: float, new: float}|null */
    public ?array $meterReplaced = null;

    /** Days before the history begins of which the old book still tells. */
    private const LONGEST_BACK = 900;

    private Randomizer $chance;

    private float $run;

    private float $km;

    /** @var array<string, array{run: float, km: float, at: CarbonImmutable}> by task */
    private array $lastDone = [];

    /** @var array<string, array{hours: float|null, km: float|null, months: int|null}> by task, how often it falls due */
    private array $every = [];

    /** @var list<StarterRule>|null */
    private ?array $rules = null;

    public readonly CarbonImmutable $begins;

    public function __construct(public readonly DemoMachine $machine, public readonly CarbonImmutable $today, int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
        $this->begins = $today->subDays($machine->knownDays);
        $this->run = $machine->atStart;
        $this->km = round($machine->atStart * $machine->kmPerHour);
        $this->live();
    }

    public function hasHourMeter(): bool
    {
        return $this->machine->class !== MachineClass::SmallTruck;
    }

    public function hasOdometer(): bool
    {
        return $this->machine->kmPerHour > 0 || ! $this->hasHourMeter();
    }

    /** @return list<StarterRule> */
    public function rules(): array
    {
        return $this->rules ??= Starters::for($this->machine->class)->rulebooks()[0]->rules;
    }

    /** @return array{at: CarbonImmutable, hours: float|null, km: float|null, by: string}|null */
    public function lastReadingBefore(int $daysAgo): ?array
    {
        $before = array_filter(
            $this->readings,
            fn (array $reading): bool => $reading['at'] <= $this->today->subDays($daysAgo),
        );

        return $before === [] ? null : $before[array_key_last($before)];
    }

    /** @return array{hours: float|null, km: float|null, months: int|null} as this machine's life shortens it */
    private function every(StarterRule $rule): array
    {
        $task = $rule->task.$rule->kind->value;
        if (! isset($this->every[$task])) {
            $every = $this->machine->severity === null ? $rule->rule->every
                : SeverityTable::usual()->tighten(
                    $rule->rule,
                    $this->subjects($rule),
                    [new SeverityMark($this->machine->severity)],
                    $this->today,
                )->every;
            $this->every[$task] = [
                'hours' => $this->hasHourMeter() ? $every->hours?->toFloat() : null,
                'km' => $every->km?->toFloat(),
                'months' => $every->months,
            ];
        }

        return $this->every[$task];
    }

    /** @return list<Subject> */
    private function subjects(StarterRule $rule): array
    {
        $spots = Starters::for($this->machine->class)->spots();

        return $rule->spots === []
            ? [Subject::Grease]
            : array_map(fn (string $key): Subject => $spots[$key]->spot->subject, $rule->spots);
    }

    private function live(): void
    {
        $this->read($this->begins, 'rosa');
        if (! $this->machine->unknownHistory) {
            $this->takeOver();
        }
        $factor = $this->factorToFinish();
        $day = $this->begins;
        for ($daysAgo = $this->machine->knownDays - 1; $daysAgo >= $this->machine->unreadDays; $daysAgo--) {
            $day = $day->addDay();
            $worked = $this->work($day->month, $daysAgo, $factor);
            if ($this->replaceMeter($day, $daysAgo)) {
                continue;
            }
            if ($worked && $this->chance->getInt(1, 100) <= 45 || $daysAgo === $this->machine->unreadDays) {
                $this->read($day, $this->driver());
            }
            if (! $this->machine->unknownHistory && $day->isWeekday()) {
                $this->service($day, $daysAgo);
            }
        }
    }

    /**
     * What was last done before the history begins: somewhere within each interval, at what the machine had run by
     * then.
     */
    private function takeOver(): void
    {
        $perDay = max(0.02, array_sum($this->machine->weekly) / 12 / 7);
        foreach ($this->rules() as $rule) {
            $share = $this->chance->getInt(10, 80) / 100;
            $length = ($this->distanceOnly() ? $rule->rule->every->km : $rule->rule->every->hours)?->toFloat();
            $days = array_filter(
                [
                    $length === null ? null : $length / $perDay,
                    $rule->rule->every->months === null ? null : $rule->rule->every->months * 30,
                ],
            );
            $back = max(3, min(self::LONGEST_BACK, (int) round(min($days ?: [self::LONGEST_BACK]) * $share)));
            $run = max(0, $this->run - $back * $perDay);
            $this->lastDone[$rule->task.$rule->kind->value] = [
                'run' => $run,
                'km' => $run * $this->machine->kmPerHour,
                'at' => $this->begins->subDays($back),
            ];
        }
        foreach ($this->lastDone as $task => $done) {
            $this->services[] = [
                'at' => $done['at']->setTime(12, 0),
                'hours' => $this->hasHourMeter() ? round($done['run'], 1) : null,
                'km' => $this->distanceOnly()
                    ? round($done['run'])
                    : ($this->hasOdometer() ? round($done['km']) : null),
                'tasks' => [$task],
                'by' => 'rosa',
                'note' => 'Taken over from the old book.',
            ];
        }
    }

    private function work(int $month, int $daysAgo, float $factor): bool
    {
        $usual = $this->machine->weekly[$month - 1] * $factor / 4;
        if ($this->machine->stormDaysAgo > 0 && abs($daysAgo - $this->machine->stormDaysAgo) <= 1) {
            $usual = 20.0;
        } elseif ($usual <= 0 || $this->chance->getInt(1, 100) > ($usual < 0.2 ? 12 : 57)) {
            return false;
        } elseif ($usual < 0.2) {
            $usual *= 5;
        }
        $gain = round(min(20, max(0.1, $usual * $this->chance->getInt(60, 140) / 100)), 1);
        if ($this->distanceOnly()) {
            $gain = round($usual * $this->chance->getInt(60, 140) / 100);
        }
        $this->run += $gain;
        $this->km += round($gain * $this->machine->kmPerHour * $this->chance->getInt(80, 120) / 100);

        return true;
    }

    /** Whether the meter was changed that day; the rest of its day is not told. */
    private function replaceMeter(CarbonImmutable $day, int $daysAgo): bool
    {
        if ($this->machine->meterReplacedDaysAgo === 0 || $daysAgo !== $this->machine->meterReplacedDaysAgo) {
            return false;
        }
        $this->read($day, 'tamsin');
        $this->meterReplaced = ['at' => $day->setTime(16, 0), 'old' => round($this->run, 1), 'new' => 0.0];

        return true;
    }

    private function service(CarbonImmutable $day, int $daysAgo): void
    {
        $due = [];
        $nearing = [];
        foreach ($this->rules() as $rule) {
            $task = $rule->task.$rule->kind->value;
            if ($daysAgo < ($this->machine->neglect[$rule->task] ?? 0)) {
                continue;
            }
            $share = $this->shareUsed($rule, $day);
            if ($share >= $this->chance->getInt(96, 104) / 100) {
                $due[] = $task;
            } elseif ($share >= 0.91) {
                $nearing[] = $task;
            }
        }
        if ($due === [] || $this->isBusy($daysAgo)) {
            return;
        }
        $by = $this->chance->getInt(0, 1) === 1 ? 'tamsin' : 'piet';
        $this->services[] = [
            'at' => $this->gone($day->setTime(15, $this->chance->getInt(0, 59)), 10),
            'hours' => $this->hours(),
            'km' => $this->odometer(),
            'tasks' => [...$due, ...$nearing],
            'by' => $by,
            'note' => $this->isBusy($daysAgo + 7) ? 'Late: the grass would not wait.' : $this->remark(),
        ];
        foreach ([...$due, ...$nearing] as $task) {
            $this->lastDone[$task] = ['run' => $this->run, 'km' => $this->km, 'at' => $day];
        }
    }

    private function isBusy(int $daysAgo): bool
    {
        [$from, $to] = $this->machine->busyDaysAgo ?? [0, 0];

        return $daysAgo <= $from && $daysAgo >= $to;
    }

    private function shareUsed(StarterRule $rule, CarbonImmutable $day): float
    {
        $last = $this->lastDone[$rule->task.$rule->kind->value];
        $every = $this->every($rule);
        $km = $this->distanceOnly() ? $this->run - $last['run'] : $this->km - $last['km'];

        return max(
            $every['hours'] === null
                ? 0
                : ($this->run - $last['run']) / ($this->nextHours($rule, $every['hours'], $last['run']) - $last['run']),
            $every['km'] === null ? 0 : $km / $every['km'],
            $every['months'] === null
                ? 0
                : ($day->getTimestamp() - $last['at']->getTimestamp()) / 86_400 / ($every['months'] * 30.4),
        );
    }

    private function nextHours(StarterRule $rule, float $every, float $last): float
    {
        $satisfied = $last + 0.1 * $every;
        $first = ($rule->rule->first[0] ?? null)?->hours?->toFloat() ?? 0;

        return match (true) {
            $first > $satisfied => $first,
            $this->machine->anchor === 'chart' => (floor($satisfied / $every) + 1) * $every,
            default => $last + $every,
        };
    }

    private function read(CarbonImmutable $day, string $by): void
    {
        $this->readings[] = [
            'at' => $this->gone($day->setTime($this->chance->getInt(7, 11), $this->chance->getInt(0, 59)), 20),
            'hours' => $this->hours(),
            'km' => $this->odometer(),
            'by' => $by,
        ];
    }

    /** However early it is today, it has been by now. */
    private function gone(CarbonImmutable $at, int $minutes): CarbonImmutable
    {
        return $at < $this->today
            ? $at
            : $at->min(CarbonImmutable::now($at->timezone)->subMinutes($minutes)->startOfMinute());
    }

    private function hours(): ?float
    {
        return $this->hasHourMeter() ? round($this->run - ($this->meterReplaced['old'] ?? 0), 1) : null;
    }

    private function odometer(): ?float
    {
        return $this->hasOdometer() ? round($this->distanceOnly() ? $this->run : $this->km) : null;
    }

    private function distanceOnly(): bool
    {
        return ! $this->hasHourMeter();
    }

    private function driver(): string
    {
        return ['bram', 'ilse', 'nell', 'otis', 'wilf'][$this->chance->getInt(0, 4)];
    }

    private function remark(): ?string
    {
        $remarks = [
            'Oil clear brown, nothing on the magnet.',
            'A little fine fuzz on the magnet, wiped.',
            'New crush washer.',
            'Filter marked with date and hours.',
            null,
            null,
            null,
            null,
        ];

        return $remarks[$this->chance->getInt(0, count($remarks) - 1)];
    }

    /** How much more or less than usual it must be run to end where its story wants it. */
    private function factorToFinish(): float
    {
        if ($this->machine->finishAt === null) {
            return 1.0;
        }
        $usual = array_sum($this->machine->weekly) * 52 / 12 * $this->machine->knownDays / 365;
        $storm = $this->machine->stormDaysAgo > 0 ? 60 : 0;

        return max(0.1, ($this->machine->finishAt - $this->machine->atStart - $storm) / $usual);
    }
}
