<?php

declare(strict_types=1);

namespace Core\Schedule;

use Core\Machine\Point;

/** A machine's rules, and how its tasks hang together: a bigger one counts as the smaller it contains, one goes with another. */
final readonly class Rulebook
{
    /** @var array<string, RulebookLine> by the id of its task */
    private array $lines;

    /**
     * @param  list<RulebookLine>  $lines
     *
     * @throws ComesRound if tasks contain or accompany each other in a circle
     * @throws NeverDue if a task that goes with none has no rule
     */
    public function __construct(array $lines)
    {
        $this->lines = array_column(array_map(fn (RulebookLine $line): array => [$line->task->id, $line], $lines), 1, 0);
        foreach ($this->lines as $line) {
            if ($this->comesRound($line, fn (RulebookLine $one): ?string => $one->containedIn)) {
                throw ComesRound::byContaining($line->task);
            }
            if ($this->comesRound($line, fn (RulebookLine $one): ?string => $one->goesWith)) {
                throw ComesRound::byGoingWith($line->task);
            }
            if ($line->rule === null && $this->named($line->goesWith) === null) {
                throw new NeverDue("{$line->task->name} never falls due.");
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
    private function comesRound(RulebookLine $line, \Closure $next): bool
    {
        $seen = [];
        for ($at = $line; $at !== null; $at = $this->named($next($at))) {
            if (isset($seen[$at->task->id])) {
                return true;
            }
            $seen[$at->task->id] = true;
        }

        return false;
    }
}
