<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\Note;
use App\Notes\NoteKinds;
use App\Notes\When;
use App\People\Person;
use Carbon\CarbonImmutable;
use Core\Inspect\Check;
use Core\Inspect\RoundKind;
use Core\Machine\ActKind;
use Core\Machine\LookedBy;
use Core\Machine\SpotKind;
use Core\Machine\Verdict;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * How the invented estate walks round its machines: quiet mornings and weekly rounds, and what a few of them have
 * found.
 */
final class DemoWalks
{
    /** Days of morning rounds. */
    private const MORNINGS = 60;

    /** Of a hundred mornings, how many a machine is walked round. */
    private const MORNINGS_WALKED = 32;

    private const WEEKS = 156;

    /** Of a hundred weeks, how many it is looked over more thoroughly. */
    private const WEEKS_WALKED = 32;

    /** Machines walked this morning, and by whom. */
    private const THIS_MORNING = ['Teal' => 'nell', 'Wigeon' => 'otis', 'Grebe' => 'wilf', 'Snipe' => 'ilse'];

    /** Machines that nobody has walked round for long. */
    private const FORGOTTEN = ['Dabchick' => 23, 'Dunlin' => 41, 'Shoveler' => 16];

    private const OPERATORS = ['bram', 'ilse', 'nell', 'otis', 'wilf'];

    /** A point that nobody has ever got. */
    private const NEVER = 'brake_pivots';

    /** A point of Godwit's into which the grease does not go. */
    private const STUCK = 'axle_pivot';

    private Randomizer $chance;

    /** @param  array<string, int>  $people  id by sign-in name */
    public function __construct(
        private readonly array $people,
        private readonly CarbonImmutable $today,
        private readonly Yard $yard,
    ) {
        $this->chance = new Randomizer(new Mt19937(1913));
    }

    /** The rounds in which nothing was found. */
    public function walk(DemoBook $book): void
    {
        $machines = Machine::query()->with('meters', 'rules')->orderBy('id')->get();
        $sheets = app(CheckLists::class);
        $sheets->read($machines);
        $spots = Spot::query()->with('grease')->get()->groupBy('machine_id');
        foreach ($machines as $machine) {
            $own = ($spots[$machine->id] ?? collect())->keyBy('key')->toBase();
            $told = array_column(
                array_filter(self::stories(), fn (array $story): bool => $story[0] === $machine->name),
                null,
                3,
            );
            $checks = collect($sheets->of($machine)->checks)->reject(
                fn (Check $check): bool => isset($told[$check->key]),
            );
            $this->grease($book, $machine, $own);
            $this->weeks(
                $book,
                $machine,
                $own,
                $checks->filter(
                    fn (Check $check): bool => $check->turn->rounds === [RoundKind::Weekly] && $check->measuring->by === null,
                ),
            );
            $this->mornings(
                $book,
                $machine,
                $own,
                $checks->filter(fn (Check $check): bool => $check->isAsked(RoundKind::Daily, $this->yard->today())),
            );
        }
    }

    /** What was found, through the door by which everybody tells it. */
    public function tell(): void
    {
        $machines = Machine::query()->with('meters', 'rules')->get()->keyBy('name');
        foreach (self::stories() as [$name, $daysAgo, $by, $check, $said]) {
            $this->note(
                $machines->firstOrFail('name', $name),
                $daysAgo,
                $by,
                ['kind' => 'look', ...($check === '' ? [] : ['check' => $check]), ...$said],
            );
        }
    }

    /**
     * @return list<array{string, int, string, string, array<string, mixed>}> machine, days ago, by whom, by which
     *     check, what was said
     */
    private static function stories(): array
    {
        $found = fn (string $verdict, string $words, ?string $note = null): array => [
            'said' => 'not_fine',
            'verdict' => $verdict,
            'words' => $words,
            'note' => $note,
        ];
        $measured = fn (array $values, string $round = 'before_season'): array => [
            'said' => 'measured',
            'values' => $values,
            'round' => $round,
        ];
        $stories = [
            ['Godwit', 9, 'bram', 'leaks', $found('watch', 'Weeping: damp, no drop', 'At the loader valve, low side.')],
            ['Godwit', 6, 'bram', 'leaks', $found('watch', 'Weeping: damp, no drop')],
            ['Godwit', 2, 'nell', 'leaks', $found('act', 'Dripping', 'A drop every minute with the loader up.')],
            [
                'Godwit',
                3,
                'piet',
                '',
                [
                    'kind' => 'grease',
                    'spot' => self::STUCK,
                    'did_not_go_in' => true,
                    'note' => 'Came out round the coupler.',
                    'round' => 'grease',
                ],
            ],
            [
                'Teal',
                0,
                'nell',
                'front_tyres',
                $found('watch', 'Soft or cracked', 'Left front, small cracks near the rim.'),
            ],
            ['Wigeon', 3, 'otis', 'front_boots', $found('watch', 'Cracked, dry outside', 'Right outer boot.')],
            ['Heron', 4, 'wilf', 'deck_belt', $found('watch', 'Worn or shiny')],
            [
                'Teal',
                1,
                'tamsin',
                'belt',
                $measured(['rest' => '1 3/4', 'pressed' => '1 3/8', 'force' => '15 lbf'], 'weekly'),
            ],
            ['Godwit', 30, 'tamsin', 'coolant_protection', $measured(['protects_to' => '-31'])],
            [
                'Merganser',
                320,
                'bram',
                'leaks',
                $found('watch', 'Weeping: damp, no drop', 'Old track-side seal, left.'),
            ],
            [
                'Merganser',
                318,
                'rosa',
                'leaks',
                [
                    'kind' => 'accept',
                    'note' => 'As old as the machine; the seal is not to be had.',
                    'loses' => '0.5 qt',
                    'of' => 'hydraulic',
                ],
            ],
            ['Merganser', 26, 'otis', 'leaks', $found('watch', 'Weeping: damp, no drop')],
            ['Grebe', 5, 'piet', 'cell_water', $measured(['water' => 'just'], 'weekly')],
            ['Bittern', 210, 'ilse', 'seat_switch', $found('act', 'Stopped the blades late')],
            [
                'Bittern',
                208,
                'tamsin',
                'seat_switch',
                ['kind' => 'mended', 'note' => 'Switch replaced, tried ten times.'],
            ],
        ];
        $pads = [
            1050 => '8.0',
            900 => '7.1',
            760 => '6.5',
            610 => '5.4',
            450 => '4.6',
            300 => '3.8',
            160 => '2.7',
            20 => '2.1',
        ];
        foreach ($pads as $daysAgo => $left) {
            $stories[] = ['Wigeon', $daysAgo, 'tamsin', 'pads', $measured(['left' => "{$left} mm"])];
        }
        foreach ([[980, '1'], [700, '15/16'], [400, '13/16'], [120, '3/4']] as [$daysAgo, $left]) {
            $stories[] = ['Merganser', $daysAgo, 'tamsin', 'adjuster', $measured(['left' => "{$left} in"])];
        }
        foreach ([[300, null], [220, '0.15 L'], [150, '0.2 L'], [90, '0.25 L'], [50, '0.35 L'], [15, '0.4 L']] as [$daysAgo, $toppedUp]) {
            $observed = array_filter(
                ['observed' => $toppedUp === null ? 'full' : 'add', 'engine' => 'off', 'topped_up' => $toppedUp],
            );
            $stories[] = [
                'Lapwing',
                min($daysAgo, 34 - (int) ($daysAgo / 20)),
                'piet',
                'engine_oil',
                $measured($observed, 'daily'),
            ];
        }

        return $stories;
    }

    /**
     * @param  Collection<string, Spot>  $spots
     * @param  Collection<int, Check>  $checks
     */
    private function mornings(DemoBook $book, Machine $machine, Collection $spots, Collection $checks): void
    {
        $last = self::FORGOTTEN[$machine->name] ?? (isset(self::THIS_MORNING[$machine->name]) ? 0 : 1);
        $known = (int) $this->today->diffInDays(Coldbrook::knownSince($machine->name, $this->today), absolute: true);
        for ($daysAgo = $last; $daysAgo <= min($known - 1, $last + self::MORNINGS); $daysAgo++) {
            if ($daysAgo > $last && $this->chance->getInt(1, 100) > self::MORNINGS_WALKED) {
                continue;
            }
            $by = $daysAgo === 0 ? self::THIS_MORNING[$machine->name] : self::OPERATORS[$this->chance->getInt(0, 4)];
            $at = $this->moment($daysAgo);
            $this->fine($book, $book->round($machine, RoundKind::Daily, $at, $by), $spots, $checks, $at, $by);
        }
    }

    /**
     * @param  Collection<string, Spot>  $spots
     * @param  Collection<int, Check>  $checks
     */
    private function weeks(DemoBook $book, Machine $machine, Collection $spots, Collection $checks): void
    {
        $known = (int) $this->today->diffInDays(Coldbrook::knownSince($machine->name, $this->today), absolute: true);
        for ($week = 1; $week <= min(self::WEEKS, intdiv($known - 3, 7)); $week++) {
            if (
                $this->chance->getInt(1, 100) > self::WEEKS_WALKED
                || $week * 7 < (self::FORGOTTEN[$machine->name] ?? 0)
            ) {
                continue;
            }
            $at = $this->moment($week * 7 - $machine->id % 5)->addHour();
            $this->fine($book, $book->round($machine, RoundKind::Weekly, $at, 'piet'), $spots, $checks, $at, 'piet');
        }
    }

    /**
     * @param  Collection<string, Spot>  $spots
     * @param  Collection<int, Check>  $checks
     */
    private function fine(
        DemoBook $book,
        int $entry,
        Collection $spots,
        Collection $checks,
        CarbonImmutable $at,
        string $by,
    ): void {
        $began = $at->getTimestamp();
        foreach ($checks->values() as $step => $check) {
            $book->act(
                $entry,
                $spots[$check->manner->spot] ?? throw new \LogicException("No spot {$check->manner->spot}."),
                ActKind::Looked,
                $check->title,
                new \DateTimeImmutable('@'.($began + 4 * $step)),
                $by,
                ['check_key' => $check->key, 'verdict' => Verdict::Fit->value],
            );
        }
    }

    /**
     * Grease rounds now and then, in which the hidden points are left out.
     *
     * @param  Collection<string, Spot>  $spots
     */
    private function grease(DemoBook $book, Machine $machine, Collection $spots): void
    {
        $points = $spots->where('kind', SpotKind::GreasePoint)->reject(
            fn (Spot $point): bool => $point->key === self::NEVER,
        );
        $rounds = match ($machine->name) {
            'Teal' => [70 + $machine->id, 34, 2],
            'Godwit' => [90, 3],
            'Lapwing' => [],
            default => [70 + $machine->id, 34 + $machine->id % 9, 12 + $machine->id],
        };
        foreach ($rounds as $daysAgo) {
            // The crawler is run too little to be greased again so soon.
            if ((isset(self::FORGOTTEN[$machine->name]) || $machine->name === 'Merganser') && $daysAgo < 60) {
                continue;
            }
            $at = $this->moment($daysAgo)->addHours(3);
            $entry = $book->round($machine, RoundKind::Grease, $at, 'piet');
            foreach ($machine->name === 'Godwit' && $daysAgo === 3 ? $points->except(self::STUCK) : $points as $point) {
                $strokes = $point->key === 'clutch_hub' ? 3 : $point->greasePoint()->strokes;
                $book->act(
                    $entry,
                    $point,
                    ActKind::Lubricated,
                    $point->name,
                    $at,
                    'piet',
                    ['check_key' => LookedBy::Greasing->key((string) $point->id), 'looked_by' => LookedBy::Greasing->value, 'verdict' => Verdict::Fit->value, 'strokes' => $strokes],
                );
            }
        }
    }

    /** @param  array<string, mixed>  $told */
    private function note(Machine $machine, int $daysAgo, string $by, array $told): void
    {
        $kind = app(NoteKinds::class)->named($told['kind'])
            ?? throw new \LogicException('There is no such kind of note.');
        $at = $this->moment($daysAgo)->addMinutes($daysAgo === 0 ? 1 : 4);
        $circumstances = new Circumstances(
            Person::query()->findOrFail($this->people[$by]),
            When::read($at->toIso8601ZuluString(), $this->yard),
            'demo',
            $told['note'] ?? null,
        );
        $round = $told['kind'] === 'mended' ? null : RoundKind::from($told['round'] ?? 'daily');
        $kind->write(
            new Note(
                $this->uuid(),
                $machine,
                $circumstances,
                array_diff_key($told, array_flip(['kind', 'round', 'note'])),
                $round,
                $this->moment($daysAgo),
            ),
        );
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
