<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Machines\Yard;
use App\Rulebook\Standings\DueTasks;
use Core\Form\Notation;
use Core\Measure\Day;
use Core\Supply\Need\OrderTime;
use Core\Supply\Need\Preference;

/** What to order for the next three months, and by when. */
final readonly class Orders
{
    /** What falls due on a machine within so many days is done together. Common practice, no source. */
    private const DAYS_TOGETHER = 14;

    public function __construct(private ReadyWorks $works, private ReadyNeeds $needs, private Yard $yard) {}

    /** @return list<string> under which they are kept */
    public static function key(Preference $preference): array
    {
        return ['orders', $preference->value];
    }

    /** @return array<string, mixed> as the contract's `Orders`, but whether they are behind */
    public function reckoned(Preference $preference): array
    {
        [$today, $until] = [Day::number($this->yard->today()), $this->until()];

        return $this->told($this->eachTime($until, $today), $preference);
    }

    /** @return array<string, mixed> the same where nothing is reckoned yet */
    public function none(Preference $preference): array
    {
        return $this->told([], $preference);
    }

    private function until(): \DateTimeImmutable
    {
        return Day::of(Day::number($this->yard->today()) + DueTasks::DAYS_AHEAD);
    }

    /**
     * @param  list<ReadyWork>  $works
     * @return array<string, mixed>
     */
    private function told(array $works, Preference $preference): array
    {
        $today = $this->yard->today();
        $needs = $this->needs->of($works, $preference);
        $orders = array_map(function (array $line) use ($today): array {
            $time = OrderTime::of(
                new \DateTimeImmutable(($line['lacking_on'] ?? $today->format('Y-m-d')).'T00:00:00Z'),
                $line['delivery_days'],
                $today,
            );

            return [
                ...array_diff_key($line, ['delivery_days' => true]),
                'order_by' => Notation::day($time->by),
                'is_now' => $time->isNow,
                'why' => $time->why,
            ];
        }, $needs['to_buy']);
        usort($orders, fn (array $one, array $other): int => [! $one['is_now'], $one['order_by'] ?? '9', $one['name']]
            <=> [! $other['is_now'], $other['order_by'] ?? '9', $other['name']]);

        return [
            'until' => $this->until()->format('Y-m-d'),
            'orders' => $orders,
            ...array_intersect_key($needs, array_flip(['preference', 'costs', 'currency', 'unknown'])),
        ];
    }

    /** @return list<ReadyWork> each task as often as it will come */
    private function eachTime(\DateTimeImmutable $until, int $today): array
    {
        $works = [];
        foreach ($this->works->dueBy($until) as $work) {
            foreach ($work->due->days ?? [] as $day) {
                $day = max($day, $today);
                if ($day <= Day::number($until)) {
                    $works[] = $work->onVisit(intdiv($day - $today, self::DAYS_TOGETHER), $day);
                }
            }
        }

        return $works;
    }
}
