<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\Stock\MoveKind;
use App\Logbook\Stock\Supply;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\Note;
use App\Notes\NoteKinds;
use App\Notes\When;
use App\People\Person;
use App\Shelf\Ready\GatheringList;
use App\Shelf\Ready\ListShape;
use App\Shelf\Ready\ReadyWork;
use App\Shelf\Ready\ReadyWorks;
use Carbon\CarbonImmutable;
use Core\Measure\Plain;
use Core\Supply\Need\Preference;
use Core\Supply\SupplyKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * The shelf of the invented estate: an open drum, something past its time, used oil waiting, prices, and a list half
 * gathered for Thursday. Names, numbers and prices are invented.
 */
final readonly class DemoShelf
{
    public const PANS = ['10 qt', '5 gal'];

    public const CURRENCY = '£';

    /** Fluids: where they stand, what they are sold in, days on their way, months that they keep once opened. */
    private const FLUIDS = [
        'Orchard 10W-30' => ['Bay A, low', [['5 L', '32.50'], ['1 L', '8.20']], 3, null],
        'Orchard 15W-40' => ['Bay A, low', [['5 L', '29.90'], ['20 L', '98.00']], 3, null],
        'Orchard 20W-50' => ['Bay A, low', [['1 qt', '7.40']], 5, null],
        'Orchard SAE 30' => ['Bay A, low', [['1 L', '7.10']], 3, null],
        'Highroad 5W-30' => ['Bay A, middle', [['5 L', '41.00'], ['1 L', '9.80']], 3, null],
        'Pinion 80W-90 GL-4' => ['Bay A, middle', [['5 L', '36.00'], ['1 L', '9.40']], 4, null],
        'Pinion 80W-90 GL-5' => ['Bay A, middle', [['5 L', '38.00'], ['1 L', '9.90']], 4, null],
        'Pinion 75W-90' => ['Bay A, middle', [['1 L', '13.60']], 4, null],
        'Ashlode Draughtline' => ['Floor, by the door', [['60 L', '395.00'], ['20 L', '148.00']], 12, null],
        'Brankley Glide' => ['Floor, by the door', [['5 L', '44.00'], ['20 L', '151.00']], 12, null],
        'Quillan Wetstop' => ['Bay A, top', [['1 qt', '21.50']], 9, null],
        'Frostgate hybrid' => ['Bay C', [['5 L', '27.00']], 3, null],
        'Frostgate organic' => ['Bay C', [['5 L', '26.00']], 3, null],
        'Stopline DOT 4' => ['Bay C, tin box', [['500 mL', '9.50']], 3, 12],
        'Distilled water' => ['Bay C', [['5 L', '4.00']], 1, null],
    ];

    /** Parts: number, where they lie, price, days on their way, and how many there are; null where nobody counts them. */
    private const PARTS = [
        'Oil filter, Drover' => ['AS 15-208', 'Bay B, 1', '16.40', 6, 1],
        'Oil filter, Drover, Wyndle' => ['Wyndle 15-208', 'Bay B, 1', '8.90', 2, 1],
        'Drive filter, Drover' => ['AS 38-114', 'Bay B, 1', '41.00', 9, 0],
        'Oil filter, Swath' => ['VM 4-118', 'Bay B, 2', '11.20', 5, 2],
        'Drive filter, Swath' => ['VM 9-052', 'Bay B, 2', '24.80', 5, 2],
        'Fuel filter, Swath' => ['VM 4-160', 'Bay B, 2', '6.30', 5, 3],
        'Air cleaner, Swath' => ['VM 4-130', 'Bay B, 2', '19.00', 5, 1],
        'Oil filter, Foreacre' => ['BK 615', 'Bay B, 3', '14.90', 7, 0],
        'Oil filter, Foreacre, Wyndle' => ['Wyndle 615', 'Bay B, 3', '7.80', 2, 1],
        'Drive filter, Foreacre' => ['BK 640', 'Bay B, 3', '33.00', 7, 1],
        'Oil filter, Packhorse' => ['QW 2520', 'Bay B, 4', '12.70', 8, 1],
        'Fuel filter, Packhorse' => ['QW 2610', 'Bay B, 4', '17.50', 8, 0],
        'CVT belt, Packhorse' => ['QW 4102', 'On the wall', '118.00', 8, 1],
        'Drain washer, Ashlode' => ['AS 01-12 washer', 'Drawer of washers', '0.60', 6, 4],
        'Drain washer, Velmoor' => ['VM 01-12 washer', 'Drawer of washers', '0.55', 5, 6],
        'Drain washer, Brankley' => ['BK 01-12 washer', 'Drawer of washers', '0.55', 7, 0],
        'Axle washer, Brankley' => ['BK 03-08 washer', 'Drawer of washers', '0.70', 7, 2],
        'Gear case washer, Quillan' => ['QW 3301 washer', 'Drawer of washers', '0.70', 8, 5],
        'Axle washer, Quillan' => ['QW 3311 washer', 'Drawer of washers', '0.90', 8, 1],
    ];

    /** What came: fluid, days ago, size, how many, and the day printed on it, days from today. */
    private const CAME = [
        ['Ashlode Draughtline', 260, '60 L', 1],
        ['Orchard 10W-30', 210, '5 L', 2],
        ['Orchard 10W-30', 24, '5 L', 2],
        ['Orchard 15W-40', 120, '20 L', 1],
        ['Orchard 20W-50', 90, '1 qt', 4],
        ['Orchard SAE 30', 90, '1 L', 2],
        ['Highroad 5W-30', 300, '5 L', 1],
        ['Pinion 80W-90 GL-4', 200, '5 L', 1],
        ['Pinion 80W-90 GL-5', 200, '5 L', 1],
        ['Pinion 75W-90', 150, '1 L', 2],
        ['Brankley Glide', 400, '5 L', 2],
        ['Quillan Wetstop', 60, '1 qt', 1],
        ['Frostgate hybrid', 500, '5 L', 2, -40],
        ['Frostgate organic', 80, '5 L', 1],
        ['Stopline DOT 4', 430, '500 mL', 1],
        ['Distilled water', 30, '5 L', 3],
    ];

    /** What was counted eleven days ago: how much is left in the containers of a fluid, the oldest first. */
    private const COUNTED = [
        'Ashlode Draughtline' => ['38 L'],
        'Orchard 10W-30' => ['0 L', '3.1 L'],
        'Orchard 15W-40' => ['11.5 L'],
        'Highroad 5W-30' => ['1.4 L'],
        'Pinion 80W-90 GL-4' => ['2.2 L'],
        'Pinion 80W-90 GL-5' => ['4.1 L'],
        'Brankley Glide' => ['0 L', '3.5 L'],
        'Stopline DOT 4' => ['300 mL'],
        'Distilled water' => ['2 L'],
    ];

    private const COUNTED_DAYS_AGO = 11;

    /** Machines whose jobs are got ready for. */
    private const THURSDAY = ['Bittern', 'Moorhen'];

    private const JOBS_EACH = 3;

    /** @param  array<string, int>  $people  person id by sign-in name */
    public function __construct(
        private array $people,
        private CarbonImmutable $today,
        private Yard $yard,
    ) {}

    /** Writes down what is kept, and tells of what came, was counted and was taken away. */
    public function stock(): void
    {
        foreach (self::FLUIDS as $name => [$place, $sizes, $days, $months]) {
            Supply::query()->where('name', $name)->firstOrFail()->update([
                'place' => $place,
                'sold_in' => array_map(fn (array $size): array => ['size' => $size[0], 'price' => $size[1]], $sizes),
                'delivery_days' => $days,
                'keeps_months' => $months,
            ]);
        }
        $counted = [];
        foreach (self::PARTS as $name => [$number, $place, $price, $days, $count]) {
            $counted[Supply::query()->create([
                'kind' => SupplyKind::Part,
                'name' => $name,
                'number' => $number,
                'code' => self::code($name),
                'place' => $place,
                'sold_in' => [['price' => $price]],
                'delivery_days' => $days,
            ])->id] = $count;
        }
        $this->countParts($counted);
        foreach (self::CAME as $came) {
            [$name, $daysAgo, $size, $count] = $came;
            $this->tell($daysAgo, 'rosa', 'bought', [
                'supply' => self::supply($name)->id,
                'size' => $size,
                'count' => $count,
                'use_by' => isset($came[4]) ? $this->today->addDays($came[4])->toDateString() : null,
            ]);
        }
        foreach (self::COUNTED as $name => $left) {
            $supply = self::supply($name);
            $containers = $supply->containers->take(count($left))->values();
            $this->tell(self::COUNTED_DAYS_AGO, 'bram', 'counted', [
                'supply' => $supply->id,
                'containers' => $containers->map(
                    fn ($container, int $index): array => ['container' => $container->id, 'left' => $left[$index]],
                )->all(),
                'because' => 'Nobody had written down what was poured.',
            ]);
        }
        foreach (['oil', 'coolant', 'brake_fluid', 'fuel', 'filters'] as $waste) {
            $this->tell(130, 'bram', 'collected', ['waste' => $waste]);
        }
    }

    /**
     * In one go, ten weeks ago.
     *
     * @param  array<int, int>  $counted  by supply
     */
    private function countParts(array $counted): void
    {
        $entry = Entry::write(null, EntryKind::Counted, $this->circumstances(70, 'bram'), [
            'detail' => ['words' => Plain::count(count($counted), 'part').' counted'],
        ]);
        DB::table('moves')->insert(array_map(fn (int $supply, int $count): array => [
            'entry_id' => $entry->id,
            'supply_id' => $supply,
            'kind' => MoveKind::Counted,
            'amount' => $count,
            'happened_at' => $entry->happened_at,
        ], array_keys($counted), array_values($counted)));
    }

    /** Once it is reckoned what falls due: a list, and half of it gathered. */
    public function gather(): void
    {
        $works = [];
        foreach (self::THURSDAY as $name) {
            $soonest = array_values(array_filter(
                app(ReadyWorks::class)->all(),
                fn (ReadyWork $work): bool => $work->machine === $name && $work->takesAnything(),
            ));
            $works = [...$works, ...array_slice($soonest, 0, self::JOBS_EACH)];
        }
        $thursday = $this->today->isThursday() ? $this->today : $this->today->next(CarbonImmutable::THURSDAY);
        $list = GatheringList::query()->create([
            'name' => 'Thursday: '.implode(' and ', self::THURSDAY),
            'for_day' => $thursday->toDateString(),
            'preference' => Preference::Makers,
            'works' => GatheringList::remembered($works),
            'person_id' => $this->people['bram'],
            'made_at' => CarbonImmutable::now()->subHours(3),
        ]);
        $list->things()->create(['uuid' => (string) Str::uuid(), 'name' => 'Cable ties', 'count' => 1]);
        $shape = app(ListShape::class)->of($list);
        $lines = [...$shape['fluids'], ...$shape['parts'], ...$shape['tools'], ...$shape['uses']];
        $there = array_filter(
            $lines,
            fn (array $line): bool => in_array($line['short']['value'] ?? $line['short'] ?? 0, [0, '0'], true),
        );
        foreach (array_slice(array_column($there, 'key'), 0, intdiv(count($lines), 2)) as $key) {
            $this->tell(0, 'bram', 'gather', ['list' => $list->id, 'item' => $key, 'got' => true]);
        }
    }

    /** The same on every loading. */
    public static function code(string $name): string
    {
        return strtoupper(substr(strtr(md5($name), '01', 'XY'), 0, 6));
    }

    private static function supply(string $name): Supply
    {
        return Supply::query()->with('containers')->where('name', $name)->firstOrFail();
    }

    /** @param  array<string, mixed>  $given */
    private function tell(int $daysAgo, string $by, string $kind, array $given): void
    {
        (app(NoteKinds::class)->named($kind) ?? throw new \LogicException('There is no such kind of note.'))->write(new Note(
            (string) Str::uuid(),
            null,
            $this->circumstances($daysAgo, $by),
            $given,
        ));
    }

    private function circumstances(int $daysAgo, string $by): Circumstances
    {
        $at = $daysAgo === 0
            ? CarbonImmutable::now()->subHour()->startOfSecond()
            : $this->today->subDays($daysAgo)->setTime(16, 40)->utc();

        return new Circumstances(
            Person::query()->findOrFail($this->people[$by]),
            When::read($at->toIso8601ZuluString(), $this->yard),
            'demo',
        );
    }
}
