<?php

declare(strict_types=1);

namespace Core\Fluid;

use Core\Form\Fields;
use Core\Measure\Dimension;
use Core\Measure\Unit;

/** Reads what a label says, and what a book asks for. */
final class FluidFields
{
    private const LONGEST = 80;

    private const MOST = 20;

    public static function bottle(Fields $given): Bottle
    {
        $kind = FluidKind::tryFrom(
            (string) $given->option('kind', array_column(FluidKind::cases(), 'value'), 'what the bottle holds'),
        ) ?? FluidKind::EngineOil;

        return new Bottle(
            $kind,
            self::text($given, 'grade', 'the grade'),
            self::designations($given),
            self::chemistry($given, $kind),
            self::text($given, 'makers_own', 'the name of a maker\'s own'),
        );
    }

    public static function specification(Fields $given): Specification
    {
        $kind = self::oneOf($given, 'kind', FluidKind::class, 'what it takes');
        $grades = [];
        $rows = $given->rows('grades', 'the grades', short: 'grade');
        foreach (array_slice($rows, 0, self::MOST) as $row) {
            $from = $row->optionalMeasure('from', 'the coldest', Dimension::Temperature, Unit::DegreeCelsius);
            $to = $row->optionalMeasure('to', 'the hottest', Dimension::Temperature, Unit::DegreeCelsius);
            $grade = self::text($row, 'grade', 'the grade');
            if ($grade === null) {
                $row->fault('grade', 'The grade is missing.');
            }
            if ($from !== null && $to !== null && $from->compareTo($to) >= 0) {
                $row->fault('to', 'The hottest must be above the coldest.');
            }
            $grades[] = new SeasonalGrade((string) $grade, $from, $to);
        }
        if (count($rows) > self::MOST) {
            $given->fault('grades', 'A book lists at most '.self::MOST.' grades.');
        }

        return new Specification(
            $kind,
            $grades,
            self::designations($given),
            self::chemistry($given, $kind),
            self::text($given, 'makers_own', 'the name of the maker\'s own'),
        );
    }

    /**
     * As {@see self::specification()} reads it.
     *
     * @return array<string, mixed>
     */
    public static function written(Specification $specification): array
    {
        return [
            'kind' => $specification->kind?->value,
            'grades' => array_map(fn (SeasonalGrade $grade): array => [
                'grade' => $grade->grade,
                'from' => $grade->from?->inWords(),
                'to' => $grade->to?->inWords(),
            ], $specification->grades),
            'designations' => $specification->designations,
            'chemistry' => $specification->chemistry?->value,
            'makers_own' => $specification->makersOwn,
        ];
    }

    /** @return list<string> */
    private static function designations(Fields $given): array
    {
        $designations = array_values(
            array_filter(array_map(trim(...), $given->texts('designations', 'what the label says'))),
        );
        if (
            count($designations) > self::MOST
            || max([0, ...array_map(mb_strlen(...), $designations)]) > self::LONGEST
        ) {
            $given->fault('designations', 'At most '.self::MOST.' designations of '.self::LONGEST.' letters each.');
        }

        return $designations;
    }

    private static function chemistry(Fields $given, ?FluidKind $kind): ?Chemistry
    {
        $chemistry = self::oneOf($given, 'chemistry', Chemistry::class, 'what it is made of');
        if ($chemistry !== null && $kind !== null && ! $chemistry->isOf($kind)) {
            $given->fault('chemistry', ucfirst($chemistry->word())." says nothing of {$kind->word()}.");
        }

        return $chemistry;
    }

    private static function text(Fields $given, string $name, string $what): ?string
    {
        $text = trim((string) $given->optionalText($name, $what));
        if (mb_strlen($text) > self::LONGEST) {
            $given->fault($name, ucfirst($what).' is at most '.self::LONGEST.' letters long.');
        }

        return $text === '' ? null : $text;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $of
     * @return T|null null where it is not given
     */
    private static function oneOf(Fields $given, string $name, string $of, string $what): ?\BackedEnum
    {
        $words = array_map(fn (\BackedEnum $case): string => (string) $case->value, $of::cases());

        return $given->has($name) ? $of::tryFrom((string) $given->option($name, $words, $what)) : null;
    }
}
