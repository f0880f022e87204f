<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fluid\Grade\SaeGrade;
use Core\Fluid\Grade\ViscosityTable;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Machine\Verdict;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;

/** Whether there is such a grade of gear oil, and whether it flows in the cold ahead. */
final class GearGradeCalculator implements Calculator
{
    private const SOURCES = [
        'SAE J306, automotive gear lubricant viscosity classification (values from memory)',
        'common practice',
    ];

    /** Of grades without W: from here on they are good. Common practice, no source. */
    private const WITHOUT_W = '0 °C';

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $written = $given->text('grade', 'the grade');
        $coldest = $given->measure('coldest', 'the coldest', Dimension::Temperature, Unit::DegreeCelsius);
        $given->complete();
        assert($written !== null && $coldest !== null);
        try {
            $grade = SaeGrade::of(ViscosityTable::Gear, $written);
        } catch (Unreadable $unreadable) {
            return new Answer(
                ['valid' => false, 'lowest' => null, 'verdict' => null],
                $unreadable->getMessage(),
                self::SOURCES,
            );
        }
        $lowest = $grade->lowest();
        $limit = $lowest ?? Quantity::parse(self::WITHOUT_W);
        $isFit = $coldest->compareTo($limit) >= 0;
        $promise = $lowest === null ? 'has no W and is used' : 'flows to the gears';

        return new Answer(
            [
                'valid' => true,
                'lowest' => $lowest === null ? null : Notation::quantity($lowest),
                'verdict' => ($isFit ? Verdict::Fit : Verdict::Act)->value,
            ],
            "{$grade->written()} {$promise} down to {$limit->inWords()}; ".($isFit
                ? "the coldest ahead is {$coldest->inWords()}."
                : "{$coldest->inWords()} is ahead: take a lower W that the book allows."),
            self::SOURCES,
        );
    }
}
