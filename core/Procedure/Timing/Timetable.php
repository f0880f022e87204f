<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

/** When each step of a piece of work begins. */
final readonly class Timetable
{
    /**
     * @param  array<string, int>  $starts  minutes from the beginning, by step
     * @param  list<string>  $order  the keys of the steps as they begin
     * @param  int  $changes  how often hands left a place that still had something to do
     */
    private function __construct(
        public array $starts,
        public int $length,
        public int $lowerBound,
        public array $order,
        public int $changes = 0,
    ) {}

    /**
     * The shortest that a search finds: for a few steps the shortest there is. The same answer every time.
     *
     * @throws Impossible if no order comes to an end
     */
    public static function shortest(Workload $work): self
    {
        return self::of($work, (new Search($work))->best(), 0);
    }

    /**
     * Place first, minutes second: the best of several rounds of the machine, each by another rule. The same answer every time.
     *
     * @throws Impossible if no order comes to an end
     */
    public static function roundTheMachine(Workload $work, Weights $weights): self
    {
        $best = null;
        foreach ($work->ranks() as $ranks) {
            $round = RoundTheMachine::by($work, $ranks);
            $tried = $round === null ? null : self::of($work, ...$round);
            if ($tried !== null && ($best === null || $tried->cost($weights) < $best->cost($weights))) {
                $best = $tried;
            }
        }

        return $best ?? self::shortest($work);
    }

    private function cost(Weights $weights): int
    {
        return $this->length + $weights->place * $this->changes;
    }

    /** @param  array<int, int>  $starts */
    private static function of(Workload $work, array $starts, int $changes): self
    {
        $byKey = [];
        $length = 0;
        foreach ($starts as $number => $start) {
            $byKey[$work->keys[$number]] = $start;
            $length = max($length, $start + $work->steps[$number]->minutes);
        }
        $order = array_keys($starts);
        // Of steps that begin together, one that takes no time comes before what waits for it.
        usort($order, fn (int $one, int $other): int => [$starts[$one], $work->depths[$one], $one]
            <=> [$starts[$other], $work->depths[$other], $other]);

        return new self($byKey, $length, $work->lowerBound(), array_map(
            fn (int $number): string => $work->keys[$number],
            $order,
        ), $changes);
    }
}
