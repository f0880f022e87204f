<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;

/** A service while its steps are being written down and bound to each other. */
final class Draft
{
    /** @var array<string, Step> by key */
    private array $steps = [];

    /** @var array<string, Phase> by key */
    private array $phases = [];

    /** @var array<string, array<string, true>> by key, the keys of those before it */
    private array $before = [];

    /** @var array<string, array<string, array<string, true>>> by bond and key */
    private array $bonds = ['needs' => [], 'shut' => [], 'onlyIf' => []];

    /** @var list<Hold> */
    private array $holds = [];

    /** @var array<string, list<Caution>> by key */
    private array $cautions = [];

    /** @var array<string, true> by key */
    private array $cooling = [];

    /** @var array<string, list<string>> by key, the findings that it puts right */
    private array $answers = [];

    /** @var list<string> */
    private array $fuelOpen = [];

    /** @var list<array{string, string, bool}> */
    private array $posts = [];

    /** @var array<string, string> by key, of what it is one block */
    private array $blocks = [];

    /** @var array<string, string> by key, its other half */
    private array $pairs = [];

    /** @param  array<string, string>  $housings  by the key of what sits in one, which */
    public function __construct(private readonly array $housings = []) {}

    /**
     * Writes a step down.
     *
     * @param  Workpiece|null  $on  null for the place that its key names
     * @param  int|null  $minutes  null for the usual
     * @param  list<Caution>  $cautions  where what can hurt can be done, and nowhere else
     * @param  string  $block  what must follow each other at once
     * @return string its key
     */
    public function step(
        StepKey $name,
        string $says,
        ?Workpiece $on = null,
        Phase $phase = Phase::Reach,
        ?int $minutes = null,
        array $cautions = [],
        string $block = '',
    ): string {
        $key = (string) $name;
        if (isset($this->steps[$key])) {
            throw new \LogicException("The step \"{$key}\" is there already.");
        }
        $on ??= new Workpiece($name->place);
        $this->steps[$key] = new Step(
            $name,
            $on,
            $says,
            $minutes ?? $name->verb->act()->minutes(),
            $cautions,
            new Bonds(block: $block),
            $on->at === ServicedMachine::KEY || count($on->covers) > 1 ? '' : $this->housings[$on->at] ?? $on->at,
        );
        $this->phases[$key] = $phase;
        $this->before[$key] = [];

        return $key;
    }

    /** Something can be hurt at a step that others than its way know of. */
    public function warn(string $step, Caution ...$cautions): void
    {
        $this->cautions[$step] = [...$this->cautions[$step] ?? [], ...array_values($cautions)];
    }

    /** Fuel is open meanwhile. */
    public function opensFuel(string ...$steps): void
    {
        $this->fuelOpen = [...$this->fuelOpen, ...array_values($steps)];
    }

    /** @return list<string> */
    public function fuelOpen(): array
    {
        return array_values(array_unique(array_filter($this->fuelOpen, $this->has(...))));
    }

    /**
     * Hands are at a battery's posts.
     *
     * @param  bool  $isOffMeanwhile  whether it stays off while others work, and so may go off before anything else
     */
    public function posts(string $off, string $on, bool $isOffMeanwhile): void
    {
        $this->posts[] = [$off, $on, $isOffMeanwhile];
    }

    /** @return list<array{string, string, bool}> */
    public function atPosts(): array
    {
        return $this->posts;
    }

    /** What was warmed runs out there. */
    public function cools(string ...$steps): void
    {
        $this->cooling += array_fill_keys($steps, true);
    }

    /** They follow each other at once. */
    public function block(string $block, string ...$steps): void
    {
        foreach ($steps as $step) {
            $this->blocks[$step] = $block;
        }
    }

    /** One step undoes what the other does up again. */
    public function pair(string $undoes, string $doesUp): void
    {
        $this->pairs[$undoes] = $doesUp;
        $this->pairs[$doesUp] = $undoes;
    }

    /** The step that does up what one undoes, or the other way round. */
    public function otherHalf(string $step): string
    {
        return $this->pairs[$step];
    }

    /**
     * Findings that a step puts right, beside those that it puts right already.
     *
     * @param  list<string>  $findings  their keys
     */
    public function answers(string $step, array $findings): void
    {
        $this->answers[$step] = array_values(array_unique([...$this->answers[$step] ?? [], ...$findings]));
    }

    /** It is done in another part of the service, after what stands there already. */
    public function move(string $step, Phase $to): void
    {
        if (isset($this->phases[$step])) {
            unset($this->phases[$step]);
            $this->phases[$step] = $to;
        }
    }

    /** @return list<string> the steps that wait for one */
    public function behind(string $step): array
    {
        return array_map(strval(...), array_keys(array_filter($this->before, fn (array $before): bool => isset($before[$step]))));
    }

    /** @return list<string> the steps that one waits for */
    public function before(string $step): array
    {
        return array_map(strval(...), array_keys($this->before[$step]));
    }

    public function has(string $key): bool
    {
        return isset($this->steps[$key]);
    }

    /** @return list<string> */
    public function in(Phase ...$phases): array
    {
        return array_keys(array_filter($this->phases, fn (Phase $phase): bool => in_array($phase, $phases, true)));
    }

    /**
     * @param  callable(Step): bool  $holds
     * @return list<string>
     */
    public function those(callable $holds): array
    {
        return array_keys(array_filter($this->steps, $holds));
    }

    /**
     * A step waits for others, as far as they are there.
     *
     * @param  string|array<string>  $for
     */
    public function waits(string $step, string|array $for): void
    {
        foreach ((array) $for as $before) {
            if ($before !== $step && isset($this->steps[$before], $this->steps[$step])) {
                $this->before[$step][$before] = true;
            }
        }
    }

    /**
     * It cannot be done unless all of these were.
     *
     * @param  string|list<string>  $on
     */
    public function needs(string $step, string|array $on): void
    {
        $this->bind('needs', $step, (array) $on);
    }

    /**
     * It cannot be done while one of these is still to be done up.
     *
     * @param  string|list<string>  $done
     */
    public function shut(string $step, string|array $done): void
    {
        $this->bind('shut', $step, (array) $done);
    }

    /**
     * It is called for only where one of these was done.
     *
     * @param  string|list<string>  $undone
     */
    public function onlyIf(string $step, string|array $undone): void
    {
        $this->bind('onlyIf', $step, (array) $undone);
    }

    public function hold(string $resource, string $from, string $to): void
    {
        if (isset($this->steps[$from], $this->steps[$to])) {
            $this->holds[] = new Hold($resource, $from, $to);
        }
    }

    /** @return array{list<Step>, list<Hold>} in an order that respects what waits for what */
    public function done(): array
    {
        $this->closeRanks();
        $sorted = $this->sorted();
        $direct = self::direct($sorted, $this->before);
        // What a step needs, all that need it cannot do without either.
        $needs = self::direct($sorted, $this->bonds['needs']);
        $steps = [];
        foreach ($sorted as $key) {
            $step = $this->steps[$key];
            $steps[] = new Step(
                StepKey::read($key),
                isset($this->answers[$key]) ? $step->on->answering($this->answers[$key]) : $step->on,
                $step->says,
                $step->minutes,
                self::each([...$step->cautions, ...$this->cautions[$key] ?? []]),
                new Bonds(
                    $direct[$key],
                    $needs[$key],
                    array_map(strval(...), array_keys($this->bonds['shut'][$key] ?? [])),
                    array_map(strval(...), array_keys($this->bonds['onlyIf'][$key] ?? [])),
                    $this->pairs[$key] ?? '',
                    $this->blocks[$key] ?? $step->bonds->block,
                ),
                $step->place,
                isset($this->cooling[$key]),
            );
        }

        return [$steps, $this->holds];
    }

    /**
     * @param  list<Caution>  $cautions
     * @return list<Caution>
     */
    private static function each(array $cautions): array
    {
        return array_values(array_column($cautions, null, 'value'));
    }

    /** @param  array<string>  $to */
    private function bind(string $bond, string $step, array $to): void
    {
        foreach ($to as $other) {
            if ($other !== $step && isset($this->steps[$other], $this->steps[$step])) {
                $this->bonds[$bond][$step][$other] = true;
                $this->before[$step][$other] = true;
            }
        }
    }

    /** What any step of a block waits for, from outside, its first step waits for: nothing comes in between. */
    private function closeRanks(): void
    {
        $blocks = [];
        foreach ($this->steps as $key => $step) {
            $block = $this->blocks[$key] ?? $step->bonds->block;
            if ($block !== '') {
                $blocks[$block][] = $key;
            }
        }
        foreach ($blocks as $members) {
            $first = $this->firstOf($members);
            foreach ($members as $member) {
                foreach (array_keys($this->before[$member]) as $before) {
                    if (! in_array($before, $members, true) && ! $this->follows($before, $members)) {
                        $this->waits($first, $before);
                    }
                }
            }
        }
    }

    /** @param  non-empty-list<string>  $members */
    private function firstOf(array $members): string
    {
        foreach ($members as $member) {
            if (array_intersect(array_keys($this->before[$member]), $members) === []) {
                return $member;
            }
        }

        throw new \LogicException('A block of steps has no first.');
    }

    /** @param  list<string>  $members */
    private function follows(string $step, array $members): bool
    {
        $seen = [];
        $open = [$step];
        while ($open !== []) {
            $one = array_pop($open);
            if (in_array($one, $members, true)) {
                return true;
            }
            foreach (array_keys($this->before[$one]) as $before) {
                if (! isset($seen[$before])) {
                    $seen[$before] = true;
                    $open[] = $before;
                }
            }
        }

        return false;
    }

    /**
     * Each after those before it, as early as they were written down.
     *
     * @return list<string>
     */
    private function sorted(): array
    {
        $sorted = $begun = [];
        $visit = function (string $key) use (&$visit, &$sorted, &$begun): void {
            if (isset($begun[$key])) {
                if (! isset($sorted[$key])) {
                    throw new \LogicException('The steps run in a circle: '.implode(', ', array_keys(array_diff_key($begun, $sorted))).", {$key}.");
                }

                return;
            }
            $begun[$key] = true;
            foreach (array_keys($this->before[$key]) as $before) {
                $visit((string) $before);
            }
            $sorted[$key] = $key;
        };
        foreach (array_keys($this->steps) as $key) {
            $visit((string) $key);
        }

        return array_values($sorted);
    }

    /**
     * @param  list<string>  $sorted
     * @param  array<string, array<string, true>>  $before
     * @return array<string, list<string>> by key, those before it that do not follow from others
     */
    private static function direct(array $sorted, array $before): array
    {
        $reach = $direct = [];
        foreach ($sorted as $key) {
            $own = $before[$key] ?? [];
            $through = [];
            foreach (array_keys($own) as $one) {
                $through += $reach[$one];
            }
            $direct[$key] = array_map(strval(...), array_keys(array_diff_key($own, $through)));
            $reach[$key] = $through + $own;
        }

        return $direct;
    }
}
