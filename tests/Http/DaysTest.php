<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Person;
use App\Yard\Machine;
use App\Yard\Yard;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Days;

/** The demo is laid out from today, so every day is another product: on each of them it loads, answers, shows every stake, and a rebuild changes nothing. */
final class DaysTest extends TestCase
{
    /** What is computed from facts and kept. */
    private const KEPT = ['yard_lines', 'walk_lines', 'weekly_readings', 'class_seasons'];

    #[DataProvider('days')]
    public function test_the_demo_stands_on_any_day(string $moment): void
    {
        $this->travelTo($moment);
        Yard::query()->delete();
        self::assertSame(0, Artisan::call('demo:load'), Artisan::output());
        $this->as(Person::query()->where('sign_in_name', 'rosa')->firstOrFail());
        $this->getJson('/api/yard')->assertOk()->assertJsonPath('machines', Machine::query()->count());
        foreach ($this->getJson('/api/machines?limit=200')->assertOk()->json('data') as $line) {
            $sheet = $this->sheet($line['id']);
            self::assertSame($line, $sheet['line'], "{$line['name']} stands on the yard as on its own sheet");
            $this->assertNoStakeIsLost($sheet);
            $this->forgetRequest();
        }
        $kept = array_map(fn (string $table): array => DB::table($table)->orderByRaw('1')->get()->all(), self::KEPT);
        Artisan::call('yard:rebuild');
        self::assertEquals($kept, array_map(fn (string $table): array => DB::table($table)->orderByRaw('1')->get()->all(), self::KEPT), 'a rebuild changes nothing');
    }

    /** @return iterable<string, array{string}> */
    public static function days(): iterable
    {
        foreach (Days::all() as $name => $moment) {
            yield "{$name}, {$moment}" => [$moment];
        }
    }

    /**
     * Every rule that falls due within sight of the rail has a stake on it.
     *
     * @param  array<string, mixed>  $sheet
     */
    private function assertNoStakeIsLost(array $sheet): void
    {
        $rail = $sheet['line']['rail'];
        $staked = array_merge([], ...array_map(fn (array $stake): array => array_column($stake['tasks'], 'rule_id'), $rail['stakes']));
        foreach ($sheet['rules'] as $rule) {
            $due = $rule['standing']['due'][['h' => 'hours', 'km' => 'km', 'mi' => 'km', 'day' => 'date'][$rail['unit']]] ?? null;
            $isInSight = $due !== null && $rail['unit'] !== 'day' && $rail['unit'] !== 'mi' && (float) $due <= (float) $rail['to'];
            if ($isInSight || in_array($rule['standing']['state'], ['nearing', 'due', 'past'], true)) {
                self::assertContains($rule['id'], $staked, "{$sheet['line']['name']}: {$rule['task']}, {$rule['standing']['why']}");
            }
        }
        foreach ($rail['stakes'] as $stake) {
            self::assertLessThanOrEqual((float) $rail['to'], (float) $stake['at']);
        }
    }
}
