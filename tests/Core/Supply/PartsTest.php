<?php

declare(strict_types=1);

namespace Tests\Core\Supply;

use Core\Fluid\Sheet\OpeningSheet;
use Core\Fluid\Sheet\SheetFields;
use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Machine\OpeningRole;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\Materials\FluidTaken;
use Core\Supply\Materials\Materials;
use Core\Supply\Materials\TaskOpening;
use Core\Supply\Materials\TaskPlace;
use Core\Supply\Materials\TaskWork;
use Core\Supply\PartFields;
use Core\Supply\PartSheet;
use PHPUnit\Framework\TestCase;

/** What belongs at a place, and what a task takes by construction. Numbers are invented. */
final class PartsTest extends TestCase
{
    /** Row 26: a filter that screws on but filters too coarsely. */
    public function test_what_fits_and_what_will_do_are_two_things(): void
    {
        $place = self::part([
            'kind' => 'filter',
            'number' => 'WD 331',
            'superseded_by' => 'WD 332',
            'equivalents' => [
                ['number' => 'Wyndle 31-H', 'will_do' => true],
                ['number' => 'Wyndle 20', 'will_do' => false, 'because' => 'it filters too coarsely for a drive.'],
            ],
        ]);

        self::assertSame('WD 332', $place->numbers->toBuy());
        self::assertFalse($place->numbers->answerFor('wyndle-20')['will_do']);
        self::assertStringContainsString(
            'fits but will not do: it filters too coarsely',
            $place->numbers->answerFor('Wyndle 20')['why'],
        );
        self::assertTrue($place->numbers->answerFor('Wyndle 31H')['will_do']);
        self::assertTrue($place->numbers->answerFor('WD332')['will_do']);
        self::assertNull($place->numbers->answerFor('Gant 7')['will_do']);
        self::assertStringContainsString('nobody has compared', $place->numbers->answerFor('Gant 7')['why']);
    }

    public function test_an_equivalent_that_will_not_do_says_why(): void
    {
        $fields = new Fields(
            ['number' => '', 'superseded_by' => 'X', 'equivalents' => [['number' => 'Y', 'will_do' => false]]],
        );
        PartFields::read($fields);
        try {
            $fields->complete();
            self::fail('it was taken');
        } catch (BadInput $bad) {
            self::assertEqualsCanonicalizing(['equivalents.0.because', 'number'], array_keys($bad->errors));
        }
    }

    public function test_an_opening_takes_a_washer_or_sealant_never_both(): void
    {
        $fields = new Fields(['seal' => 'WD 12 washer', 'sealant' => 'thread tape', 'torque' => '24 qt']);
        OpeningSheet::read($fields);
        try {
            $fields->complete();
            self::fail('it was taken');
        } catch (BadInput $bad) {
            self::assertEqualsCanonicalizing(['sealant', 'torque'], array_keys($bad->errors));
        }
    }

    /** Row 6: washer, cover ring, cap gasket not bought; the old one used again. */
    public function test_a_change_brings_the_seal_of_every_opening_the_filter_and_what_it_uses_up_and_what_was_reused(): void
    {
        $taken = self::taken(
            self::compartment('plug', reused: 2),
            self::filter(
                ['kind' => 'filter', 'number' => 'WD 15', 'seal' => 'WD 16 ring', 'uses' => ['rag', 'cleaner']],
            ),
        );

        self::assertSame('4.2 qt', $taken->fluids[0]->amount?->written, 'with its filter');
        self::assertSame(
            [
                'WD 20 cap gasket' => '',
                'WD 12 washer' => 'the old one was used again 2 times',
                'WD 15' => '',
                'WD 16 ring' => '',
            ],
            array_column($taken->parts, 'again', 'number'),
        );
        self::assertSame(['19 mm socket'], array_column($taken->tools, 'tool'));
        self::assertSame(['rag', 'cleaner'], $taken->uses);
    }

    public function test_what_is_drawn_out_through_the_stick_takes_no_drain_washer(): void
    {
        $taken = self::taken(self::compartment('suction'));

        self::assertSame(['WD 20 cap gasket'], array_column($taken->parts, 'number'));
        self::assertSame('3.8 qt', $taken->fluids[0]->amount?->written, 'without a filter');
    }

    /** Row 22: a filters-only change that drinks far more than the pan showed. */
    public function test_what_is_given_for_each_side_is_poured_on_both_and_what_is_given_for_all_is_not(): void
    {
        $sheet = fn (string $kind) => SheetFields::read(new Fields(['capacities' => [['kind' => $kind, 'amount' => '1.6–1.7 qt']]]));
        $drain = fn (string $key): TaskOpening => self::opening($key, OpeningRole::Drain, []);
        $poured = fn (string $kind, TaskOpening ...$drains): ?string => self::taken(
            new TaskPlace(self::spot('oil', SpotKind::Compartment), $sheet($kind), array_values($drains)),
        )->fluids[0]->amount?->most->inWords();

        self::assertSame('3.4 qt', $poured('per_side', $drain('left'), $drain('right')));
        self::assertSame('1.7 qt', $poured('per_side', $drain('one')));
        self::assertSame('1.7 qt', $poured('refill', $drain('left'), $drain('right')));
        self::assertSame('3.4', (string) $sheet('per_side')->most(2)?->most->rounded(1));
    }

    public function test_filters_only_takes_what_runs_out_with_them(): void
    {
        $filter = self::filter(['kind' => 'filter', 'number' => 'WD 38']);
        $taken = Materials::by(new TaskWork(TaskKind::Replace, [$filter], '1.75 gal'));

        self::assertSame(['oil', '1.75 gal'], [$taken->fluids[0]->spot, $taken->fluids[0]->amount?->written]);
        self::assertFalse($taken->fluids[0]->isDrained, 'no pan has to take it');
        $nowhere = TaskPlace::ofPart(self::spot('filter', SpotKind::Part), self::part(['kind' => 'filter']));
        self::assertSame(
            ['1.75 gal to pour back what runs out with the filters'],
            Materials::by(new TaskWork(TaskKind::Replace, [$nowhere], '1.75 gal'))->uses,
        );
    }

    public function test_a_blade_takes_a_block_of_wood_and_an_impeller_its_jelly(): void
    {
        $uses = fn (string $kind): array => self::taken(self::filter(['kind' => $kind, 'uses' => ['rag']]))->uses;

        self::assertSame(['rag', 'block of wood to hold the blade'], $uses('blade'));
        self::assertSame(['rag', 'jelly for the vanes'], $uses('impeller'));
        self::assertSame(['rag'], $uses('gasket'));
    }

    /** Row 7: a kit no longer holds the gasket it used to hold. */
    public function test_what_a_task_needs_and_its_kit_lacks_is_bought_beside_it(): void
    {
        $place = fn (array $holds): TaskPlace => self::filter([
            'number' => 'WD 41',
            'seal' => 'WD 42 gasket',
            'kit' => 'WD 40 kit',
            'kit_holds' => $holds,
        ]);
        $parts = fn (TaskPlace $place): array => array_column(self::taken($place)->parts, 'number');

        self::assertSame(['WD 40 kit'], $parts($place([['name' => 'belt'], ['name' => 'WD 42 gasket']])));
        self::assertSame(['WD 40 kit', 'WD 42 gasket'], $parts($place([['name' => 'belt']])));
    }

    /**
     * Row 38: strainers, screens and breathers that nobody knows of are places of their own, cleaned with their ring.
     */
    public function test_cleaning_a_strainer_takes_its_ring_and_no_new_strainer(): void
    {
        $strainer = self::filter(
            ['kind' => 'strainer', 'number' => 'WD 118', 'seal' => 'WD 119 ring', 'uses' => ['cleaner']],
        );

        self::assertSame(
            ['WD 119 ring'],
            array_column(Materials::by(new TaskWork(TaskKind::Clean, [$strainer]))->parts, 'number'),
        );
    }

    public function test_what_several_tasks_do_at_one_place_is_done_once_and_the_filter_of_one_is_counted_for_the_oil_of_the_other(): void
    {
        $oil = new TaskWork(TaskKind::Replace, [self::compartment('plug')]);
        $filter = new TaskWork(TaskKind::Replace, [self::filter(['kind' => 'filter', 'number' => 'WD 15'])], '0.4 qt');
        $taken = Materials::by($oil, $filter, $oil);

        self::assertSame(['4.2 qt'], array_map(fn (FluidTaken $fluid): ?string => $fluid->amount?->written, $taken->fluids));
        self::assertSame(
            ['WD 20 cap gasket' => 1, 'WD 12 washer' => 1, 'WD 15' => 1],
            array_column($taken->parts, 'count', 'number'),
        );
    }

    private static function taken(TaskPlace ...$places): Materials
    {
        return Materials::by(new TaskWork(TaskKind::Replace, array_values($places)));
    }

    /** @param  array<string, mixed>  $given */
    private static function filter(array $given): TaskPlace
    {
        return TaskPlace::ofPart(self::spot('filter', SpotKind::Part, parent: 'oil'), self::part($given));
    }

    private static function compartment(string $way, int $reused = 0): TaskPlace
    {
        return new TaskPlace(
            self::spot('oil', SpotKind::Compartment),
            SheetFields::read(new Fields(['capacities' => [['amount' => '3.8/4.2 qt']], 'drain_way' => $way])),
            [
                self::opening('fill', OpeningRole::Fill, ['seal' => 'WD 20 cap gasket']),
                self::opening('drain', OpeningRole::Drain, ['seal' => 'WD 12 washer', 'tool' => '19 mm socket'], $reused),
                self::opening('stick', OpeningRole::Level, []),
            ],
        );
    }

    /** @param  array<string, mixed>  $given */
    private static function opening(string $key, OpeningRole $role, array $given, int $reused = 0): TaskOpening
    {
        return TaskOpening::of(self::spot($key, SpotKind::Opening, $role), OpeningSheet::read(new Fields($given)), $reused);
    }

    /** @param  array<string, mixed>  $given */
    private static function part(array $given): PartSheet
    {
        return PartFields::read(new Fields($given));
    }

    private static function spot(
        string $key,
        SpotKind $kind,
        ?OpeningRole $role = null,
        ?string $parent = null,
    ): Spot {
        return new Spot($key, $kind, Subject::EngineOil, $key, parent: $parent, role: $role);
    }
}
