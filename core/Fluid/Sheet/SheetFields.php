<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Fluid\Cooling;
use Core\Fluid\FluidFields;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Specification;
use Core\Form\Fields;
use Core\Measure\Unreadable;

/** Reads what a keeper writes down of a compartment, and writes it as it was typed. */
final class SheetFields
{
    private const MOST = 20;

    private const LONGEST = 160;

    public static function read(Fields $given): CompartmentSheet
    {
        $specifications = [];
        foreach (Book::cases() as $book) {
            $name = 'specification'.($book === Book::Machine ? '' : '_of_component');
            $specification = $given->has($name)
                ? FluidFields::specification($given->within($name, 'the specification'))
                : new Specification;
            if (! $specification->isEmpty()) {
                $specifications[$book->value] = $specification;
            }
        }
        $yellow = $given->has('yellow_metals')
            ? $given->flag('yellow_metals', 'whether there is brass or bronze')
            : null;

        return new CompartmentSheet(
            self::capacities($given),
            $specifications,
            new WayOut(
                DrainWay::tryFrom(
                    self::oneOf($given, 'drain_way', array_column(DrainWay::cases(), 'value'), 'how it is drained'),
                ),
                self::text($given, 'valve', 'the valve'),
                self::texts($given, 'puts_back', 'what is put back'),
                self::text($given, 'through', 'the opening through which it is sucked out') ?: null,
            ),
            $yellow,
            Cooling::tryFrom(
                self::oneOf($given, 'cooling', array_column(Cooling::cases(), 'value'), 'how the engine is cooled'),
            ),
            self::text($given, 'shares_with', 'the compartment it shares with') ?: null,
            $given->has('service')
                ? ServiceWay::read($given->within('service', 'how it is serviced'))
                : new ServiceWay,
            LevelMethod::tryFrom(self::oneOf($given, 'read_by', array_column(LevelMethod::cases(), 'value'), 'how its level is read')),
        );
    }

    /** @return array<string, mixed> as {@see self::read()} reads it */
    public static function written(CompartmentSheet $sheet): array
    {
        $of = fn (Book $book): array => FluidFields::written($sheet->specifications[$book->value] ?? new Specification);

        return [
            'capacities' => array_map(fn (Capacity $capacity): array => [
                'kind' => $capacity->kind->value,
                'amount' => $capacity->written,
                'book' => $capacity->book->value,
            ], $sheet->capacities),
            'specification' => $of(Book::Machine),
            'specification_of_component' => $of(Book::Component),
            'drain_way' => $sheet->out->by?->value,
            'valve' => $sheet->out->valve,
            'puts_back' => $sheet->out->putsBack,
            'through' => $sheet->out->through,
            'yellow_metals' => $sheet->yellowMetals,
            'cooling' => $sheet->cooling?->value,
            'shares_with' => $sheet->sharesWith,
            'service' => $sheet->service->written(),
            'read_by' => $sheet->readBy?->value,
        ];
    }

    /** @return list<Capacity> */
    private static function capacities(Fields $given): array
    {
        $capacities = [];
        foreach (array_slice($given->rows('capacities', 'the capacities'), 0, self::MOST) as $row) {
            $kind = $row->choice('kind', CapacityKind::Refill, 'when it takes so much');
            $book = $row->choice('book', Book::Machine, 'whose book');
            $amount = $row->text('amount', 'the amount');
            if ($amount === null) {
                continue;
            }
            try {
                $read = CapacityText::read($amount, $kind, $book);
            } catch (Unreadable $unreadable) {
                $row->fault('amount', $unreadable->getMessage());

                continue;
            }
            if (count($read) > 1 && $kind !== CapacityKind::Refill) {
                $row->fault(
                    'amount',
                    'Two figures are without and with filter: leave open when, or write one of them.',
                );
            }
            foreach ($read as $capacity) {
                if (self::isThere($capacities, $capacity)) {
                    $row->fault('kind', "There is a figure {$capacity->kind->label()} already.");
                }
                $capacities[] = $capacity;
            }
        }

        return $capacities;
    }

    /** @param  list<Capacity>  $among */
    private static function isThere(array $among, Capacity $capacity): bool
    {
        return array_filter(
            $among,
            fn (Capacity $other): bool => [$other->kind, $other->book] === [$capacity->kind, $capacity->book],
        ) !== [];
    }

    /** @param  list<string>  $words */
    private static function oneOf(Fields $given, string $name, array $words, string $what): string
    {
        return $given->has($name) ? (string) $given->option($name, $words, $what) : '';
    }

    private static function text(Fields $given, string $name, string $what): string
    {
        $text = trim((string) $given->optionalText($name, $what));
        if (mb_strlen($text) > self::LONGEST) {
            $given->fault($name, ucfirst($what).' is at most '.self::LONGEST.' letters long.');
        }

        return $text;
    }

    /** @return list<string> */
    private static function texts(Fields $given, string $name, string $what): array
    {
        $texts = array_values(array_filter(array_map(trim(...), $given->texts($name, $what))));
        if (count($texts) > self::MOST || max([0, ...array_map(mb_strlen(...), $texts)]) > self::LONGEST) {
            $given->fault($name, ucfirst($what).': at most '.self::MOST.' of '.self::LONGEST.' letters each.');
        }

        return $texts;
    }
}
