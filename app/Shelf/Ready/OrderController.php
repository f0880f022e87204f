<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Machines\Yard;
use App\Rulebook\Standings\DueTasks;
use Core\Form\Written;
use Core\Measure\Day;
use Core\Supply\Need\OrderTime;
use Core\Supply\Need\Preference;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** What to order for the next three months, and by when. */
final readonly class OrderController
{
    /** What falls due on a machine within so many days is done together. Common practice, no source. */
    private const DAYS_TOGETHER = 14;

    public function __construct(private ReadyWorks $works, private KeptNeeds $kept, private Yard $yard)
    {
    }

    public function index(Request $request): JsonResponse
    {
        $preference = Preference::from($request->validate([
            'preference' => ['sometimes', Rule::enum(Preference::class)],
        ])['preference'] ?? Preference::Makers->value);

        return JsonResponse::fromJsonString(
            $this->kept->of(['orders', $preference->value], fn (): array => $this->orders($preference)),
        );
    }

    /** @return array<string, mixed> as the contract's `Orders` */
    private function orders(Preference $preference): array
    {
        $today = $this->yard->today();
        $until = Day::of(Day::number($today) + DueTasks::DAYS_AHEAD);
        $needs = app(ReadyNeeds::class)->of($this->eachTime($until, Day::number($today)), $preference);
        $orders = array_map(function (array $line) use ($today): array {
            $time = OrderTime::of(
                new \DateTimeImmutable(($line['lacking_on'] ?? $today->format('Y-m-d')).'T00:00:00Z'),
                $line['delivery_days'],
                $today,
            );

            return [
                ...array_diff_key($line, ['delivery_days' => true]),
                'order_by' => Written::day($time->by),
                'is_now' => $time->isNow,
                'why' => $time->why,
            ];
        }, $needs['to_buy']);
        usort($orders, fn (array $one, array $other): int => [! $one['is_now'], $one['order_by'] ?? '9', $one['name']]
            <=> [! $other['is_now'], $other['order_by'] ?? '9', $other['name']]);

        return [
            'until' => $until->format('Y-m-d'),
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
