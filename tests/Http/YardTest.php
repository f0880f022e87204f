<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Machines\Machine;
use App\People\Role;
use Core\Machine\MachineClass;
use Illuminate\Support\Facades\DB;

final class YardTest extends TestCase
{
    public function test_the_soonest_stands_first_and_the_list_pages_by_cursor(): void
    {
        foreach (['Coot' => '10', 'Teal' => '99', 'Snipe' => '150', 'Avocet' => '93'] as $name => $hours) {
            $this->log($this->machine(['name' => $name]), $hours)->assertCreated();
        }
        $names = [];
        $cursor = null;
        do {
            $page = $this->getJson('/api/machines?limit=1'.($cursor === null ? '' : "&cursor={$cursor}"))->assertOk();
            $names = [...$names, ...array_column($page->json('data'), 'name')];
            $cursor = $page->json('next_cursor');
        } while ($cursor !== null);

        self::assertSame(['Snipe', 'Teal', 'Avocet', 'Coot'], $names);
        self::assertSame(
            ['Snipe is past', 'Teal and Avocet are nearing', 'Coot is fresh'],
            array_column($this->getJson('/api/yard')->json('headline'), 'text'),
        );
    }

    public function test_it_is_filtered_by_class_place_state_and_part_of_the_name(): void
    {
        $this->machine(['name' => 'Coot', 'place' => 'Campsite']);
        $this->machine(['name' => '100% Teal', 'class' => 'tractor']);
        $found = fn (string $query): array => array_column(
            $this->getJson("/api/machines?{$query}")->assertOk()->json('data'),
            'name',
        );

        self::assertSame(['Coot'], $found('place=Campsite'));
        self::assertSame(['100% Teal'], $found('class=tractor'));
        self::assertSame(['100% Teal'], $found('name=tea'));
        self::assertSame([], $found('name=_oot'));
        self::assertSame([], $found('state=past'));
        $this->getJson('/api/machines?state=sleepy')->assertUnprocessable();
    }

    /** No query is asked once more for every machine. */
    public function test_the_main_reads_ask_the_same_number_of_queries_however_many_machines(): void
    {
        $queries = function (string $address): int {
            $this->getJson($address);
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->getJson($address)->assertOk();

            return count(DB::getQueryLog());
        };
        $first = $this->machine();
        $addresses = [
            '/api/machines',
            '/api/yard',
            "/api/machines/{$first}",
            "/api/machines/{$first}/entries",
            "/api/machines/{$first}/chart",
            "/api/machines/{$first}/plate",
            "/api/machines/{$first}/spots/engine_oil",
            "/api/machines/{$first}/use",
            "/api/rules/{$this->ruleId($first)}/consequences",
            '/api/entries',
        ];
        $few = array_map($queries, $addresses);
        foreach (range(1, 12) as $number) {
            $machine = $this->machine(['name' => "Duck {$number}"]);
            $this->log($machine, (string) $number);
        }

        self::assertSame($few, array_map($queries, $addresses));
        self::assertLessThanOrEqual(36, max($few));
    }

    public function test_every_class_offers_a_rulebook_marked_as_common_practice(): void
    {
        $this->as(Role::Keeper);
        foreach (MachineClass::cases() as $class) {
            $starter = $this->getJson("/api/starter-rulebooks?class={$class->value}")->assertOk();
            self::assertSame(['common practice'], $starter->json('sources'));
            self::assertGreaterThan(1, count($starter->json('rulebooks')));
        }
    }

    public function test_a_rule_is_added_changed_and_taken_out_and_the_history_tells_it(): void
    {
        $machine = $this->machine();
        $rule = $this->postJson(
            "/api/machines/{$machine}/rules",
            [
                'task' => 'Blades',
                'kind' => 'clean',
                'spots' => ['blades'],
                'every' => ['hours' => '25,5'],
                'counts_from' => 'beginning',
            ],
        )->assertCreated();
        self::assertSame(25.5, $rule->json('standing.due.hours'));
        $id = $rule->json('id');

        $changed = $this->patchJson(
            "/api/rules/{$id}",
            ['every' => ['hours' => 20], 'book' => ['hours' => 10]],
            ['If-Match' => $rule->headers->get('ETag')],
        )->assertOk();
        self::assertSame(['Looser than the book, which says every 10 h.'], $changed->json('standing.notes'));
        $this->patchJson(
            "/api/rules/{$id}",
            ['retired' => true],
            ['If-Match' => $changed->headers->get('ETag')],
        )->assertOk();

        self::assertCount(1, $this->sheet($machine)['rules']);
        self::assertSame(['Blades taken out.', 'Blades: every 25.5 h, now every 20 h.', 'Blades added: every 25.5 h.'],
            array_column($this->getJson("/api/machines/{$machine}/entries?kind=rule_changed")->json('data'), 'note'));
    }

    public function test_whoever_comes_too_late_gets_the_newer_record(): void
    {
        $machine = $this->machine();
        $seen = $this->getJson("/api/machines/{$machine}")->headers->get('ETag');
        $this->patchJson("/api/machines/{$machine}", ['place' => 'Campsite'], ['If-Match' => $seen])->assertOk();

        $stale = $this->patchJson(
            "/api/machines/{$machine}",
            ['place' => 'House'],
            ['If-Match' => $seen],
        )->assertStatus(412);
        self::assertSame('Campsite', $stale->json('current.place'));
        self::assertSame('"2"', $stale->headers->get('ETag'));
        self::assertSame('Campsite', Machine::query()->findOrFail($machine)->place);
        $this->patchJson("/api/machines/{$machine}", ['place' => 'House'])->assertStatus(428);
        $this->patchJson('/api/yard', ['name' => 'Elsewhere'], ['If-Match' => '"9"'])->assertStatus(412);
    }

    public function test_a_machine_out_of_the_yard_is_not_on_the_sheet_and_its_name_is_free(): void
    {
        $machine = $this->machine();
        $this->patchJson("/api/machines/{$machine}", ['retired' => true], ['If-Match' => '"1"'])->assertOk();
        self::assertSame([], $this->getJson('/api/machines')->json('data'));
        $this->log($machine, '5')
            ->assertConflict()
            ->assertJsonPath('detail', 'Heron is out of the yard. Put it back first.');

        $this->machine();
        $this->patchJson(
            "/api/machines/{$machine}",
            ['retired' => false, 'name' => 'Old Heron'],
            ['If-Match' => '"2"'],
        )->assertOk();
        self::assertCount(2, $this->getJson('/api/machines')->json('data'));
    }

    public function test_a_machine_without_a_meter_is_ruled_in_days(): void
    {
        $machine = $this->machine(
            [
                'class' => 'aerator',
                'meters' => [],
                'rules' => [
                    ['task' => 'Chains', 'kind' => 'adjust', 'spots' => ['chains'], 'every' => ['months' => 2]],
                ],
            ],
        );
        $rail = $this->sheet($machine)['line']['rail'];

        self::assertSame(
            ['day', '2026-07-01', '2 months, chains'],
            [$rail['unit'], $rail['stakes'][0]['when']['p50'], $rail['stakes'][0]['label']],
        );
    }
}
