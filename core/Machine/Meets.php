<?php

declare(strict_types=1);

namespace Core\Machine;

/**
 * Which act meets which task at the same spot. Common practice, no source.
 *
 * What was not done, was read the wrong way, or only put right what had been found meets nothing; neither does a fluid
 * drained alone or filled alone, nor an opening that was closed.
 */
enum Meets
{
    /** However it was done. */
    case Always;
    /** By the task's own check, where it names one. */
    case ByItsCheck;
    /** Where the task names no check. */
    case UnlessCheckNamed;
    /** Where the task's own check found it fit. */
    case FitByItsCheck;
    /** Where the check reads the level. */
    case ByLevelCheck;

    /** The name of a level told without a check. */
    public const LEVEL = 'level';

    /** @return array<string, array{self, string}> by the act's value: under what condition it meets such a task, and why */
    public static function of(TaskKind $task): array
    {
        return match ($task) {
            TaskKind::Replace => [
                'replaced' => [self::Always, 'a new part is a new part'],
                'changed' => [self::Always, 'a fluid that is changed is new'],
                'filled' => [
                    self::Always,
                    'filled after it ran out of every drain, within one entry or job, it is new; else the act does not stand for it',
                ],
            ],
            TaskKind::Inspect => [
                'looked' => [self::ByItsCheck, 'it was looked at, whatever was seen: a finding says the rest'],
                'measured' => [self::ByItsCheck, 'it was measured, whatever came out: a finding says the rest'],
                'replaced' => [self::Always, 'a new part has been in somebody\'s hand'],
                'cleaned' => [self::UnlessCheckNamed, 'nobody cleans a thing without seeing it'],
                'adjusted' => [self::UnlessCheckNamed, 'nobody adjusts a thing without seeing it'],
            ],
            TaskKind::Clean => [
                'cleaned' => [self::Always, 'it was cleaned'],
                'replaced' => [self::Always, 'a new part is clean'],
            ],
            TaskKind::Adjust => [
                'adjusted' => [self::Always, 'it was adjusted'],
                'replaced' => [self::Always, 'a new part is adjusted as it is fitted'],
                'looked' => [self::FitByItsCheck, 'found right, there is nothing to adjust'],
                'measured' => [self::FitByItsCheck, 'found right, there is nothing to adjust'],
            ],
            TaskKind::Lubricate => [
                'lubricated' => [
                    self::Always,
                    'it had enough: its strokes within a quarter of its interval, or its end sign',
                ],
            ],
            TaskKind::CheckLevel => [
                'looked' => [self::ByLevelCheck, 'its level was looked at'],
                'measured' => [self::ByLevelCheck, 'its level was read as it is to be read'],
                'topped_up' => [self::Always, 'who tops up has seen the level, unless the reading with it is none'],
                'changed' => [self::Always, 'a fluid is filled to its level'],
            ],
            TaskKind::Sample => ['sampled' => [self::Always, 'a sample was taken']],
            TaskKind::Run => ['ran' => [self::Always, 'it was run']],
        };
    }

    /**
     * @param  string  $by  the check that the act was done by, empty for none
     * @param  bool  $fit  whether it was found fit
     * @param  list<string>  $levelChecks  the checks that read a level at this spot
     */
    public function holds(Task $task, string $by, bool $fit, array $levelChecks): bool
    {
        return match ($this) {
            self::Always => true,
            self::ByItsCheck => $task->check === null || $task->check === $by,
            self::UnlessCheckNamed => $task->check === null,
            self::FitByItsCheck => $task->check !== null && $task->check === $by && $fit,
            self::ByLevelCheck => $task->check === null
                ? $by === self::LEVEL
                || in_array($by, $levelChecks, true)
                : $task->check === $by,
        };
    }

    /** How the condition is told beside an act. */
    public function inWords(): string
    {
        return match ($this) {
            self::Always => '',
            self::ByItsCheck => 'by its check, if it names one',
            self::UnlessCheckNamed => 'if it names no check',
            self::FitByItsCheck => 'found fit by its named check',
            self::ByLevelCheck => 'by a check that reads the level',
        };
    }
}
