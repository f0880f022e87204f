<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\Subject;

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

    public function __construct(private readonly ServicedMachine $machine) {}

    /**
     * Writes a step down, with the cautions that belong to it.
     *
     * @param  Workpiece|null  $on  null for the place that its key names
     * @param  int|null  $minutes  null for the usual
     * @param  Subject  $subject  of what it is done to
     * @param  list<Caution>  $cautions  over and above
     * @return string its key
     */
    public function step(
        StepKey $name,
        string $says,
        ?Workpiece $on = null,
        Phase $phase = Phase::Reach,
        ?int $minutes = null,
        Subject $subject = Subject::Other,
        array $cautions = [],
    ): string {
        $key = (string) $name;
        if (isset($this->steps[$key])) {
            throw new \LogicException("The step \"{$key}\" is there already.");
        }
        $act = $name->verb->act();
        $this->steps[$key] = new Step(
            $name,
            $on ?? new Workpiece($name->place),
            $says,
            $minutes ?? $act->minutes(),
            [...Cautions::atStep($act, $this->machine->class, $subject), ...$cautions],
        );
        $this->phases[$key] = $phase;
        $this->before[$key] = [];

        return $key;
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
     * @param  string|list<string>  $for
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
        $sorted = $this->sorted();
        $direct = self::direct($sorted, $this->before);
        // What a step needs, all that need it cannot do without either.
        $needs = self::direct($sorted, $this->bonds['needs']);
        $steps = [];
        foreach ($sorted as $key) {
            $step = $this->steps[$key];
            $steps[] = new Step(
                StepKey::read($key),
                $step->on,
                $step->says,
                $step->minutes,
                $step->cautions,
                new Bonds(
                    $direct[$key],
                    $needs[$key],
                    array_keys($this->bonds['shut'][$key] ?? []),
                    array_keys($this->bonds['onlyIf'][$key] ?? []),
                ),
            );
        }

        return [$steps, $this->holds];
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
                    throw new \LogicException("The steps run in a circle at \"{$key}\".");
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
