<?php

declare(strict_types=1);

namespace Core\Machine;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;

/**
 * When a task was last done: in each dimension at the least of its spots' newest acts that meet it. A spot that has
 * none leaves the whole undone.
 */
final readonly class LastDone
{
    private const NAMES_TOLD = 2;

    /**
     * @param  Point|null  $point  null where a spot has none
     * @param  \DateTimeImmutable|null  $at  the moment at which the last of its spots was done
     * @param  list<string>  $lacking  the names of the spots that have none
     * @param  list<string>  $behind  the names of the spots done before the newest of them, which the whole is counted
     *     from
     */
    private function __construct(
        public ?Point $point,
        public ?\DateTimeImmutable $at,
        private int $spots,
        private array $lacking = [],
        private array $behind = [],
    ) {}

    /**
     * @param  array<string, string>  $spots  of the task: names by key
     * @param  array<string, list<NewestAct>>  $acts  by spot
     * @param  array<string, list<string>>  $levelChecks  by spot, the keys of the checks that read its level
     */
    public static function of(Task $task, array $spots, array $acts, array $levelChecks = []): self
    {
        $newest = [];
        foreach ($spots as $key => $name) {
            $newest[$key] = self::newest($task, $acts[$key] ?? [], $levelChecks[$key] ?? []);
        }
        $done = array_filter($newest);
        if ($done === [] || count($done) < count($spots)) {
            return new self(null, null, count($spots), array_values(array_diff_key($spots, $done)));
        }
        if (count($done) === 1) {
            [$at, $point] = reset($done);

            return new self($point, $at, 1);
        }
        $last = max(array_map(fn (array $one): string => $one[1]->date?->format('Y-m-d') ?? '', $done));
        $behind = array_filter($done, fn (array $one): bool => ($one[1]->date?->format('Y-m-d') ?? '') < $last);

        return new self(
            self::least(array_column($done, 1)),
            min(array_column($done, 0)),
            count($spots),
            [],
            array_values(array_intersect_key($spots, $behind)),
        );
    }

    /**
     * `12 of 14 are on record; never: king pin, left.`, `13 of 14 were done later; left: clutch hub.`; empty where all
     * were done together, or none.
     */
    public function apart(): string
    {
        $left = $this->lacking === [] ? $this->behind : $this->lacking;
        $others = $this->spots - count($left);
        if ($left === [] || $others === 0) {
            return '';
        }
        $names = implode(
            ', ',
            array_map(Plain::within(...), array_slice($left, 0, self::NAMES_TOLD)),
        ).(count($left) > self::NAMES_TOLD ? ' and '.(count($left) - self::NAMES_TOLD).' more' : '');

        return "{$others} of {$this->spots} ".match (true) {
            $this->lacking !== [] => ($others === 1 ? 'is' : 'are')." on record; never: {$names}.",
            default => ($others === 1 ? 'was' : 'were')." done later; left: {$names}.",
        };
    }

    /**
     * @param  list<NewestAct>  $acts
     * @param  list<string>  $levelChecks
     * @return array{\DateTimeImmutable, Point}|null
     */
    private static function newest(Task $task, array $acts, array $levelChecks): ?array
    {
        $met = Meets::of($task->kind);
        $at = $point = null;
        foreach ($acts as $act) {
            if (
                ! isset($met[$act->kind->value])
                || ! $met[$act->kind->value][0]->holds($task, $act->check, $act->fit, $levelChecks)
            ) {
                continue;
            }
            $at = max($at, $act->at);
            $point = $point === null ? $act->point : self::greatest($point, $act->point);
        }

        return $at === null || $point === null ? null : [$at, $point];
    }

    private static function greatest(Point $one, Point $other): Point
    {
        $later = fn (?BigDecimal $one, ?BigDecimal $other): ?BigDecimal => $one === null
            || $other?->isGreaterThan($one) === true
            ? $other
            : $one;

        return new Point(
            $later($one->hours, $other->hours),
            $later($one->km, $other->km),
            max($one->date, $other->date),
        );
    }

    /** @param  non-empty-list<Point>  $points */
    private static function least(array $points): Point
    {
        return new Point(
            self::leastOf(array_map(fn (Point $point): ?BigDecimal => $point->hours, $points)),
            self::leastOf(array_map(fn (Point $point): ?BigDecimal => $point->km, $points)),
            min(array_map(fn (Point $point): ?\DateTimeImmutable => $point->date, $points)),
        );
    }

    /** @param  non-empty-list<BigDecimal|null>  $runs */
    private static function leastOf(array $runs): ?BigDecimal
    {
        $least = $runs[0];
        foreach ($runs as $run) {
            $least = $least === null || $run === null ? null : BigDecimal::min($least, $run);
        }

        return $least;
    }
}
