<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fluid\Level\LevelMark;
use Core\Fluid\Level\LevelMethod;
use Core\Form\Fields;
use Core\Inspect\Instrument\Level;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;

/** Whether a level counts as a reading, and what it says. */
final class LevelCalculator implements Calculator
{
    /** Beyond this no scale reads. */
    private const MOST = 3;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $method = LevelMethod::tryFrom(
            (string) $given->option('method', array_column(LevelMethod::read(), 'value'), 'the method'),
        )
            ?? LevelMethod::Stick;
        $mark = $this->mark($given, $method);
        $protocol = Level::protocol($given->within('protocol', 'how it is to be read'), $method);
        $actually = $given->within('actual', 'how it was read');
        $actual = Level::protocol($actually, $method);
        $slope = $actually->flag('slope', 'whether it stood on a slope');
        $given->complete();
        assert($mark !== null);
        $judged = Level::of($method, $mark, $protocol, $actual, $slope);

        return new Answer(
            ['usable' => $judged->isUsable(), 'verdict' => $judged->verdict?->value, 'do' => $judged->do],
            $judged->why,
            $judged->sources,
        );
    }

    /** A share of the way from add to full where there is a scale, or a mark's own word. */
    private function mark(Fields $given, LevelMethod $method): ?LevelMark
    {
        $written = $given->has('observed') ? $given->scalar('observed') : null;
        $mark = LevelMark::tryFrom((string) $written);
        if ($mark !== null && in_array($mark, $method->marks(), true)) {
            return $mark;
        }
        try {
            $share = $written !== null
                && $mark === null
                && $method->hasScale()
                ? WrittenNumber::ofProgram($written)
                : null;
            if ($share !== null && $share->abs()->isLessThanOrEqualTo(self::MOST)) {
                return LevelMark::at($share);
            }
        } catch (Unreadable) {
        }
        $given->fault('observed', "What can be observed by a {$method->word()} is ".implode(
            ', ',
            array_column($method->marks(), 'value'),
        )
            .($method->hasScale() ? ', or a number from 0 at the add mark to 1 at the full mark, at most '.self::MOST.'.' : '.'));

        return null;
    }
}
