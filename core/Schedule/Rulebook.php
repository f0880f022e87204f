<?php

declare(strict_types=1);

namespace Core\Schedule;

use Core\Machine\Point;

/** A machine's rules, and which tasks are done in the course of others. */
final readonly class Rulebook
{
    /** @var array<string, RulebookLine> by the id of its task */
    private array $lines;

    /**
     * @param  list<RulebookLine>  $lines
     *
     * @throws ComesRound if tasks accompany each other in a circle
     * @throws NeverDue if a task that goes with none has no rule
     */
    public function __construct(array $lines)
    {
        $this->lines = array_column(
            array_map(fn (RulebookLine $line): array => [$line->task->id, $line], $lines),
            1,
            0,
        );
        foreach ($this->lines as $line) {
            if ($this->comesRound($line)) {
                throw new ComesRound("{$line->task->name} would come round to itself.");
            }
            if ($line->rule === null && $this->named($line->goesWith) === null) {
                throw new NeverDue("{$line->task->name} never falls due.");
            }
        }
    }

    /**
     * @param  array<int, RuleFacts>  $facts  by the id of their task; where there are none, nothing is known
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

    /** @param  array<int, RuleFacts>  $facts */
    private function standing(RulebookLine $line, array $facts, Point $now): Standing
    {
        $known = $facts[$line->task->id] ?? new RuleFacts;
        $own = $line->rule === null
            ? null
            : StandingOf::rule(
                $line->rule,
                $known->start,
                $known->done,
                $now,
                $known->skipped,
                $known->call,
                $known->apart,
            );
        $host = $this->named($line->goesWith);
        if ($host !== null) {
            return StandingOf::goingWith(
                $host->task,
                $this->standing($host, $facts, $now),
                $own,
                StandingOf::newest($known->done),
            );
        }

        return $own ?? throw new \LogicException('A line without a host has a rule.');
    }

    private function named(?string $id): ?RulebookLine
    {
        return $id === null ? null : $this->lines[$id] ?? null;
    }

    private function comesRound(RulebookLine $line): bool
    {
        $seen = [];
        for ($at = $line; $at !== null; $at = $this->named($at->goesWith)) {
            if (isset($seen[$at->task->id])) {
                return true;
            }
            $seen[$at->task->id] = true;
        }

        return false;
    }
}
