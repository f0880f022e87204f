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

/** Whether there is such a grade of engine oil, and whether it suits the cold and the heat ahead. */
final class EngineGradeCalculator implements Calculator
{
    private const SOURCES = ['SAE J300, engine oil viscosity classification (values from memory)', 'common practice'];

    /** Of grades without W: from here on they are good, and under the second they are not. Common practice, no source. */
    private const WITHOUT_W = ['5 °C', '0 °C'];

    /** In more heat than this an oil of at least such a number is wanted. Common practice, no source. */
    private const HEAT = ['38 °C', 30];

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $written = $given->text('grade', 'the grade');
        $coldest = $given->measure('coldest', 'the coldest', Dimension::Temperature, Unit::DegreeCelsius);
        $hottest = $given->optionalMeasure('hottest', 'the hottest', Dimension::Temperature, Unit::DegreeCelsius);
        if ($coldest !== null && $hottest !== null && $coldest->compareTo($hottest) > 0) {
            $given->fault('hottest', 'The hottest cannot be below the coldest.');
        }
        $given->complete();
        assert($written !== null && $coldest !== null);
        try {
            $grade = SaeGrade::of(ViscosityTable::Engine, $written);
        } catch (Unreadable $unreadable) {
            return new Answer(
                ['valid' => false, 'lowest_cranking' => null, 'verdict' => null],
                $unreadable->getMessage(),
                self::SOURCES,
            );
        }
        $lowest = $grade->lowest();
        [$verdict, $why] = $this->inTheCold($grade, $coldest);
        if ($hottest !== null && $grade->hot !== null && $grade->hot < self::HEAT[1]
            && $hottest->compareTo(Quantity::parse(self::HEAT[0])) > 0) {
            $verdict = Verdict::hardest($verdict, Verdict::Watch);
            $why .= " In {$hottest->inWords()} it is thin: over ".self::HEAT[0].' an oil of at least SAE '.self::HEAT[1].' is wanted, unless the book says otherwise.';
        }

        return new Answer([
            'valid' => true,
            'lowest_cranking' => $lowest === null ? null : Notation::quantity($lowest),
            'verdict' => $verdict->value,
        ], $why, self::SOURCES);
    }

    /** @return array{Verdict, string} */
    private function inTheCold(SaeGrade $grade, Quantity $coldest): array
    {
        $lowest = $grade->lowest();
        if ($lowest !== null) {
            return $coldest->compareTo($lowest) >= 0
                ? [
                    Verdict::Fit,
                    "{$grade->written()} lets the engine be cranked down to {$lowest->inWords()}; the coldest ahead is {$coldest->inWords()}.",
                ]
                : [
                    Verdict::Act,
                    "{$grade->written()} lets the engine be cranked down to {$lowest->inWords()} only, and {$coldest->inWords()} is ahead: take a lower W.",
                ];
        }
        [$good, $bad] = array_map(Quantity::parse(...), self::WITHOUT_W);

        return match (true) {
            $coldest->compareTo($good) >= 0 => [
                Verdict::Fit,
                "{$grade->written()} has no W, so nothing is promised in the cold; down to {$good->inWords()} it is used all the same.",
            ],
            $coldest->compareTo($bad) >= 0 => [
                Verdict::Watch,
                "{$grade->written()} has no W: under {$good->inWords()} it cranks hard.",
            ],
            default => [
                Verdict::Act,
                "{$grade->written()} has no W and is too thick for {$coldest->inWords()}: take a multigrade that the book allows.",
            ],
        };
    }
}
