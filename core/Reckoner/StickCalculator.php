<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigRational;
use Core\Fill\StickBand;
use Core\Fill\StickMark;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Dimension;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;

/** How much lies between a stick's marks, and what is missing or too much. */
final class StickCalculator implements Calculator
{
    private const LOWEST = -1;

    private const HIGHEST = 3;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $rows = $given->rows('marks', 'the marks');
        $marks = [];
        foreach ($rows as $row) {
            $level = $this->level($row);
            $poured = $row->optionalMeasure('poured_since', 'what was poured since', Dimension::Volume);
            $ran = $row->flag('ran', 'whether it ran since');
            if ($level !== null) {
                $marks[] = new StickMark($level, $poured, $ran);
            }
        }
        if (count($rows) < 2) {
            $given->fault('marks', 'Two readings of the stick are needed, with something poured between them.');
        }
        $given->complete();
        $band = StickBand::learned($marks);
        if ($band === null) {
            $given->fault(
                'marks',
                'The stick did not rise by what was poured between two readings, so nothing can be learned from it. Wait until it has run down, and read again.',
            );
            $given->complete();
        }
        assert($band !== null);

        return new Answer([
            'volume_per_band' => Notation::quantity($band->volume),
            'to_full' => Notation::quantity($band->toFull()),
            'draw_off' => Notation::quantity($band->drawOff()),
        ], "From add to full lie {$band->volume->display()}. ".match (true) {
            $band->level->isGreaterThan(1) => "It is over full: draw off {$band->drawOff()->display()}.",
            $band->level->isEqualTo(1) => 'It is at full.',
            default => "{$band->toFull()->display()} is missing to full.",
        }, ['common practice']);
    }

    private function level(Fields $row): ?BigRational
    {
        $written = $row->text('level', 'the level');
        try {
            $level = $written === null ? null : WrittenNumber::ofProgram($written);
        } catch (Unreadable $unreadable) {
            $row->fault('level', $unreadable->getMessage());

            return null;
        }
        if ($level?->isLessThan(self::LOWEST) || $level?->isGreaterThan(self::HIGHEST)) {
            $row->fault(
                'level',
                'A stick is read from 0 at the add mark to 1 at the full mark, at least -1, at most 3.',
            );
        }

        return $level;
    }
}
