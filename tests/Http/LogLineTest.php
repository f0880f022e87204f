<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Role;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;

/** One line that logs fluids, parts, grease, the shelf, and several machines at once. */
final class LogLineTest extends WalkTestCase
{
    /** @var array<string, int> */
    private array $machines = [];

    protected function setUp(): void
    {
        parent::setUp();
        foreach (['Teal', 'Heron'] as $name) {
            $this->machines[$name] = $this->machine(['name' => $name, 'class' => 'tractor', 'began_on' => '2026-01-01', 'at' => '2026-01-01']);
            $this->sheetOf($this->machines[$name], 'fuel_filter', ['kind' => 'filter', 'number' => 'WD 22-006']);
        }
        $this->postJson('/api/supplies', ['kind' => 'part', 'name' => 'Fuel filter', 'number' => 'WD 22-006'])->assertCreated();
        $this->postJson('/api/supplies', [
            'name' => 'Orchard 10W-30',
            'label' => ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API CI-4']],
        ])->assertCreated();
    }

    public function test_what_comes_to_the_shelf_and_goes_from_it_is_told_in_a_line(): void
    {
        $this->says('shelf +3 fuel filter', '3 × Fuel filter came to the shelf.');
        $this->enter('shelf +3 fuel filter')->assertJsonPath('entry.in_words', 'Came to the shelf: 3 × Fuel filter');
        $this->says('teal, heron fuel filter', 'Teal: fuel filter replaced with WD 22-006. Heron: fuel filter replaced with WD 22-006.');
        $entered = $this->enter('teal, heron fuel filter');

        self::assertSame(['Teal', 'Heron'], [$entered->json('entry.machine'), $entered->json('others.0.machine')]);
        self::assertSame('1 piece', $this->left('Fuel filter'));
        foreach ($this->machines as $machine) {
            $story = $this->getJson("/api/machines/{$machine}/spots/fuel_filter")->json();
            self::assertSame('WD 22-006', $story['part_place']['fitted']['number']);
        }
        $this->tellOf($entered->json('others.0.id'), 'strike', ['because' => 'Not that one'])->assertCreated();
        self::assertSame('2 pieces', $this->left('Fuel filter'));
    }

    /** Fact 5 of the model: from the one open container that will do, else from none; it says which. */
    public function test_a_top_up_comes_from_the_one_open_container_that_will_do_and_says_which(): void
    {
        $line = 'teal +0.3 qt engine';
        $this->says($line, "Teal's engine oil topped up with 0.3 qt (0.28 L).");
        $this->sheetOf($this->machines['Teal'], 'engine_oil', ['specification' => ['kind' => 'engine_oil', 'grades' => [['grade' => '10W-30']]]]);
        $this->enter('shelf +2 x 5 L 10W-30');
        $this->says($line, "Teal's engine oil topped up with 0.3 qt (0.28 L), from no container: none that is open will do.");
        $supply = collect($this->getJson('/api/shelf')->json('supplies'))->firstWhere('name', 'Orchard 10W-30');
        $this->tell($this->machines['Teal'], 'top_up', ['spot' => 'engine_oil', 'amount' => '1 L', 'container' => $supply['containers'][0]['id']])->assertCreated();
        $this->says($line, "Teal's engine oil topped up with 0.3 qt (0.28 L), out of the open 5 L Orchard 10W-30.");
        $this->enter($line)->assertJsonPath(
            'entry.in_words',
            'Engine oil topped up, 0.3 qt of Orchard 10W-30 out of the 5 L container',
        );
        self::assertSame('8.72 L (9.21 qt)', $this->left('Orchard 10W-30'));
        foreach ($supply['containers'] as $container) {
            $this->tell($this->machines['Teal'], 'top_up', ['spot' => 'engine_oil', 'amount' => '10 mL', 'container' => $container['id']])->assertCreated();
        }
        $this->says($line, "Teal's engine oil topped up with 0.3 qt (0.28 L), from no container: the 5 L Orchard 10W-30 or "
            .'the 5 L Orchard 10W-30 would do. Choose on its page which.');
        $this->enter($line)->assertJsonPath('entry.in_words', 'Engine oil topped up, 0.3 qt');
    }

    public function test_all_points_are_greased_in_a_line_by_whoever_may_log(): void
    {
        $points = count($this->getJson("/api/machines/{$this->machines['Teal']}/grease")->json('points'));
        $this->says('teal grease all', "Teal: all {$points} points greased, each with its usual strokes.");
        $this->as(Role::Operator);
        $this->enter('teal grease all yesterday');
        $this->tell(null, 'line', ['text' => 'teal fuel filter'])->assertForbidden();
        $this->tell(null, 'line', ['text' => 'shelf +1 fuel filter'])->assertForbidden();
        $this->as(Role::Keeper);
        $told = $this->getJson("/api/machines/{$this->machines['Teal']}/grease")->json('points');
        self::assertSame(['2026-05-13'], array_values(array_unique(array_column($told, 'last_on'))));
    }

    public function test_readings_of_several_machines_are_logged_together_or_not_at_all(): void
    {
        $this->says('teal 12.5, heron 13', 'Teal at 12.5 h.');
        $this->tell(null, 'line', ['text' => 'teal 12.5, heron 99999'])->assertConflict();
        self::assertSame('0', $this->sheet($this->machines['Teal'])['line']['meters'][0]['value']);
        $this->enter('teal 12.5, heron 13');
        self::assertSame(['12.5', '13'], array_map(
            fn (int $machine): string => $this->sheet($machine)['line']['meters'][0]['value'],
            array_values($this->machines),
        ));
    }

    #[TestWith(['teal zzzz', '"zzzz" is not understood here. Teal has no such place.'])]
    #[TestWith(['shelf +2 sprockets', '"sprockets" is nothing that is kept on the shelf.'])]
    #[TestWith(['shelf +2 orchard', 'Orchard 10W-30 comes in containers. Add their size'])]
    #[TestWith(['shelf +2 x 1 L fuel filter', 'Fuel filter comes by the piece.'])]
    #[TestWith(['teal, heron', 'What does Teal\'s meter show?'])]
    public function test_what_is_unclear_is_asked(string $line, string $says): void
    {
        $this->says($line, $says, understood: false);
        $this->tell(null, 'line', ['text' => $line])->assertUnprocessable();
    }

    private function says(string $line, string $sentence, bool $understood = true): void
    {
        $preview = $this->postJson('/api/log-line/preview', ['text' => $line])->assertOk();
        self::assertStringStartsWith($sentence, $preview->json('sentence'));
        self::assertSame($understood, $preview->json('understood'));
    }

    private function enter(string $line): TestResponse
    {
        return $this->tell(null, 'line', ['text' => $line])->assertCreated();
    }

    private function left(string $name): string
    {
        return collect($this->getJson('/api/shelf')->json('supplies'))->firstWhere('name', $name)['left']['in_words'];
    }
}
