<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Logbook\EntryKind;
use App\Logbook\Stock\MoveKind;
use App\Logbook\Stock\Supply;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Spot;
use Carbon\CarbonImmutable;
use Core\Inspect\RoundKind;
use Core\Machine\ActKind;
use Core\Machine\LookedBy;
use Core\Machine\Outcome;
use Core\Meter\Reading;
use Core\Meter\RunBetween;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The demo's logbook, gathered row by row and written at once. */
final class DemoBook
{
    private const ROWS_AT_ONCE = 100;

    /** @var array<string, list<array<string, mixed>>> rows by table */
    private array $rows = [
        'rounds' => [],
        'entries' => [],
        'readings' => [],
        'acts' => [],
        'moves' => [],
        'fittings' => [],
    ];

    /** @var array<string, int> round id by machine, day and kind */
    private array $rounds = [];

    /** @var array<int, Meter> */
    private array $meters = [];

    /** @var list<CarbonImmutable> when each reading was read */
    private array $read = [];

    private readonly Randomizer $chance;

    /** @param  array<string, int>  $people  id by sign-in name */
    public function __construct(private readonly array $people)
    {
        $this->chance = new Randomizer(new Mt19937(90210));
    }

    /** @param  array<string, mixed>  $columns */
    public function entry(Machine $machine, EntryKind $kind, CarbonImmutable $at, string $by, array $columns = []): int
    {
        $id = count($this->rows['entries']) + 1;
        $this->rows['entries'][] = [
            'id' => $id,
            'uuid' => $this->uuid(),
            'machine_id' => $machine->id,
            'kind' => $kind->value,
            'happened_at' => self::utc($at),
            'written_at' => self::utc($at),
            'person_id' => $this->people[$by],
            'device' => 'demo',
            'note' => null,
            'round_id' => null,
            'detail' => null,
            ...$columns,
        ];

        return $id;
    }

    public function uuidOf(int $entry): string
    {
        return $this->rows['entries'][$entry - 1]['uuid'];
    }

    public function reading(int $entry, Meter $meter, CarbonImmutable $at, float $value): void
    {
        $this->meters[$meter->id] = $meter;
        $this->read[] = $at;
        $this->rows['readings'][] = [
            'entry_id' => $entry,
            'meter_id' => $meter->id,
            'value' => $value,
            'typed' => (string) $value,
            'happened_at' => self::utc($at),
        ];
    }

    /** The part of a round that somebody walked, of which this is told. */
    public function round(Machine $machine, RoundKind $kind, CarbonImmutable $at, string $by): int
    {
        $day = $at->setTimezone(Coldbrook::TIME_ZONE)->format('Y-m-d');
        $round = $this->rounds["{$machine->id} {$day} {$kind->value}"] ??= count($this->rounds) + 1;
        if ($round > count($this->rows['rounds'])) {
            $this->rows['rounds'][] = [
                'id' => $round,
                'machine_id' => $machine->id,
                'kind' => $kind->value,
                'day' => $day,
                'started_at' => self::utc($at),
                'ended_at' => self::utc($at->addMinutes(2)),
            ];
        }

        return $this->entry($machine, EntryKind::Round, $at, $by, ['round_id' => $round]);
    }

    /**
     * @param  array<string, mixed>  $columns
     * @return int its id
     */
    public function act(
        int $entry,
        Spot $spot,
        ActKind $kind,
        string $title,
        \DateTimeInterface $at,
        string $by,
        array $columns = [],
    ): int {
        $id = count($this->rows['acts']) + 1;
        $this->rows['acts'][] = [
            'id' => $id,
            'uuid' => $this->uuid(),
            'entry_id' => $entry,
            'machine_id' => $spot->machine_id,
            'spot_id' => $spot->id,
            'kind' => $kind->value,
            'check_key' => '',
            'looked_by' => LookedBy::Check->value,
            'outcome' => Outcome::Done->value,
            'meets' => true,
            'verdict' => null,
            'task_id' => null,
            'title' => $title,
            'strokes' => null,
            'happened_at' => self::utc($at),
            'person_id' => $this->people[$by],
            'device' => 'demo',
            ...$columns,
        ];

        return $id;
    }

    /** What an act poured into a compartment; what ran out where it names no fluid. */
    public function move(int $entry, int $act, Spot $spot, string $typed, string $litres, ?Supply $fluid): void
    {
        $this->rows['moves'][] = [
            'entry_id' => $entry,
            'act_id' => $act,
            'kind' => ($fluid === null ? MoveKind::Drained : MoveKind::Poured)->value,
            'from_spot_id' => $fluid === null ? $spot->id : null,
            'to_spot_id' => $fluid === null ? null : $spot->id,
            'amount' => $litres,
            'happened_at' => $this->rows['acts'][$act - 1]['happened_at'],
            'typed' => $typed,
            'supply_id' => $fluid?->id,
            'fluid' => $fluid?->name,
        ];
    }

    /** @param  array<string, mixed>  $columns */
    public function fitting(int $act, array $columns): void
    {
        $this->rows['fittings'][] = [
            'act_id' => $act,
            'number' => null,
            'found' => null,
            'seal' => null,
            'reused' => false,
            'torque' => null,
            ...$columns,
        ];
    }

    /** Writes all of it, each act where its machine then stood. */
    public function write(): void
    {
        $this->place();
        foreach ($this->rows as $table => $rows) {
            foreach (array_chunk($rows, self::ROWS_AT_ONCE) as $some) {
                DB::table($table)->insert($some);
            }
        }
        $this->rows = array_map(fn (): array => [], $this->rows);
    }

    /** @return array{entries: int, acts: int} */
    public function counts(): array
    {
        return ['entries' => count($this->rows['entries']), 'acts' => count($this->rows['acts'])];
    }

    /** Between the readings of its machine along the straight line, as the book itself would place it. */
    private function place(): void
    {
        $readings = $own = [];
        foreach ($this->rows['readings'] as $index => $row) {
            $meter = $this->meters[$row['meter_id']];
            $kind = $meter->unit->limit()->value;
            $reading = new Reading($meter->reckoned((string) $row['value']), $this->read[$index]);
            $readings[$meter->machine_id][$kind][] = $reading;
            $own[$row['entry_id']][$kind] = (string) $reading->value;
        }
        foreach ($readings as &$kinds) {
            foreach ($kinds as &$ofOne) {
                usort(
                    $ofOne,
                    fn (Reading $one, Reading $other): int => [$one->at, $one->value->toFloat()] <=> [
                        $other->at,
                        $other->value->toFloat(),
                    ],
                );
            }
        }
        unset($kinds, $ofOne);
        $utc = new \DateTimeZone('UTC');
        foreach ($this->rows['acts'] as &$act) {
            foreach (['hours', 'km'] as $kind) {
                $act[$kind] = $own[$act['entry_id']][$kind]
                    ?? self::run(
                        $readings[$act['machine_id']][$kind] ?? [],
                        new \DateTimeImmutable($act['happened_at'], $utc),
                    );
            }
        }
    }

    /** @param  list<Reading>  $readings  oldest first */
    private static function run(array $readings, \DateTimeImmutable $moment): ?string
    {
        [$low, $high] = [0, count($readings)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $readings[$middle]->at <= $moment ? [$middle + 1, $high] : [$low, $middle];
        }

        return (new RunBetween($readings[$low - 1] ?? null, $readings[$low] ?? null))->at($moment)?->__toString();
    }

    private static function utc(\DateTimeInterface $moment): string
    {
        return gmdate('Y-m-d H:i:s', $moment->getTimestamp());
    }

    private function uuid(): string
    {
        return preg_replace(
            '/^(.{8})(.{4}).(.{3}).(.{3})(.{12})$/',
            '$1-$2-4$3-8$4-$5',
            bin2hex($this->chance->getBytes(16)),
        )
            ?? '';
    }
}
