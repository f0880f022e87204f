<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

/** Lays steps out in time, one after the other by rank, each as early as it fits among those laid out before. */
final readonly class Layout
{
    public function __construct(private Workload $work) {}

    /**
     * @param  array<int, int>  $ranks  by step, the least first
     * @return array<int, int>|null starts by step; null where what they hold of each other never lets go
     */
    public function by(array $ranks): ?array
    {
        $work = $this->work;
        $people = new Profile($work->people);
        $resources = array_map(fn (int $count): Profile => new Profile($count), $work->counts);
        $ends = $starts = $waiting = $open = [];
        $ready = [];
        foreach ($work->before as $number => $before) {
            $waiting[$number] = count($before);
            if ($before === []) {
                $ready[$number] = $ranks[$number];
            }
        }
        while ($ready !== []) {
            asort($ready);
            $placed = null;
            foreach (array_keys($ready) as $number) {
                $start = $this->earliest($number, $ends, $people, $resources);
                if ($start !== null) {
                    $placed = $number;
                    break;
                }
            }
            if ($placed === null) {
                return null;
            }
            unset($ready[$placed]);
            $step = $work->steps[$placed];
            $starts[$placed] = $start;
            $ends[$placed] = $end = $start + $step->minutes;
            if ($step->attended) {
                $people->take($start, $end);
            }
            foreach ($work->uses[$placed] as $resource) {
                $resources[$resource]->take($start, $end);
            }
            foreach ($work->begins[$placed] as [$resource, $to]) {
                $resources[$resource]->take($start, $ends[$to] ?? null);
                if (! isset($ends[$to])) {
                    $open[$to][] = $resource;
                }
            }
            foreach ($open[$placed] ?? [] as $resource) {
                $resources[$resource]->take($end, null, -1);
            }
            unset($open[$placed]);
            foreach ($work->next[$placed] as $follower) {
                if (--$waiting[$follower] === 0) {
                    $ready[$follower] = $ranks[$follower];
                }
            }
        }

        return $starts;
    }

    /**
     * @param  array<int, int>  $ends  of those laid out
     * @param  list<Profile>  $resources
     */
    private function earliest(int $number, array $ends, Profile $people, array $resources): ?int
    {
        $step = $this->work->steps[$number];
        $start = 0;
        foreach ($this->work->before[$number] as $before) {
            $start = max($start, $ends[$before]);
        }
        do {
            $tried = $start;
            if ($step->attended) {
                $start = $people->fits($start, $step->minutes) ?? $start;
            }
            foreach ($this->work->uses[$number] as $resource) {
                $start = $resources[$resource]->fits($start, $step->minutes);
                if ($start === null) {
                    return null;
                }
            }
            foreach ($this->work->begins[$number] as [$resource]) {
                $start = $resources[$resource]->fits($start, null);
                if ($start === null) {
                    return null;
                }
            }
        } while ($start !== $tried);

        return $start;
    }
}
