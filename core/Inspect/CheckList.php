<?php

declare(strict_types=1);

namespace Core\Inspect;

/** The checks of a machine in the order in which one walks round it. */
final readonly class CheckList
{
    /** @param  list<Check>  $checks */
    public function __construct(public array $checks) {}

    /**
     * The list with what a keeper changed: for the class first, then for the machine.
     *
     * @param  list<CheckChange>  $changes
     */
    public function changed(array $changes, LimitSource $by): self
    {
        $checks = array_column(array_map(fn (Check $check): array => [$check->key, $check], $this->checks), 1, 0);
        $places = array_flip(array_keys($checks));
        foreach ($changes as $change) {
            $present = $checks[$change->key] ?? null;
            $changed = $change->on($present, $by);
            if ($changed === null) {
                unset($checks[$change->key]);
            } else {
                $checks[$change->key] = $changed;
                $places[$change->key] = $change->position ?? $places[$change->key] ?? count($places);
            }
        }
        uksort($checks, fn (string $one, string $other): int => $places[$one] <=> $places[$other]);

        return new self(array_values($checks));
    }

    /** @return list<Check> what a round of a kind asks for on a day */
    public function ofRound(RoundKind $round, \DateTimeImmutable $day): array
    {
        return array_values(array_filter($this->checks, fn (Check $check): bool => $check->isAsked($round, $day)));
    }

    public function find(string $key): ?Check
    {
        foreach ($this->checks as $check) {
            if ($check->key === $key) {
                return $check;
            }
        }

        return null;
    }
}
