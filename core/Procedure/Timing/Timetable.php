<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

/** When each step of a piece of work begins. */
final readonly class Timetable
{
    /**
     * @param  array<string, int>  $starts  minutes from the beginning, by step
     * @param  list<string>  $order  the keys of the steps as they begin
     */
    private function __construct(
        public array $starts,
        public int $length,
        public int $lowerBound,
        public array $order,
    ) {}

    /**
     * The shortest that a search finds: for a few steps the shortest there is. The same answer every time.
     *
     * @throws Impossible if no order comes to an end
     */
    public static function shortest(Workload $work): self
    {
        $starts = (new Search($work))->best();
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
        ));
    }
}
