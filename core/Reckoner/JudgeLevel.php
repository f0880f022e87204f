<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Inspect\Instrument\Level;
use Core\Inspect\LevelMark;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;

/** Whether a level counts as a reading, and what it says. */
final class JudgeLevel implements Calculator
{
    private const METHODS = ['stick', 'level_plug', 'sight_glass', 'line'];

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $method = $given->option('method', self::METHODS, 'the method');
        $mark = $this->mark($given);
        $protocol = Level::protocol($given->within('protocol', 'how it is to be read'));
        $actually = $given->within('actual', 'how it was read');
        $actual = Level::protocol($actually);
        $slope = $actually->flag('slope', 'whether it stood on a slope');
        $given->complete();
        assert($method !== null && $mark !== null);
        $judged = Level::of($mark, $protocol, $actual, $slope);

        return new Answer(['usable' => $judged->isUsable(), 'verdict' => $judged->verdict?->value, 'do' => $judged->do], $judged->why, $judged->sources);
    }

    /** A share of the way from add to full, or a mark's own word. */
    private function mark(Fields $given): ?LevelMark
    {
        $written = $given->has('observed') ? $given->scalar('observed') : null;
        $mark = $written === null ? null : LevelMark::tryFrom($written);
        if ($mark !== null) {
            return $mark;
        }
        try {
            return $written === null ? throw new Unreadable('What was observed is missing.') : LevelMark::at(WrittenNumber::parse($written));
        } catch (Unreadable) {
            $given->fault('observed', 'What was observed is '.implode(', ', array_column(LevelMark::cases(), 'value')).', or a number from 0 at the add mark to 1 at the full mark.');

            return null;
        }
    }
}
