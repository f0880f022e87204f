<?php

declare(strict_types=1);

namespace Core\Supply;

use Core\Form\Fields;
use Core\Measure\Dimension;

/** Reads what a keeper writes down of a place where a part sits. */
final class PartFields
{
    private const LONGEST = 160;

    private const MOST = 20;

    private const MOST_PIECES = 99;

    private const HANGS = ['upright', 'sideways', 'inverted'];

    public static function read(Fields $given): PartSheet
    {
        $text = function (string $name, string $what) use ($given): string {
            $text = trim((string) $given->optionalText($name, $what));
            if (mb_strlen($text) > self::LONGEST) {
                $given->fault($name, ucfirst($what).' is at most '.self::LONGEST.' letters long.');
            }

            return $text;
        };
        $texts = fn (string $name, string $what): array => array_slice(
            array_values(array_filter(array_map(trim(...), $given->texts($name, $what)))),
            0,
            self::MOST,
        );
        $number = $text('number', 'the maker\'s number');
        $superseded = $text('superseded_by', 'the newer number');
        if ($superseded !== '' && $number === '') {
            $given->fault('number', 'Say which number was superseded.');
        }

        return new PartSheet(
            $given->choice('kind', PartKind::Other, 'the sort of part'),
            new PartNumbers(
                $number,
                $superseded,
                self::equivalents($given),
                $text('kit', 'the kit\'s number'),
                self::kit($given),
                $text('only_for', 'the machine it is for'),
            ),
            new PartFitting(
                $text('orientation', 'which way round'),
                $texts('loose', 'the loose pieces'),
                $text('tight', 'how tight'),
                $text('seal', 'the seal'),
                $texts('uses', 'what is used up'),
                $given->has('hangs') && $given->scalar('hangs') !== ''
                    ? (string) $given->option('hangs', self::HANGS, 'how it hangs')
                    : '',
                $given->optionalMeasure('drinks', 'how much it drinks', Dimension::Volume) === null ? '' : $given->written('drinks'),
                $texts('under', 'what lies over it'),
            ),
        );
    }

    /** @return array<string, mixed> as {@see self::read()} reads it */
    public static function written(PartSheet $sheet): array
    {
        return [
            'kind' => $sheet->kind->value,
            'number' => $sheet->numbers->number,
            'superseded_by' => $sheet->numbers->supersededBy,
            'equivalents' => array_map(fn (Equivalent $one): array => [
                'number' => $one->number,
                'will_do' => $one->willDo,
                'because' => $one->because,
            ], $sheet->numbers->equivalents),
            'kit' => $sheet->numbers->kit,
            'kit_holds' => array_map(fn (KitPiece $piece): array => [
                'name' => $piece->name,
                'count' => $piece->count,
            ], $sheet->numbers->kitHolds),
            'orientation' => $sheet->fitting->orientation,
            'loose' => $sheet->fitting->loose,
            'tight' => $sheet->fitting->tight,
            'seal' => $sheet->fitting->seal,
            'uses' => $sheet->fitting->uses,
            'only_for' => $sheet->numbers->onlyFor,
            'hangs' => $sheet->fitting->hangs,
            'drinks' => $sheet->fitting->drinks === '' ? null : $sheet->fitting->drinks,
            'under' => $sheet->fitting->under,
        ];
    }

    /** @return list<Equivalent> */
    private static function equivalents(Fields $given): array
    {
        $equivalents = [];
        foreach (array_slice($given->rows('equivalents', 'the equivalents'), 0, self::MOST) as $row) {
            $number = trim((string) $row->text('number', 'the number'));
            $willDo = $row->flag('will_do', 'whether it will do');
            $because = trim((string) $row->optionalText('because', 'why'));
            if (! $willDo && $because === '') {
                $row->fault('because', 'Say why it will not do: a finer rating, its length, its clamp.');
            }
            $equivalents[] = new Equivalent($number, $willDo, $because);
        }

        return $equivalents;
    }

    /** @return list<KitPiece> */
    private static function kit(Fields $given): array
    {
        $pieces = [];
        foreach (array_slice($given->rows('kit_holds', 'what is in the kit'), 0, self::MOST) as $row) {
            $name = trim((string) $row->text('name', 'what it is'));
            $count = $row->optionalWholeNumber('count', 'how many', self::MOST_PIECES) ?? 1;
            $pieces[] = new KitPiece($name, $count);
        }

        return $pieces;
    }
}
