<?php

declare(strict_types=1);

namespace Tests\Core\Reckoner;

use Core\Form\BadInput;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** `needs`, worked by hand. Numbers are invented; the figures are those of the handbook. */
final class NeedsCalculatorTest extends TestCase
{
    /** An engine of 3.8 to 4.2 qt with its filter and two 2 qt drives that share one fluid. */
    private const JOB = [
        'tasks' => [
            ['act' => 'replace', 'at' => 'engine'],
            ['act' => 'replace', 'at' => 'filter'],
            ['act' => 'replace', 'at' => 'left'],
            ['act' => 'replace', 'at' => 'right'],
            ['act' => 'clean', 'at' => 'screen'],
            ['act' => 'inspect', 'at' => 'belt'],
        ],
        'compartments' => [
            [
                'key' => 'engine',
                'kind' => 'engine',
                'fluid' => '10W-30',
                'capacity' => ['min' => '3.8 qt', 'max' => '4.2 qt'],
                'openings' => [
                    ['key' => 'engine_drain', 'role' => 'drain', 'tool' => '19 mm socket', 'seal' => ['number' => 'W 12', 'count' => 2], 'torque' => '36 ft-lb', 'magnet' => true],
                    ['key' => 'engine_fill', 'role' => 'fill', 'seal' => 'cap gasket'],
                ],
                'protocol' => ['engine' => 'off', 'wait_minutes' => 2],
                'fill' => ['method' => 'stick', 'run' => 1, 'wait' => 2],
                'warm' => 5,
                'drip' => 10,
            ],
            ['key' => 'left', 'kind' => 'hydrostatic', 'fluid' => '20W-50', 'pour' => '2 qt', 'openings' => [
                ['key' => 'left_drain', 'role' => 'drain', 'tool' => '19 mm socket', 'seal' => 'W 12'],
                ['key' => 'left_vent', 'role' => 'vent', 'tool' => '1/4 in hex'],
            ]],
            ['key' => 'right', 'kind' => 'hydrostatic', 'fluid' => '20w-50', 'pour' => '2 qt', 'openings' => []],
        ],
        'parts' => [
            ['key' => 'filter', 'kind' => 'filter', 'in' => 'engine', 'number' => 'K 100', 'kit' => ['ring'], 'seal' => [['number' => 'ring', 'count' => 1], ['number' => 'lid gasket', 'count' => 1]], 'hangs' => true],
            ['key' => 'screen', 'kind' => 'strainer', 'in' => 'left', 'number' => 'S 1', 'seal' => 'screen ring'],
            ['key' => 'belt', 'kind' => 'belt', 'number' => 'B 1'],
        ],
        'shelf' => [
            ['supply' => '10W-30', 'amount' => '1 qt'],
            ['supply' => 'w-12', 'count' => 2],
        ],
        'sizes' => [
            ['fluid' => '10W-30', 'size' => '1 qt', 'price' => '9.50'],
            ['fluid' => '20W-50', 'size' => '1 gal'],
        ],
        'pans' => ['5 qt', '3 qt'],
    ];

    public function test_a_job_worked_by_hand(): void
    {
        $answer = self::reckon(self::JOB);

        self::assertSame([['10W-30', '4.2', '1', '3.2', ['engine']], ['20W-50', '4', '0', '4', ['left', 'right']]], array_map(
            fn (array $one): array => [$one['fluid'], $one['amount']['value'], $one['have']['value'], $one['short']['value'], $one['for']],
            $answer['fluids'],
        ));
        self::assertSame([
            'W 12' => [3, 2, 1, ['engine_drain', 'left_drain']],
            'cap gasket' => [1, 0, 1, ['engine_fill']],
            'K 100' => [1, 0, 1, ['filter']],
            'lid gasket' => [1, 0, 1, ['filter']],
            'screen ring' => [1, 0, 1, ['screen']],
        ], array_combine(array_column($answer['parts'], 'number'), array_map(
            fn (array $one): array => [$one['count'], $one['have'], $one['short'], $one['for']],
            $answer['parts'],
        )), 'row 7: the ring comes with the kit, the lid gasket does not; the screen is cleaned and stays; a belt that is looked at needs nothing');
        self::assertSame(
            [['19 mm socket', ['engine_drain', 'left_drain']], ['1/4 in hex', ['left_vent']]],
            array_map(fn (array $one): array => [$one['tool'], $one['for']], $answer['tools']),
        );
        self::assertSame(['enough' => true, 'empty_after' => ['left'], 'short_by' => null], $answer['pans'], '4.2 qt fill the 5 qt pan to its margin and 2 qt the other; for the second drive one is emptied');
        self::assertSame([
            ['10W-30', '1', 4, '38.00'],
            ['20W-50', '1', 1, null],
            ['W 12', null, 1, null],
            ['cap gasket', null, 1, null],
            ['K 100', null, 1, null],
            ['lid gasket', null, 1, null],
            ['screen ring', null, 1, null],
        ], array_map(
            fn (array $one): array => [$one['supply'], $one['size']['value'] ?? null, $one['count'], $one['cost'] ?? null],
            $answer['to_buy'],
        ));
    }

    public function test_what_is_poured_stands_before_what_it_holds_and_what_shares_its_fluid_is_filled_once(): void
    {
        $answer = self::reckon([
            'tasks' => [['act' => 'replace', 'at' => 'pto']],
            'compartments' => [
                ['key' => 'pto', 'kind' => 'pto', 'capacity' => '4.5 qt', 'shares_with' => 'transmission'],
                ['key' => 'transmission', 'kind' => 'transmission', 'fluid' => 'tractor fluid', 'capacity' => '8 gal', 'pour' => '7.5 gal'],
            ],
            'parts' => [],
        ]);

        self::assertSame([['tractor fluid', '7.5']], array_map(
            fn (array $one): array => [$one['fluid'], $one['amount']['value']],
            $answer['fluids'],
        ));
        self::assertSame([['tractor fluid', '7.5']], array_map(
            fn (array $one): array => [$one['supply'], $one['amount']['value']],
            $answer['to_buy'],
        ), 'nobody said what it is sold in');
        self::assertNull($answer['pans']);
    }

    /** @param  array<string, mixed>  $changed */
    #[TestWith([['tasks' => []], 'tasks'])]
    #[TestWith([['tasks' => [['act' => 'replace', 'at' => 'nowhere']]], 'tasks.0.at'])]
    #[TestWith([['tasks' => [['act' => 'polish', 'at' => 'engine']]], 'tasks.0.act'])]
    #[TestWith([['compartments' => [['key' => 'engine', 'kind' => 'engine'], ['key' => 'engine', 'kind' => 'engine']]], 'compartments.1.key'])]
    #[TestWith([['compartments' => [['key' => 'engine', 'kind' => 'engine', 'capacity' => ['min' => '3 L', 'max' => '2 L']]]], 'compartments.0.capacity.min'])]
    #[TestWith([['shelf' => [['supply' => 'oil']]], 'shelf.0.amount'])]
    #[TestWith([['shelf' => [['supply' => 'oil', 'amount' => '1 kg']]], 'shelf.0.amount'])]
    #[TestWith([['sizes' => [['fluid' => 'a', 'size' => '1 L', 'price' => '3'], ['fluid' => 'a', 'size' => '2 L']]], 'sizes'])]
    #[TestWith([['pans' => ['5 psi']], 'pans.0.size'])]
    #[TestWith([['parts' => [['key' => 'x', 'kind' => 'filter', 'seal' => ['number' => 'r', 'count' => 0]]]], 'parts.0.seal.count'])]
    #[TestWith([['wheels' => 4], 'wheels'])]
    public function test_bad_input_stands_beside_its_field(array $changed, string $field): void
    {
        try {
            self::reckon([...self::JOB, ...$changed]);
            self::fail('it was taken');
        } catch (BadInput $bad) {
            self::assertArrayHasKey($field, $bad->errors, (string) json_encode($bad->errors));
        }
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private static function reckon(array $given): array
    {
        return Catalogue::reckon('needs', $given, new \DateTimeImmutable('2026-05-14T10:00:00Z'));
    }

    /** Handbook section 16, row 22: a filters-only change drank far more than the pan showed. */
    public function test_what_new_filters_drink_is_bought(): void
    {
        $answer = Catalogue::reckon('needs', [
            'tasks' => [['act' => 'replace', 'at' => 'upper'], ['act' => 'replace', 'at' => 'lower']],
            'compartments' => [['key' => 'hydraulic', 'kind' => 'hydraulic', 'fluid' => 'UTTO', 'openings' => [['key' => 'plug', 'roles' => ['fill', 'level'], 'closure' => 'thread']]]],
            'parts' => [
                ['key' => 'upper', 'kind' => 'spin_on', 'in' => 'hydraulic', 'number' => 'H 1', 'drinks' => '1 gal'],
                ['key' => 'lower', 'kind' => 'spin_on', 'in' => 'hydraulic', 'number' => 'H 2', 'drinks' => '0.75 gal'],
            ],
        ], new \DateTimeImmutable('2026-05-14'));
        self::assertSame(['UTTO', '1.75'], [$answer['fluids'][0]['fluid'], $answer['fluids'][0]['amount']['value']]);
    }
}
