<?php

declare(strict_types=1);

namespace Tests\Core\Fluid;

use Core\Fluid\Sheet\Book;
use Core\Fluid\Sheet\Capacity;
use Core\Fluid\Sheet\CapacityKind;
use Core\Fluid\Sheet\CapacityTable;
use Core\Fluid\Sheet\CapacityText;
use Core\Fluid\Sheet\SheetFields;
use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Form\NotATable;
use Core\Machine\MachineClass;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Measure\Unit;
use Core\Measure\Unreadable;
use Core\Starter\Starters;
use Core\Starter\StarterSpot;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Capacities as books write them, one by one and by the page. The figures are the trade handbook's examples, as test
 * values.
 */
final class CapacitiesTest extends TestCase
{
    /** @param  list<array{string, string, string}>  $expected  when, least and most in the unit written */
    #[TestWith(['7.1 qt', [['refill', '7.1', '7.1']]])]
    #[TestWith(['948 mL', [['refill', '948', '948']]])]
    #[TestWith(['1 3/4 gal', [['refill', '1.75', '1.75']]])]
    #[TestWith(['3.8/4.2 qt', [['without_filter', '3.8', '3.8'], ['with_filter', '4.2', '4.2']]])]
    #[TestWith(['4,2/3,8 L', [['without_filter', '3.8', '3.8'], ['with_filter', '4.2', '4.2']]])]
    #[TestWith(['1.6–1.8 L', [['refill', '1.6', '1.8']]])]
    #[TestWith(['1.5 to 2 qt', [['refill', '1.5', '2']]])]
    #[TestWith(['3/4 qt', [['refill', '0.75', '0.75']]])]
    #[TestWith(['7.1 qt (6.7 L)', [['refill', '7.1', '7.1']]])]
    #[TestWith(['2.5–2.9 L (2.6–3.1 qt)', [['refill', '2.5', '2.9']]])]
    #[TestWith(['13 qt / 12.3 L', [['refill', '13', '13']]])]
    public function test_a_figure_is_read_as_the_book_writes_it(string $written, array $expected): void
    {
        self::assertSame($expected, array_map(
            fn (Capacity $capacity): array => [
                $capacity->kind->value,
                (string) $capacity->least->rounded(),
                (string) $capacity->most->rounded(),
            ],
            CapacityText::read($written, CapacityKind::Refill),
        ));
    }

    public function test_it_is_shown_in_both_systems_and_exact(): void
    {
        [$capacity] = CapacityText::read('7.1 qt', CapacityKind::Refill);

        self::assertSame(['7.1 qt', '6.72 L'], [$capacity->written, $capacity->other()]);
        self::assertSame('6.719105917', (string) $capacity->most->to(Unit::Litre)->rounded(9));
        self::assertSame('1.69–1.9 qt', CapacityText::read('1.6–1.8 L', CapacityKind::Refill)[0]->other());
    }

    #[TestWith(['255 mL (9 fl oz)', '"9 fl oz" is 266 mL, not 255 mL'])]
    #[TestWith(['2–1 L', 'The least, 2 L, is over the most, 1 L'])]
    #[TestWith(['5 kg', 'A capacity is a volume, and 5 kg is a mass'])]
    #[TestWith(['8', 'unit is missing'])]
    #[TestWith(['0 L', 'more than nothing'])]
    #[TestWith(['plenty', 'is not an amount'])]
    public function test_a_figure_that_cannot_be_is_asked_about(string $written, string $asked): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage($asked);
        CapacityText::read($written, CapacityKind::Refill);
    }

    public function test_the_machines_book_and_the_component_makers_stand_side_by_side(): void
    {
        $sheet = SheetFields::read(new Fields([
            'capacities' => [
                ['kind' => 'with_filter', 'amount' => '2.0 L', 'book' => 'component'],
                ['kind' => 'with_filter', 'amount' => '2.15 L'],
            ],
            'specification_of_component' => ['kind' => 'engine_oil', 'grades' => ['SAE 30']],
        ]));

        self::assertSame(
            '2.15 L',
            $sheet->capacity(CapacityKind::WithFilter)?->written,
            'the machine\'s own counts first',
        );
        self::assertSame(
            'engine oil, SAE 30',
            $sheet->specification()->inWords(),
            'where only the component maker says so, he does',
        );
        self::assertSame(Book::Component, $sheet->capacities[0]->book);
        self::assertEquals(
            $sheet,
            SheetFields::read(new Fields(SheetFields::written($sheet))),
            'what is written is read the same',
        );
    }

    public function test_what_is_wrong_in_a_sheet_stands_beside_its_field(): void
    {
        $fields = new Fields([
            'capacities' => [
                ['amount' => '2-1 L'],
                ['amount' => '5 ft-lb'],
                ['kind' => 'dry', 'amount' => '3.8/4.2 qt'],
                ['amount' => '1 L'],
                ['amount' => '2 L'],
            ],
            'specification' => ['kind' => 'gear_oil', 'chemistry' => 'oat'],
            'drain_way' => 'prayer',
        ], 'sheet.');
        SheetFields::read($fields);
        try {
            $fields->complete();
            self::fail('it was taken');
        } catch (BadInput $bad) {
            self::assertEqualsCanonicalizing([
                'sheet.capacities.0.amount',
                'sheet.capacities.1.amount',
                'sheet.capacities.2.amount',
                'sheet.capacities.4.kind',
                'sheet.specification.chemistry',
                'sheet.drain_way',
            ], array_keys($bad->errors));
        }
    }

    public function test_a_manuals_page_is_understood_and_its_doubtful_rows_are_asked(): void
    {
        $page = CapacityTable::read(implode("\n", [
            "Item\tCapacity, qt\tLitres\tOil\tRemarks",
            "Crankcase\t7.1\t6.7\tSAE 10W-30 API CI-4\t",
            "Front axle\t3.8/4.2\t\t80W-90 GL-4\t",
            "Cooling system\t7 gal\t\tHOAT coolant 50 %\tcold",
            "Hydraulics\t13 qt\t\tWader Hydro 5\t",
            "PTO housing\t4.5\t9\tSAE 90 GL-5\t",
            "Flux pump\t1\t\t\t",
            "Reduction gear\t-\t\t80W-90\t",
        ]), self::compartments());
        $told = [];
        foreach ($page->rows as $row) {
            $told[$row->words] = [
                $row->compartments,
                array_column($row->amounts, 1),
                $row->specification->inWords(),
                $row->doubts,
            ];
        }

        self::assertSame('Not understood, and left out: "Remarks".', $page->remark);
        self::assertSame([['engine_oil'], ['7.1 qt (6.7 L)'], 'engine oil, 10W-30, CI-4', []], $told['Crankcase']);
        self::assertSame([['front_axle'], ['3.8 qt', '4.2 qt'], 'gear oil, 80W-90, GL-4', []], $told['Front axle']);
        self::assertSame([['coolant'], ['7 gal'], 'coolant, HOAT (hybrid)', []], $told['Cooling system']);
        self::assertSame([['reduction_gear'], [], 'gear oil, 80W-90', []], $told['Reduction gear']);
        self::assertStringContainsString('taken for the maker\'s own', $told['Hydraulics'][3][0]);
        self::assertStringContainsString('"9 L" is 9.51 qt, not 4 1/2 qt', $told['PTO housing'][3][0]);
        self::assertSame(['No compartment of this machine is called "Flux pump": which is it?'], $told['Flux pump'][3]);
        self::assertSame([2, 3, 4, 5, 6, 7, 8], array_column($page->rows, 'line'));
    }

    #[TestWith(["a\tb\nc\td", 'None of these columns says how much or of what'])]
    #[TestWith(["Engine\t7 qt", 'headings above'])]
    #[TestWith(['', 'Nothing was pasted'])]
    public function test_a_table_whose_columns_say_nothing_is_refused_with_a_word(string $text, string $because): void
    {
        $this->expectException(NotATable::class);
        $this->expectExceptionMessage($because);
        CapacityTable::read($text, self::compartments());
    }

    /** @return list<Spot> of a tractor */
    private static function compartments(): array
    {
        return array_values(array_filter(
            array_map(
                fn (StarterSpot $spot): Spot => $spot->spot,
                array_values(Starters::for(MachineClass::Tractor)->spots()),
            ),
            fn (Spot $spot): bool => $spot->kind === SpotKind::Compartment,
        ));
    }
}
