<?php

declare(strict_types=1);

namespace Core\Forecast;

use Core\Machine\TaskKind;
use Core\Schedule\State;

/**
 * What to do first on a machine whose past nobody knows: look at everything before it is run, then change what cannot
 * be seen, the shortest interval first, then grease and clean. Common practice, no source.
 */
final readonly class FirstThings
{
    private const TURNS = [
        'Look first: it costs nothing and says what is wrong.' => [
            TaskKind::CheckLevel,
            TaskKind::Inspect,
            TaskKind::Sample,
        ],
        'Change what nobody can see the age of.' => [TaskKind::Replace],
        'Then the rest.' => [TaskKind::Lubricate, TaskKind::Clean, TaskKind::Adjust, TaskKind::Run],
    ];

    /** @param  list<TaskStanding>  $tasks in the order to do them */
    private function __construct(public string $reason, public array $tasks) {}

    /**
     * @param  list<TaskStanding>  $tasks
     * @return list<self> in the order to do them; those already on record are left out
     */
    public static function of(array $tasks): array
    {
        $turns = [];
        foreach (self::TURNS as $reason => $kinds) {
            $unknown = array_values(
                array_filter(
                    $tasks,
                    fn (TaskStanding $one): bool => $one->standing->state === State::Unknown
                        && in_array($one->task->kind, $kinds, true),
                ),
            );
            usort(
                $unknown,
                fn (TaskStanding $one, TaskStanding $other): int => self::length($one) <=> self::length($other),
            );
            if ($unknown !== []) {
                $turns[] = new self($reason, $unknown);
            }
        }

        return $turns;
    }

    /** How long its interval is, a month taken for ten hours, an hour for 16 km. */
    private static function length(TaskStanding $task): float
    {
        $every = $task->standing->rule->every;
        $lengths = array_filter(
            [
                $every->hours?->toFloat(),
                $every->km === null ? null : $every->km->toFloat() / 16,
                $every->months === null ? null : $every->months * 10.0,
            ],
        );

        return $lengths === [] ? INF : min($lengths);
    }
}
