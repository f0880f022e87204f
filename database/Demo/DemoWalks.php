<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Logbook\When;
use App\People\Person;
use App\Walkaround\GreaseController;
use App\Walkaround\GreasePoint;
use App\Walkaround\Said;
use App\Walkaround\Sheets;
use App\Walkaround\Touched;
use App\Walkaround\WriteNote;
use App\Yard\Machine;
use App\Yard\Yard;
use Carbon\CarbonImmutable;
use Core\Inspect\Check;
use Core\Inspect\RoundKind;
use Core\Inspect\Verdict;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** How the invented estate walks round its machines: quiet mornings, and what a few of them have found. */
final class DemoWalks
{
    private const ROWS_AT_ONCE = 500;

    /** Days of quiet morning rounds. */
    private const QUIET_DAYS = 12;

    /** Machines walked this morning, and by whom. */
    private const THIS_MORNING = ['Teal' => 'nell', 'Wigeon' => 'otis', 'Grebe' => 'wilf', 'Snipe' => 'ilse'];

    /** Machines that nobody has walked round for long. */
    private const FORGOTTEN = ['Dabchick' => 23, 'Dunlin' => 41, 'Shoveler' => 16];

    private const OPERATORS = ['bram', 'ilse', 'nell', 'otis', 'wilf'];

    private Randomizer $chance;

    /** @var list<array<string, mixed>> */
    private array $looks = [];

    /** @param  array<string, int>  $people  id by sign-in name */
    public function __construct(private readonly array $people, private readonly CarbonImmutable $today, private readonly WriteNote $writeNote, private readonly Sheets $sheets, private readonly Yard $yard)
    {
        $this->chance = new Randomizer(new Mt19937(1913));
    }

    public function walk(): void
    {
        $machines = Machine::query()->with('meters')->orderBy('id')->get()->keyBy('name');
        foreach ($machines as $machine) {
            GreaseController::begin($machine);
            $this->grease($machine);
        }
        foreach ($machines as $machine) {
            $this->quietMornings($machine);
        }
        foreach (array_chunk($this->looks, self::ROWS_AT_ONCE) as $rows) {
            DB::table('observations')->insert($rows);
        }
        foreach (self::stories() as [$name, $daysAgo, $by, $subject, $said]) {
            $this->note($machines[$name], $daysAgo, $by, ['kind' => $said['kind'] ?? 'look', 'subject' => $subject, ...$said]);
        }
    }

    /** @return list<array{string, int, string, string, array<string, mixed>}> machine, days ago, by whom, what was looked at, what was said */
    private static function stories(): array
    {
        $found = fn (string $verdict, string $words, ?string $note = null): array => ['said' => 'not_fine', 'verdict' => $verdict, 'words' => $words, 'note' => $note];
        $measured = fn (array $values, string $round = 'before_season'): array => ['said' => 'measured', 'values' => $values, 'round' => $round];
        $stories = [
            ['Godwit', 9, 'bram', 'leaks', $found('watch', 'Weeping: damp, no drop', 'At the loader valve, low side.')],
            ['Godwit', 6, 'bram', 'leaks', $found('watch', 'Weeping: damp, no drop')],
            ['Godwit', 2, 'nell', 'leaks', $found('act', 'Dripping', 'A drop every minute with the loader up.')],
            ['Teal', 0, 'nell', 'front_tyres', $found('watch', 'Soft or cracked', 'Left front, small cracks near the rim.')],
            ['Wigeon', 3, 'otis', 'front_boots', $found('watch', 'Cracked, dry outside', 'Right outer boot.')],
            ['Heron', 4, 'wilf', 'deck_belt', $found('watch', 'Worn or shiny')],
            ['Teal', 1, 'tamsin', 'belt', $measured(['rest' => '1 3/4', 'pressed' => '1 3/8', 'force' => '15 lbf'], 'weekly')],
            ['Godwit', 30, 'tamsin', 'coolant_protection', $measured(['protects_to' => '-31'])],
            ['Grebe', 5, 'piet', 'cell_water', $measured(['water' => 'just'], 'weekly')],
            ['Bittern', 210, 'ilse', 'seat_switch', $found('act', 'Stopped the blades late')],
            ['Bittern', 208, 'tamsin', 'seat_switch', ['kind' => 'mended', 'note' => 'Switch replaced, tried ten times.']],
        ];
        foreach ([[1050, '8.0'], [900, '7.1'], [760, '6.5'], [610, '5.4'], [450, '4.6'], [300, '3.8'], [160, '2.7'], [20, '2.1']] as [$daysAgo, $left]) {
            $stories[] = ['Wigeon', $daysAgo, 'tamsin', 'pads', $measured(['left' => "{$left} mm"])];
        }
        foreach ([[980, '1'], [700, '15/16'], [400, '13/16'], [120, '3/4']] as [$daysAgo, $left]) {
            $stories[] = ['Merganser', $daysAgo, 'tamsin', 'adjuster', $measured(['left' => "{$left} in"])];
        }
        foreach ([[300, null], [220, '0.15 L'], [150, '0.2 L'], [90, '0.25 L'], [50, '0.35 L'], [15, '0.4 L']] as [$daysAgo, $toppedUp]) {
            $stories[] = ['Lapwing', min($daysAgo, 34 - (int) ($daysAgo / 20)), 'piet', 'engine_oil', $measured(array_filter(['observed' => $toppedUp === null ? 'full' : 'add', 'engine' => 'off', 'topped_up' => $toppedUp]), 'daily')];
        }

        return $stories;
    }

    private function quietMornings(Machine $machine): void
    {
        $told = array_column(array_filter(self::stories(), fn (array $story): bool => $story[0] === $machine->name && $story[1] <= self::QUIET_DAYS), 3);
        $sheet = $this->sheets->of($machine);
        $last = self::FORGOTTEN[$machine->name] ?? (isset(self::THIS_MORNING[$machine->name]) ? 0 : 1);
        $days = isset(self::FORGOTTEN[$machine->name]) ? [$last] : range($last, self::QUIET_DAYS);
        foreach ($days as $daysAgo) {
            if ($daysAgo > $last && $this->chance->getInt(1, 100) > 50) {
                continue;
            }
            $by = $daysAgo === 0 ? self::THIS_MORNING[$machine->name] : self::OPERATORS[$this->chance->getInt(0, 4)];
            $at = $this->moment($daysAgo);
            $round = $this->round($machine, RoundKind::Daily, $at, $by);
            foreach ($sheet->ofRound(RoundKind::Daily, $this->yard->dayOf($at)) as $step => $check) {
                if (in_array($check->key, $told, true)) {
                    continue;
                }
                $this->looks[] = $this->fine($machine, $check, $round, $at->addSeconds(4 * $step), $by);
            }
        }
    }

    /** @return array{int, int} entry and round */
    private function round(Machine $machine, RoundKind $kind, CarbonImmutable $at, string $by): array
    {
        $entry = DB::table('entries')->insertGetId(['machine_id' => $machine->id, 'kind' => 'round', 'happened_at' => $at, 'written_at' => $at, 'person_id' => $this->people[$by], 'device' => 'demo', 'detail' => json_encode(['kind' => $kind->value])]);

        return [$entry, DB::table('rounds')->insertGetId(['machine_id' => $machine->id, 'entry_id' => $entry, 'kind' => $kind->value, 'day' => $this->yard->dayOf($at)->format('Y-m-d'), 'started_at' => $at, 'ended_at' => $at->addMinutes(2)])];
    }

    /**
     * @param  array{int, int}  $round
     * @return array<string, mixed>
     */
    private function fine(Machine $machine, Check $check, array $round, CarbonImmutable $at, string $by): array
    {
        return ['uuid' => $this->uuid(), 'machine_id' => $machine->id, 'entry_id' => $round[0], 'round_id' => $round[1], 'subject' => $check->key, 'title' => $check->title, 'said' => Said::Fine->value,
            'verdict' => Verdict::Fit->value, 'happened_at' => $at, 'person_id' => $this->people[$by]];
    }

    /** Grease rounds now and then, in which the hidden points are left out. */
    private function grease(Machine $machine): void
    {
        $points = GreasePoint::query()->where('machine_id', $machine->id)->orderBy('position')->get()->reject(fn (GreasePoint $point): bool => $point->name === 'Brake pivots' || ($point->job !== null && $machine->name !== 'Godwit'));
        foreach ([70 + $machine->id, 34 + $machine->id % 9, $machine->name === 'Teal' ? 2 : 12 + $machine->id] as $daysAgo) {
            // The crawler is run too little to be greased again so soon.
            if ((isset(self::FORGOTTEN[$machine->name]) || $machine->name === 'Merganser') && $daysAgo < 60) {
                continue;
            }
            $at = $this->moment($daysAgo)->addHours(3);
            [$entry] = $this->round($machine, RoundKind::Grease, $at, 'piet');
            DB::table('grease_ticks')->insert($points->map(fn (GreasePoint $point): array => ['uuid' => $this->uuid(), 'machine_id' => $machine->id, 'entry_id' => $entry, 'grease_point_id' => $point->id,
                'strokes' => $point->name === 'Clutch hub' ? 3 : $point->strokes, 'happened_at' => $at, 'person_id' => $this->people['piet']])->values()->all());
        }
    }

    /** @param  array<string, mixed>  $note */
    private function note(Machine $machine, int $daysAgo, string $by, array $note): void
    {
        $at = $this->moment($daysAgo)->addMinutes($daysAgo === 0 ? 1 : 4);
        $written = ['id' => $this->uuid(), 'machine_id' => $machine->id, 'at' => $at->toIso8601ZuluString(), ...$note];
        if ($note['kind'] === 'look') {
            $written['round'] = ['kind' => $note['round'] ?? 'daily', 'started_at' => $this->moment($daysAgo)->toIso8601ZuluString()];
        }
        ($this->writeNote)($machine, $written, Person::query()->findOrFail($this->people[$by]), When::read($written['at'], $this->yard), 'demo', new Touched);
    }

    /** A quarter past seven; this morning's round has been walked by now, however early it is. */
    private function moment(int $daysAgo): CarbonImmutable
    {
        $morning = $this->today->subDays($daysAgo)->setTime(7, 15)->utc();
        $lately = CarbonImmutable::now()->subMinutes(10)->startOfSecond();

        return $morning->min($lately)->max($this->today->subDays($daysAgo)->utc());
    }

    private function uuid(): string
    {
        return (string) Str::uuid();
    }
}
