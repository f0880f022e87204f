<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Photo;
use App\People\Role;
use Core\Machine\MachineClass;
use Core\Starter\Starters;

/** The plate of a machine, and what is known of one spot. */
final class PlateTest extends WalkTestCase
{
    private const WIGEON = [
        'name' => 'Wigeon', 'class' => 'utility_vehicle', 'at' => '2026-01-01', 'began_on' => '2026-01-01', 'meters' => [
            ['unit' => 'h', 'value' => '0'],
        ],
        'rules' => [
            ['task' => 'Brake pads', 'kind' => 'inspect', 'spots' => ['pads'], 'check' => 'pads', 'every' => ['hours' => 100]],
            ['kind' => 'lubricate', 'every' => ['hours' => 50]],
            [
                'task' => 'Engine oil and filter',
                'kind' => 'replace',
                'spots' => ['engine_oil', 'engine_oil_filter'],
                'every' => ['hours' => 100],
            ],
        ],
    ];

    public function test_the_plate_has_every_spot_in_walking_order_with_what_is_told_of_it(): void
    {
        $machine = $this->machine(self::WIGEON);
        $this->log($machine, '60', ['at' => '2026-05-13', 'confirmed_because' => 'A long spring'])->assertCreated();
        $this->send([$this->look($machine, 'pads', ['said' => 'measured', 'values' => ['left' => '0.3 mm']])]);
        $plate = $this->getJson("/api/machines/{$machine}/plate")->assertOk()->json();

        self::assertSame(
            array_column($this->getJson("/api/machines/{$machine}/spots")->json('spots'), 'key'),
            array_column($plate['spots'], 'key'),
        );
        $told = array_column($plate['spots'], 'told', 'key');
        $because = array_column($plate['spots'], 'because', 'key');
        self::assertSame(['act', 'Brake pads'], [$told['pads'], $because['pads']]);
        self::assertSame(['fresh', null], [$told['engine_oil'], $because['engine_oil']]);
        foreach ($plate['grease']['points'] as $point) {
            self::assertSame(
                [$point['state'], $point['task']],
                [$told[$point['key']], $because[$point['key']]],
                "{$point['name']} is told by itself",
            );
        }
    }

    public function test_the_plate_of_every_class_carries_every_spot_of_its_starter_within_the_drawing(): void
    {
        foreach (MachineClass::cases() as $class) {
            $machine = $this->machine([
                'name' => $class->value,
                'class' => $class->value,
                'meters' => [['unit' => $class->usualMeters()[0]->value, 'value' => '0']],
                'rules' => [],
            ]);
            $spots = $this->getJson("/api/machines/{$machine}/plate")->assertOk()->json('spots');
            self::assertSame(array_keys(Starters::for($class)->spots()), array_column($spots, 'key'), $class->value);
            foreach ($spots as $spot) {
                self::assertSame([max(0, min(100, $spot['x'])), max(0, min(100, $spot['y']))], [$spot['x'], $spot['y']]);
            }
        }
    }

    public function test_the_story_of_a_fluid_tells_its_openings_what_is_due_what_was_done_and_what_it_uses(): void
    {
        $machine = $this->machine(self::WIGEON);
        $this->log($machine, '90', ['at' => '2026-05-01', 'confirmed_because' => 'A long spring'])->assertCreated();
        $this->send([$this->look($machine, 'engine_oil', ['at' => '2026-05-02T07:00:00Z'])]);
        $this->log($machine, '95', ['at' => '2026-05-08'])->assertCreated();
        $this->tell($machine, 'top_up', ['spot' => 'engine_oil', 'amount' => '0.3 qt', 'note' => 'Cold'])->assertCreated();
        $story = $this->story($machine, 'engine_oil');

        self::assertSame(['compartment', 'nearing', 'Engine oil and filter'], [$story['kind'], $story['told'], $story['because']]);
        self::assertSame(['Engine oil and filter'], array_column($story['rules'], 'task'));
        self::assertContains('engine_oil_filter', array_column($story['has'], 'key'));
        self::assertContains('engine_oil_drain', array_column($story['has'], 'key'));
        self::assertSame(
            ['topped up, 0.3 qt', 'Keeper', 'Cold'],
            [$story['acts'][0]['in_words'], $story['acts'][0]['by'], $story['acts'][0]['note']],
        );
        self::assertSame(['engine_oil'], array_column($story['checks'], 'key'));
        self::assertSame(['engine_oil'], array_column($story['consumption'], 'spot'));

        $drain = $this->story($machine, 'engine_oil_drain');
        self::assertSame(['engine_oil', 'drain', []], [$drain['belongs_to']['key'], $drain['role'], $drain['rules']]);
    }

    public function test_the_story_of_a_part_tells_its_wear_its_findings_and_its_photos(): void
    {
        $machine = $this->machine(self::WIGEON);
        $sent = $this->send(array_map(
            fn (string $left, int $day): array => $this->look($machine, 'pads', [
                'said' => 'measured',
                'values' => ['left' => $left],
                'at' => "2026-05-0{$day}T07:00:00Z",
            ]),
            ['3 mm', '2 mm', '0.3 mm'],
            [2, 4, 6],
        ));
        Photo::query()->create([
            'uuid' => '00000000-0000-4000-8000-000000000001', 'machine_id' => $machine, 'act' => $sent[2]['act']['id'],
            'person_id' => $this->person(Role::Keeper)->id, 'width' => 1, 'height' => 1, 'bytes' => 1,
            'created_at' => '2026-05-06 07:00:00',
        ]);
        $pads = $this->story($machine, 'pads');

        self::assertSame('act', $pads['told']);
        self::assertSame(['pads'], array_column($pads['findings'], 'check'));
        self::assertSame(['3', '2', '0.3'], array_column($pads['wear'][0]['points'], 'value'));
        self::assertSame('measured, act', $pads['acts'][0]['in_words']);
        self::assertSame(
            [['id' => '00000000-0000-4000-8000-000000000001', 'at' => '2026-05-06T07:00:00+00:00', 'of' => 'Brake pads']],
            $pads['photos'],
        );
    }

    public function test_a_grease_point_tells_itself_what_it_takes_and_when_it_had_it(): void
    {
        $machine = $this->machine(self::WIGEON);
        $this->send([$this->note($machine, 'grease', ['spot' => 'prop_shaft_joints', 'strokes' => 3, 'round' => null])]);
        $point = $this->story($machine, 'prop_shaft_joints');

        self::assertSame([], $point['rules'], 'the set is told by its points');
        self::assertSame(3, $point['point']['last_strokes']);
        self::assertSame('greased, 3 strokes', $point['acts'][0]['in_words']);
    }

    public function test_a_spot_of_another_machine_or_of_none_is_not_told(): void
    {
        $machine = $this->machine(self::WIGEON);
        $this->getJson("/api/machines/{$machine}/spots/raw_water_impeller")->assertNotFound();
        $this->getJson('/api/machines/99999/plate')->assertNotFound();
    }

    public function test_a_top_up_says_what_is_wrong_beside_its_field_and_writes_nothing(): void
    {
        $machine = $this->machine(self::WIGEON);
        foreach ([
            'amount' => ['engine_oil', 'a bit'],
            'spot' => ['pads', '0.3 qt'],
        ] as $field => [$spot, $amount]) {
            $this->tell($machine, 'top_up', ['spot' => $spot, 'amount' => $amount])
                ->assertStatus(422)->assertJsonStructure(['errors' => [$field]]);
        }
        self::assertSame([], $this->story($machine, 'engine_oil')['acts']);
    }

    public function test_a_top_up_is_a_line_of_the_book_and_reads_the_level(): void
    {
        $machine = $this->machine([...self::WIGEON, 'rules' => [
            ['task' => 'Engine oil level', 'kind' => 'check_level', 'spots' => ['engine_oil'], 'every' => ['hours' => 10]],
        ]]);
        $this->log($machine, '30', ['at' => '2026-05-13', 'confirmed_because' => 'A long spring'])->assertCreated();
        self::assertSame('past', $this->story($machine, 'engine_oil')['told']);
        $this->as(Role::Operator);
        $entry = $this->tell($machine, 'top_up', ['spot' => 'engine_oil', 'amount' => '350ml'])->json('entry');

        self::assertSame(['topped_up', 'Engine oil topped up, 350ml'], [$entry['kind'], $entry['in_words']]);
        self::assertSame('fresh', $this->story($machine, 'engine_oil')['told']);
        $this->tellOf($entry['id'], 'strike', ['because' => 'Poured into another'])->assertCreated();
        self::assertSame('past', $this->story($machine, 'engine_oil')['told']);
    }

    /** @return array<string, mixed> */
    private function story(int $machine, string $spot): array
    {
        return $this->getJson("/api/machines/{$machine}/spots/{$spot}")->assertOk()->json();
    }
}
