<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Acts\Placing;
use App\Logbook\Readings\Reading;
use App\Machines\Machine;
use App\Machines\Yard;
use App\People\Person;
use App\Rulebook\Rule;
use App\Rulebook\Standings\GreaseAnew;
use Brick\Math\BigDecimal;
use Core\Machine\MachineClass;
use Core\Meter\Judgement;
use Core\Meter\Reading as CoreReading;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/**
 * The demo is true: its readings could have been logged, its acts stand where the book would place them, and what its
 * spring needs is worked by hand from what its books say (DemoSheets) and what was counted on its shelf (DemoShelf).
 * Everything is invented. It is loaded once for all of that.
 */
final class DemoTest extends TestCase
{
    /**
     * Until the end of May the oil of three engines falls due, the gear cases and the axle of Wigeon, and the reduction
     * gear and PTO of Godwit, whose PTO housing shares the fluid of its hydrostatic drive.
     *
     * By place: what the book says; then what was counted or came since, none of it poured from meanwhile.
     */
    private const FLUIDS = [
        // Wigeon with filter 2.6 qt, Snipe up to 2.5 L = 2.642 qt, Teal up to 6.8 qt; 3.1 L open, 2 × 5 L shut.
        'Orchard 10W-30' => ['12.04 qt (11.4 L)', '13.84 qt (13.1 L)', '0 qt (0 L)'],
        // Wigeon front gear case 380 mL, gearbox 1.35 L; 2 × 1 L shut.
        'Pinion 75W-90' => ['1730 mL (58.5 fl oz)', '2000 mL (67.6 fl oz)', '0 mL (0 fl oz)'],
        // Wigeon rear axle 0.9 qt; 1 × 1 qt shut.
        'Quillan Wetstop' => ['0.9 qt (0.85 L)', '1 qt (0.95 L)', '0 qt (0 L)'],
        // Godwit reduction gear, each side 1.7 qt, two sides; 2.2 L = 2.325 qt open. 3.4 − 2.325 = 1.075 qt = 1.02 L.
        'Pinion 80W-90 GL-4' => ['3.4 qt (3.22 L)', '2.32 qt (2.2 L)', '1.08 qt (1.02 L)'],
        // Godwit hydrostatic 7.6 gal, for the PTO housing shares it; 38 L = 10.04 gal open.
        'Ashlode Draughtline' => ['7.6 gal (28.77 L)', '10.04 gal (38 L)', '0 gal (0 L)'],
    ];

    /** Needed, and on the shelf. */
    private const PARTS = [
        // Cap gaskets of Wigeon's and Snipe's engines; drain washers of Wigeon's one plug and Snipe's sump and tank.
        'QW 01-20 cap gasket' => [2, 0],
        'QW 01-12 washer' => [3, 0],
        'QW 2520' => [1, 1],
        // Fill and drain of front gear case and gearbox.
        'QW 3301 washer' => [4, 4],
        'QW 3310 ring' => [1, 0],
        'QW 3311 washer' => [1, 1],
        'QW 1820' => [1, 0],
        'QW 1821 cover ring' => [1, 0],
        // Fill and two drains of the reduction gear, fill and drain of the PTO housing.
        'AS 03-08 washer' => [5, 0],
        // Two drains of the hydrostatic drive.
        'AS 02-30 ring' => [2, 0],
        'AS 01-20 cap gasket' => [1, 0],
        'AS 01-12 washer' => [1, 1],
        'AS 15-208' => [1, 1],
    ];

    private const TOOLS = [
        '5/8 in socket', '8 mm hex key', '10 mm hex key', '17 mm socket', '19 mm socket', '24 mm socket',
    ];

    public function test_the_demo_is_true(): void
    {
        $this->travelTo('2026-03-02T09:00:00Z');
        Yard::query()->delete();
        self::assertSame(0, Artisan::call('demo:load'), Artisan::output());
        $this->as(Person::query()->where('sign_in_name', 'rosa')->firstOrFail());

        $this->it_has_something_to_show();
        $this->its_acts_stand_where_the_book_would_place_them();
        $this->every_reading_could_have_been_logged();
        $this->its_spring_needs_what_its_books_add_up_to();
        $this->artisan('demo:load')->assertFailed();
    }

    private function it_has_something_to_show(): void
    {
        $states = array_column($this->getJson('/api/yard')->json('headline'), 'count', 'state');
        self::assertSame(18, array_sum($states));
        self::assertSame(1, $states['stood_down']);
        self::assertSame(1, $states['unknown']);
        self::assertArrayHasKey('past', $states);
        $classes = array_unique(array_column($this->getJson('/api/machines')->json('data'), 'class'));
        self::assertCount(count(MachineClass::cases()), $classes, 'a machine of every class');
    }

    private function its_acts_stand_where_the_book_would_place_them(): void
    {
        $acts = fn (): array => DB::table('acts')->orderBy('id')->get(['id', 'hours', 'km', 'meets'])->all();
        $before = $acts();
        $wigeon = Machine::query()->where('name', 'Wigeon')->with('meters', 'rules')->firstOrFail();
        foreach (Reading::query()->whereIn('meter_id', $wigeon->meters->modelKeys())->with('meter')->orderBy('id')->get()->nth(40) as $reading) {
            Placing::anew($wigeon, $reading->happened_at, $reading->meter->unit->limit());
        }
        $wigeon->rules->each(fn (Rule $rule) => ($this->app->make(GreaseAnew::class))($rule));
        self::assertEquals($before, $acts());
    }

    private function every_reading_could_have_been_logged(): void
    {
        $checked = 0;
        foreach (Machine::query()->with('meters')->get() as $machine) {
            foreach ($machine->meters as $meter) {
                $before = null;
                foreach (Reading::query()->where('meter_id', $meter->id)->orderBy('happened_at')->orderBy('value')->get() as $told) {
                    $reading = CoreReading::onDay(
                        BigDecimal::of((string) $told->value),
                        \DateTimeImmutable::createFromInterface($told->happened_at),
                    );
                    $judgement = Judgement::of($before, $reading, $meter->unit->mostPerDay());
                    self::assertTrue($judgement->isPlausible(), "{$machine->name}: {$judgement->why}");
                    $before = $reading;
                    $checked++;
                }
            }
        }
        self::assertGreaterThan(3000, $checked);
    }

    private function its_spring_needs_what_its_books_add_up_to(): void
    {
        $needs = $this->getJson('/api/needs?until=2026-05-31')->assertOk()->json();

        self::assertSame([], array_diff(
            [
                'Wigeon, Engine oil and filter', 'Snipe, Engine oil and filter', 'Teal, Engine oil and filter',
                'Wigeon, Gear case oils', 'Godwit, Reduction gear and PTO oil',
            ],
            array_map(fn (array $work): string => "{$work['machine']}, {$work['name']}", $needs['works']),
        ));
        self::assertSame(self::FLUIDS, array_map(
            fn (array $one): array => [$one['amount']['display'], $one['have']['display'], $one['short']['display']],
            array_column($needs['fluids'], null, 'name'),
        ));
        self::assertEquals(self::PARTS, array_map(
            fn (array $one): array => [$one['count'], $one['have']],
            array_column($needs['parts'], null, 'number'),
        ));
        self::assertSame(self::TOOLS, array_column($needs['tools'], 'tool'), 'each once, smallest first in each system');
        self::assertSame(
            [['Pinion 80W-90 GL-4', '1 L', 1, '9.40']],
            array_map(
                fn (array $one): array => [$one['name'], $one['size'], $one['count'], $one['cost']],
                array_values(array_filter($needs['to_buy'], fn (array $one): bool => $one['kind'] === 'fluid')),
            ),
            '1 L rather than 5 L at 36.00: the 17 mL beyond it are half a hundredth of what is poured',
        );
        self::assertSame(8, $needs['costs']['makers']['unpriced']);
    }
}
