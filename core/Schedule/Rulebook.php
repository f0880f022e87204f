<?php

declare(strict_types=1);

namespace Core\Schedule;

/** A machine's rules, and how its tasks hang together: a bigger one counts as the smaller it contains, one goes with another. */
final readonly class Rulebook
{
    /** @var array<string, RulebookLine> by the id of its task */
    private array $lines;

    /**
     * @param  list<RulebookLine>  $lines
     *
     * @throws \InvalidArgumentException if tasks contain or accompany each other in a circle, or a task that goes with none has no rule
     */
    public function __construct(array $lines)
    {
        $this->lines = array_column(array_map(fn (RulebookLine $line): array => [$line->task->id, $line], $lines), 1, 0);
        foreach ($this->lines as $line) {
            $this->refuseCircle($line, fn (RulebookLine $one): ?string => $one->containedIn);
            $this->refuseCircle($line, fn (RulebookLine $one): ?string => $one->goesWith);
            if ($line->rule === null && $this->named($line->goesWith) === null) {
                throw new \InvalidArgumentException("{$line->task->name} never falls due.");
            }
        }
    }

    /**
     * @param  array<string, RuleFacts>  $facts  by the id of their task; where there are none, nothing is known
     * @return array<string, Standing> by the id of their task
     */
    public function standings(array $facts, Point $now): array
    {
        $standings = [];
        foreach ($this->lines as $id => $line) {
            $standings[$id] = $this->standing($line, $facts, $now);
        }

        return $standings;
    }

    /**
     * Every task that is done along with those chosen: what they contain and what goes with them.
     *
     * @param  list<string>  $ids
     * @return list<string> of the rest
     */
    public function alongWith(array $ids): array
    {
        $along = [];
        foreach ($this->lines as $line) {
            if (in_array($line->task->id, $ids, true)) {
                continue;
            }
            $bigger = array_map(fn (RulebookLine $line): string => $line->task->id, $this->containers($line));
            if (array_intersect($bigger, $ids) !== [] || in_array($line->goesWith, $ids, true)) {
                $along[] = $line->task->id;
            }
        }

        return $along;
    }

    /** @param  array<string, RuleFacts>  $facts */
    private function standing(RulebookLine $line, array $facts, Point $now): Standing
    {
        $known = $facts[$line->task->id] ?? new RuleFacts;
        $done = $known->done;
        foreach ($this->containers($line) as $bigger) {
            $done = [...$done, ...($facts[$bigger->task->id] ?? new RuleFacts)->done];
        }
        $own = $line->rule === null ? null : Standing::of($line->rule, $known->start, $done, $now, $known->skipped, $known->call);
        $host = $this->named($line->goesWith);
        if ($host !== null) {
            return Standing::goingWith($host->task, $this->standing($host, $facts, $now), $own, Standing::newest($done));
        }

        return $own ?? throw new \LogicException('A line without a host has a rule.');
    }

    /** @return list<RulebookLine> the bigger tasks that count as this one, the nearest first */
    private function containers(RulebookLine $line): array
    {
        $containers = [];
        while (($line = $this->named($line->containedIn)) !== null) {
            $containers[] = $line;
        }

        return $containers;
    }

    private function named(?string $id): ?RulebookLine
    {
        return $id === null ? null : $this->lines[$id] ?? null;
    }

    /** @param  \Closure(RulebookLine): ?string  $next */
    private function refuseCircle(RulebookLine $line, \Closure $next): void
    {
        $seen = [];
        for ($at = $line; $at !== null; $at = $this->named($next($at))) {
            if (isset($seen[$at->task->id])) {
                throw new \InvalidArgumentException("{$line->task->name} would come round to itself.");
            }
            $seen[$at->task->id] = true;
        }
    }
}
