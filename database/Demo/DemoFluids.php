<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Logbook\EntryKind;
use App\Logbook\Stock\Supply;
use App\Machines\Machine;
use App\Machines\Spot;
use Carbon\CarbonImmutable;
use Core\Fluid\Conditions;
use Core\Fluid\Sheet\CompartmentSheet;
use Core\Fluid\Sheet\OpeningSheet;
use Core\Fluid\Sheet\SheetFields;
use Core\Fluid\Suitability;
use Core\Fluid\WillItDo;
use Core\Form\Fields;
use Core\Machine\ActKind;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Supply\PartFields;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The fluids of the invented estate: its bottles, what the books say, and what was drained, poured and fitted. */
final class DemoFluids
{
    public const COLDEST = '-14 °C';

    public const HOTTEST = '33 °C';

    /** What stands on each bottle. Invented names; the first that will do is the one that is poured. */
    private const BOTTLES = [
        'Orchard 15W-40' => ['kind' => 'engine_oil', 'grade' => '15W-40', 'designations' => ['API CI-4', 'API SL']],
        'Orchard 10W-30' => ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API CI-4', 'API SL']],
        'Orchard SAE 30' => ['kind' => 'engine_oil', 'grade' => 'SAE 30', 'designations' => ['API SJ', 'API CF']],
        'Orchard 20W-50' => ['kind' => 'engine_oil', 'grade' => '20W-50', 'designations' => ['API SL']],
        'Highroad 5W-30' => ['kind' => 'engine_oil', 'grade' => '5W-30', 'designations' => ['API SP', 'ILSAC GF-6A']],
        'Pinion 80W-90 GL-4' => ['kind' => 'gear_oil', 'grade' => '80W-90', 'designations' => ['GL-4']],
        'Pinion 80W-90 GL-5' => ['kind' => 'gear_oil', 'grade' => '80W-90', 'designations' => ['GL-5']],
        'Pinion 75W-90' => ['kind' => 'gear_oil', 'grade' => '75W-90', 'designations' => ['GL-4', 'GL-5']],
        'Pinion 75W-85' => ['kind' => 'gear_oil', 'grade' => '75W-85', 'designations' => ['GL-4']],
        'Pinion 85W-140' => ['kind' => 'gear_oil', 'grade' => '85W-140', 'designations' => ['GL-4']],
        'Ashlode Draughtline' => [
            'kind' => 'tractor_fluid',
            'designations' => [],
            'makers_own' => 'Ashlode Draughtline',
        ],
        'Brankley Glide' => ['kind' => 'tractor_fluid', 'designations' => [], 'makers_own' => 'Brankley Glide'],
        'Hobscott Crawlfluid' => [
            'kind' => 'tractor_fluid',
            'designations' => [],
            'makers_own' => 'Hobscott Crawlfluid',
        ],
        'Quillan Wetstop' => ['kind' => 'wet_brake_oil', 'designations' => [], 'makers_own' => 'Quillan Wetstop'],
        'Millrace 46' => ['kind' => 'hydraulic_oil', 'grade' => 'ISO VG 46', 'designations' => ['HM']],
        'Frostgate hybrid' => ['kind' => 'coolant', 'designations' => [], 'chemistry' => 'hoat'],
        'Frostgate organic' => ['kind' => 'coolant', 'designations' => [], 'chemistry' => 'oat'],
        'Frostgate green' => ['kind' => 'coolant', 'designations' => [], 'chemistry' => 'iat'],
        'Stopline DOT 4' => ['kind' => 'brake_fluid', 'designations' => ['DOT 4'], 'chemistry' => 'glycol'],
        'Distilled water' => ['kind' => 'distilled_water', 'designations' => []],
    ];

    /** What somebody fitted who never compared: by machine and place. */
    private const FITTED_WRONG = ['Coot' => ['hydrostatic_filter' => 'Wyndle 20']];

    private const DRY_SUMP = 'Snipe';

    /** Of a hundred services, in how many the old washer was used again. */
    private const REUSED = 12;

    /** Hours between two top-ups of an engine. */
    private const TOPPED_UP_EVERY = [18, 40];

    /** @var list<Supply> */
    private array $supplies = [];

    /** @var array<int, CompartmentSheet> by spot id */
    private array $sheets = [];

    /** @var array<int, Supply|null> by spot id */
    private array $poured = [];

    /** @var array<int, list<array{Spot, OpeningSheet}>> drains by compartment */
    private array $drains = [];

    /** @var array<int, string> the number of the part that belongs there, by spot id */
    private array $numbers = [];

    private readonly Randomizer $chance;

    public function __construct(private readonly DemoBook $book)
    {
        $this->chance = new Randomizer(new Mt19937(1865));
        foreach (self::BOTTLES as $name => $label) {
            $this->supplies[] = Supply::query()->create([
                'name' => $name,
                'label' => $label,
                'code' => DemoShelf::code($name),
            ]);
        }
    }

    /** Writes down what the books say of a machine. */
    public function open(Machine $machine, DemoMachine $demo): void
    {
        $this->secondDrain($machine);
        $spots = Spot::query()->where('machine_id', $machine->id)->get()->keyBy('key');
        $rows = [];
        foreach (DemoSheets::of($demo) as $key => $given) {
            $spot = $spots->firstOrFail('key', $key);
            $fields = new Fields($given, "{$demo->name} {$key} ");
            $written = match ($spot->kind) {
                SpotKind::Compartment => SheetFields::written($this->sheets[$spot->id] = SheetFields::read($fields)),
                SpotKind::Opening => ($opening = OpeningSheet::read($fields))->written(),
                default => PartFields::written(PartFields::read($fields)),
            };
            $fields->refuseUnknown();
            if (isset($opening) && $spot->role === OpeningRole::Drain) {
                $this->drains[(int) $spot->parent_id][] = [$spot, $opening];
            }
            if ($spot->kind === SpotKind::Part) {
                $this->numbers[$spot->id] = self::FITTED_WRONG[$demo->name][$key]
                    ?? ($written['superseded_by'] ?: $written['number']);
            }
            unset($opening);
            $rows[] = ['spot_id' => $spot->id, 'written' => json_encode($written, JSON_THROW_ON_ERROR)];
        }
        DB::table('sheets')->insert($rows);
        foreach ($this->sheets as $id => $sheet) {
            if ($sheet->sharesWith !== null && $spots->contains('id', $id)) {
                DB::table('spots')->where('id', $id)->update(['shares_with_id' => $spots->firstOrFail('key', $sheet->sharesWith)->id]);
            }
        }
    }

    /** An engine with a dry sump has a tank of its own, and a drain for each. */
    private function secondDrain(Machine $machine): void
    {
        if ($machine->name === self::DRY_SUMP) {
            $sump = Spot::query()->where(['machine_id' => $machine->id, 'key' => 'engine_oil_drain'])->firstOrFail();
            $sump->replicate()->fill([
                'key' => 'engine_oil_drain_2',
                'name' => 'Engine oil tank drain',
                'place' => 'Under the oil tank, left of the engine',
                'y' => $sump->y + 8,
            ])->save();
            $sump->update(['name' => 'Engine oil sump drain']);
        }
    }

    /** What hangs on an act of a service: what ran out, what was poured, what was fitted. */
    public function serviced(int $entry, int $act, Spot $spot, ActKind $kind, CarbonImmutable $at, string $by): void
    {
        if ($kind === ActKind::Replaced && isset($this->numbers[$spot->id])) {
            $this->book->fitting($act, ['number' => $this->numbers[$spot->id]]);
        }
        $fluid = $kind === ActKind::Changed ? $this->bottle($spot) : null;
        $amount = $fluid === null ? null : $this->amount($spot);
        if ($fluid === null || $amount === null) {
            return;
        }
        $this->book->move($entry, $act, $spot, $amount->inWords(), self::litres($amount), $fluid);
        $share = $this->chance->getInt(93, 98);
        $out = Quantity::of(
            $amount->value->multipliedBy($share)->dividedBy(100)->toScale(2, \Brick\Math\RoundingMode::HALF_UP),
            $amount->unit,
        );
        $this->book->move(
            $entry,
            $this->book->act($entry, $spot, ActKind::Drained, $spot->name, $at, $by, ['meets' => false]),
            $spot,
            $out->inWords(),
            self::litres($out),
            null,
        );
        foreach ($this->drains[$spot->id] ?? [] as [$drain, $sheet]) {
            $reused = $this->chance->getInt(1, 100) <= self::REUSED;
            $closed = $this->book->act($entry, $drain, ActKind::Closed, $drain->name, $at, $by, ['meets' => false]);
            $this->book->fitting(
                $closed,
                ['seal' => $sheet->seal ?: null, 'reused' => $reused, 'torque' => $sheet->torque ?: null],
            );
        }
    }

    /** Engines that use a little. */
    public function toppedUp(Machine $machine, DemoLife $life): void
    {
        $engine = Spot::query()->where(
            ['machine_id' => $machine->id, 'compartment' => CompartmentKind::Engine],
        )->first();
        $fluid = $engine === null ? null : $this->bottle($engine);
        $amount = $engine === null ? null : $this->amount($engine);
        if ($engine === null || $fluid === null || $amount === null || $life->machine->unknownHistory) {
            return;
        }
        $last = null;
        $next = $this->chance->getInt(...self::TOPPED_UP_EVERY);
        foreach ($life->readings as $reading) {
            $last ??= $reading['hours'];
            if ($reading['hours'] === null || $next > $reading['hours'] - $last) {
                continue;
            }
            [$last, $next] = [$reading['hours'], $this->chance->getInt(...self::TOPPED_UP_EVERY)];
            $share = $this->chance->getInt(2, 4);
            $poured = Quantity::of(
                $amount->value->multipliedBy($share)
                    ->dividedBy(100)
                    ->toScale($amount->unit === Unit::Millilitre ? 0 : 2, \Brick\Math\RoundingMode::HALF_UP),
                $amount->unit,
            );
            $at = $reading['at']->addMinutes(10);
            $entry = $this->book->entry($machine, EntryKind::ToppedUp, $at, $reading['by']);
            $act = $this->book->act($entry, $engine, ActKind::ToppedUp, $engine->name, $at, $reading['by']);
            $this->book->move($entry, $act, $engine, $poured->inWords(), self::litres($poured), $fluid);
        }
    }

    private function bottle(Spot $spot): ?Supply
    {
        return $this->poured[$spot->id] ??= $this->firstThatWillDo($spot);
    }

    private function firstThatWillDo(Spot $spot): ?Supply
    {
        $sheet = $this->sheets[$spot->id] ?? null;
        $season = new Conditions(Quantity::parse(self::COLDEST), Quantity::parse(self::HOTTEST));
        if ($sheet === null || $spot->compartment === null) {
            return null;
        }
        foreach ($this->supplies as $supply) {
            $bottle = $supply->bottle();
            if (WillItDo::judge($bottle, $sheet->housing($spot->compartment), $season)->answer === Suitability::Yes) {
                return $supply;
            }
        }

        return null;
    }

    private function amount(Spot $spot): ?Quantity
    {
        return ($this->sheets[$spot->id] ?? null)
            ?->atAChange(withFilter: true, drains: count($this->drains[$spot->id] ?? []))?->most;
    }

    private static function litres(Quantity $amount): string
    {
        return (string) $amount->to(Unit::Litre)->rounded();
    }
}
