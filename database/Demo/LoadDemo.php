<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Logbook\EntryKind;
use App\Machines\History;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Spot;
use App\Machines\UsualSpots;
use App\Machines\Yard;
use App\People\Person;
use App\Rulebook\Rule;
use App\Rulebook\RuleCopy;
use App\Rulebook\SharedRulebook;
use App\Rulebook\Standings\KnownRule;
use App\Rulebook\Standings\KnownRules;
use App\Rulebook\Task;
use App\Rulebook\Written\WrittenInterval;
use App\Yard\YardLine;
use Carbon\CarbonImmutable;
use Core\Machine\ActKind;
use Core\Machine\LookedBy;
use Core\Machine\Meets;
use Core\Machine\TaskKind;
use Core\Schedule\Interval;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** Loads the invented estate with three years of history that end today. */
final class LoadDemo extends Command
{
    private const SEED = 4711;

    private const TABLES = [
        'job_steps',
        'jobs',
        'gathered',
        'wanted_things',
        'counter_links',
        'gathering_lists',
        'doubts',
        'containers',
        'moves',
        'machine_dues',
        'measures',
        'fittings',
        'acts',
        'readings',
        'decisions',
        'photos',
        'sent_notes',
        'entries',
        'rounds',
        'changed_checks',
        'walk_lines',
        'calendar_events',
        'calendar_feeds',
        'yard_lines',
        'weekly_readings',
        'class_seasons',
        'rules',
        'task_spots',
        'tasks',
        'grease_points',
        'sheets',
        'spots',
        'meters',
        'machine_operator',
        'machines',
        'shared_rulebooks',
        'supplies',
        'idempotency_keys', 'personal_access_tokens', 'sign_ins', 'invitations', 'people', 'yard',
    ];

    protected $signature = 'demo:load {--if-empty : only into a database without people} {--reset : throw everything away first}';

    protected $description = 'Load the demo estate';

    /** @var array<string, int> person id by sign-in name */
    private array $people = [];

    /** @var array<int, int> entry id by the meter that it put on */
    private array $fittedBy = [];

    private DemoBook $book;

    private DemoFluids $fluids;

    public function handle(): int
    {
        if ($this->option('reset')) {
            if (Yard::query()->where('is_demo', false)->exists()) {
                $this->error('This yard is not the demo: nothing of it is thrown away.');

                return self::FAILURE;
            }
            $this->clear();
        }
        if (Person::query()->exists()) {
            if (! $this->option('if-empty')) {
                $this->error('There are people here already. Use --reset to throw everything away first.');

                return self::FAILURE;
            }

            return self::SUCCESS;
        }
        $began = microtime(true);
        DB::transaction(function (): void {
            $this->load();
            // Where the house reaches it, what everybody knows of it never opens it.
            if (config('upkeep.lan.address') !== null) {
                $this->call(DemoPasswords::class);
            }
        });
        YardLine::rebuild(Yard::query()->firstOrFail());
        $today = CarbonImmutable::now(Coldbrook::TIME_ZONE)->startOfDay();
        $this->shelf($today)->gather();
        app(DemoBench::class)->lay($today, $this->people[DemoPeople::ALL[0]['sign_in_name']]);
        $this->info(
            sprintf(
                'Loaded the demo estate: %d machines, %s acts, %.1f s.',
                Machine::query()->count(),
                number_format(DB::table('acts')->count()),
                microtime(true) - $began,
            ),
        );

        return self::SUCCESS;
    }

    private function clear(): void
    {
        DB::statement('set foreign_key_checks = 0');
        foreach (self::TABLES as $table) {
            DB::table($table)->truncate();
        }
        DB::statement('set foreign_key_checks = 1');
        // What is kept of lives is known by ids and versions that begin again.
        Cache::flush();
    }

    private function load(): void
    {
        Yard::query()->create([
            'id' => 1,
            'name' => Coldbrook::NAME,
            'time_zone' => Coldbrook::TIME_ZONE,
            'distance_unit' => 'km',
            'is_demo' => true,
            'coldest_night' => DemoFluids::COLDEST,
            'hottest_day' => DemoFluids::HOTTEST,
            'grease_guns' => [['name' => 'Shed gun', 'ten_strokes' => '8.5 g']],
            'pans' => DemoShelf::PANS,
            'wrenches' => DemoBench::WRENCHES,
            'currency' => DemoShelf::CURRENCY,
        ]);
        foreach (DemoPeople::ALL as $person) {
            $this->people[$person['sign_in_name']] = Person::query()
                ->create([...$person, 'password' => DemoPeople::password($person['sign_in_name']),
                    'may_use_all_machines' => ! isset(DemoPeople::RESTRICTED[$person['sign_in_name']])])->id;
        }
        $this->book = new DemoBook($this->people);
        $this->fluids = new DemoFluids($this->book);
        $today = CarbonImmutable::now(Coldbrook::TIME_ZONE)->startOfDay();
        foreach (Coldbrook::machines() as $index => $machine) {
            $this->addMachine(new DemoLife($machine, $today, self::SEED + $index));
        }
        $this->shareRulebooks();
        foreach (DemoPeople::RESTRICTED as $name => $machines) {
            Person::query()->findOrFail($this->people[$name])->mayUseOnly(
                array_values(Machine::query()->whereIn('name', $machines)->pluck('id')->map(intval(...))->all()),
            );
        }
        $walks = new DemoWalks($this->people, $today, Yard::query()->firstOrFail());
        $walks->walk($this->book);
        $this->book->write();
        foreach ($this->fittedBy as $meter => $entry) {
            DB::table('meters')->where('id', $meter)->update(['fitted_by_id' => $entry]);
        }
        $walks->tell();
        $this->shelf($today)->stock();
    }

    private function shelf(CarbonImmutable $today): DemoShelf
    {
        return new DemoShelf($this->people, $today, Yard::query()->firstOrFail());
    }

    private function addMachine(DemoLife $life): void
    {
        $demo = $life->machine;
        $machine = Machine::query()->create([
            'name' => $demo->name,
            'class' => $demo->class,
            'place' => $demo->place,
            'maker' => $demo->maker,
            'model' => $demo->model,
            'history' => $demo->unknownHistory ? History::Unknown : History::Known,
            ...DemoParticulars::record($demo->name, $life->today),
        ]);
        UsualSpots::begin($machine);
        $this->fluids->open($machine, $demo);
        $meters = $this->fitMeters($machine, $life);
        $this->writeRules($machine, $life);
        $rules = $machine->load('rules')->rules->keyBy(
            fn (Rule $rule): string => $rule->task->name.$rule->task->kind->value,
        );
        $spots = $this->spotsOf($machine);
        $note = $demo->unknownHistory ? 'Bought at a farm sale, no papers with it.' : null;
        $this->book->entry($machine, EntryKind::MachineAdded, $life->begins->setTime(7, 0), 'rosa', ['note' => $note]);
        foreach ($life->readings as $reading) {
            $this->readings(
                $this->book->entry($machine, EntryKind::Reading, $reading['at'], $reading['by']),
                $meters,
                $reading['at'],
                $reading['hours'],
                $reading['km'],
            );
        }
        foreach ($life->services as $service) {
            $tasks = array_values(array_map(fn (string $task): Rule => $rules[$task] ?? throw new \LogicException("No rule {$task}."), $service['tasks']));
            $this->service(
                $machine,
                $meters,
                $spots,
                $service['at'],
                $service['by'],
                $tasks,
                $service['hours'],
                $service['km'],
                $service['note'],
            );
        }
        $this->fluids->toppedUp($machine, $life);
        $this->particulars($machine, $life, $meters);
        $readings = $life->readings;
        if ($readings !== []) {
            $this->happenings($machine, $readings[array_key_last($readings)]['at']);
        }
    }

    /**
     * @param  array<string, list<array{from: CarbonImmutable, meter: Meter}>>  $meters
     * @param  array<int, list<Spot>>  $spots  by rule id
     * @param  list<Rule>  $rules
     */
    private function service(
        Machine $machine,
        array $meters,
        array $spots,
        CarbonImmutable $at,
        string $by,
        array $rules,
        ?float $hours,
        ?float $km,
        ?string $note = null,
    ): void {
        $entry = $this->book->entry($machine, EntryKind::Service, $at, $by, ['note' => $note]);
        $this->readings($entry, $meters, $at, $hours, $km);
        foreach ($rules as $rule) {
            foreach ($spots[$rule->id] as $spot) {
                $kind = $rule->task->kind->actAt($spot->kind);
                $check = $kind->isLook()
                    ? $rule->task->check_key
                    ?? ($rule->task->kind === TaskKind::CheckLevel ? Meets::LEVEL : '')
                    : '';
                $grease = $kind === ActKind::Lubricated
                    ? [
                        'check_key' => LookedBy::Greasing->key((string) $spot->id),
                        'looked_by' => LookedBy::Greasing->value,
                        'verdict' => 'fit',
                        'strokes' => $spot->greasePoint()->isAbout ? null : $spot->greasePoint()->strokes,
                    ]
                    : [];
                $act = $this->book->act(
                    $entry,
                    $spot,
                    $kind,
                    $rule->task->name,
                    $at,
                    $by,
                    ['check_key' => $check, 'task_id' => $rule->task_id, ...$grease],
                );
                $this->fluids->serviced($entry, $act, $spot, $kind, $at, $by);
            }
        }
    }

    /** @return array<string, list<array{from: CarbonImmutable, meter: Meter}>> by kind, the newest last */
    private function fitMeters(Machine $machine, DemoLife $life): array
    {
        $fitted = $life->begins->subYears(3)->utc();
        $meters = [];
        if ($life->hasHourMeter()) {
            $meters['hours'][] = [
                'from' => $fitted,
                'meter' => $machine->meters()->create(['unit' => 'h', 'fitted_at' => $fitted]),
            ];
        }
        if ($life->hasOdometer()) {
            $meters['km'][] = [
                'from' => $fitted,
                'meter' => $machine->meters()->create(['unit' => 'km', 'fitted_at' => $fitted]),
            ];
        }
        $change = $life->meterReplaced;
        if ($change !== null) {
            $entry = $this->book->entry(
                $machine,
                EntryKind::MeterReplaced,
                $change['at'],
                'tamsin',
                ['note' => 'The old one had gone dark.'],
            );
            $new = $machine->meters()->create(
                [
                    'unit' => 'h',
                    'fitted_at' => $change['at']->utc(),
                    'shown_when_fitted' => '0',
                    'run_when_fitted' => (string) $change['old'],
                ],
            );
            $first = $meters['hours'][0] ?? throw new \LogicException('Only an hour meter is replaced.');
            $this->book->reading($entry, $first['meter'], $change['at'], $change['old']);
            $this->book->reading($entry, $new, $change['at'], $change['new']);
            $this->fittedBy[$new->id] = $entry;
            $meters['hours'][] = ['from' => $change['at'], 'meter' => $new];
        }

        return $meters;
    }

    /** The rulebook that a machine of its class begins with, written at once. */
    private function writeRules(Machine $machine, DemoLife $life): void
    {
        $spotIds = Spot::query()->where('machine_id', $machine->id)->pluck('id', 'key');
        [$firstTask, $firstRule] = [Task::query()->max('id') + 1, Rule::query()->max('id') + 1];
        $tasks = $places = $rules = [];
        foreach ($life->rules() as $row => $starter) {
            $task = new Task(
                [
                    'id' => $firstTask + $row,
                    'machine_id' => $machine->id,
                    'name' => $starter->task,
                    'kind' => $starter->kind,
                    'check_key' => $starter->check,
                ],
            );
            $rule = new Rule([
                'id' => $firstRule + $row,
                'machine_id' => $machine->id,
                'task_id' => $task->id,
                'anchor' => $life->machine->anchor, 'common_practice' => true, 'note' => $starter->note,
                'first' => array_map(
                    fn (Interval $first): array => WrittenInterval::fromCore($first),
                    $starter->rule->first,
                ),
                'every' => WrittenInterval::fromCore($starter->rule->every),
                'goes_with_id' => $starter->goesWith === null ? null : $firstRule + $starter->goesWith,
            ]);
            [$tasks[], $rules[]] = [$task->getAttributes(), $rule->getAttributes()];
            foreach ($starter->spots as $position => $key) {
                $places[] = ['task_id' => $task->id, 'spot_id' => $spotIds[$key], 'position' => $position];
            }
        }
        DB::table('tasks')->insert($tasks);
        DB::table('task_spots')->insert($places);
        DB::table('rules')->insert($rules);
    }

    /**
     * @param  list<int>  $spotIds
     * @param  array<string, mixed>  $columns
     */
    private function rule(
        Machine $machine,
        string $name,
        TaskKind $kind,
        array $spotIds,
        array $columns,
        ?string $check = null,
    ): Rule {
        $task = Task::query()->create(
            ['machine_id' => $machine->id, 'name' => $name, 'kind' => $kind, 'check_key' => $check],
        );
        $task->doAt($spotIds);

        return Rule::query()->create(
            [...$columns, 'machine_id' => $machine->id, 'task_id' => $task->id],
        )->setRelation('task', $task);
    }

    /** @return array<int, list<Spot>> by rule id, where each is done */
    private function spotsOf(Machine $machine): array
    {
        $spots = Spot::query()->where('machine_id', $machine->id)->with('grease')->get()->keyBy('id');

        return array_map(
            fn (KnownRule $rule): array => array_values($spots->only(array_keys($rule->places))->all()),
            KnownRules::ofMachine($machine->id),
        );
    }

    /**
     * The rules that only this machine has, when each was last done, and how its own reminder was set.
     *
     * @param  array<string, list<array{from: CarbonImmutable, meter: Meter}>>  $meters
     */
    private function particulars(Machine $machine, DemoLife $life, array $meters): void
    {
        $ids = Spot::query()->where('machine_id', $machine->id)->pluck('id', 'key');
        $rules = $machine->rules->keyBy('task.name');
        foreach (DemoParticulars::rules($machine->name) as $given) {
            $columns = array_diff_key($given, array_flip(['task', 'kind', 'spots', 'last_done', 'with']));
            $rule = $this->rule($machine, $given['task'], TaskKind::from($given['kind']), array_values(array_map(
                fn (string $key): int => $ids[$key],
                $given['spots'],
            )),
                [...$columns, 'goes_with_id' => $rules[$given['with'] ?? '']->id ?? null]);
            $rules[$given['task']] = $rule;
            $read = isset($given['last_done']) ? $life->lastReadingBefore($given['last_done']) : null;
            if ($read !== null) {
                $this->service(
                    $machine,
                    $meters,
                    $this->spotsOf($machine->load('rules')),
                    $read['at']->addHours(3),
                    'tamsin',
                    [$rule],
                    $read['hours'],
                    $read['km'],
                );
            }
        }
        foreach (DemoParticulars::changes($machine->name) as $task => $columns) {
            $rules->get($task)?->update($columns);
        }
        $reminder = DemoParticulars::reminder($machine->name);
        $read = $reminder === null ? null : $life->lastReadingBefore($reminder['days_ago']);
        $fitted = $meters['hours'] ?? [];
        if ($read !== null && $fitted !== []) {
            $meter = $fitted[array_key_last($fitted)]['meter'];
            $detail = [
                'meter_id' => $meter->id,
                'unit' => 'h',
                'set' => $reminder['set'],
                'shown' => (string) $read['hours'],
            ];
            $this->book->entry(
                $machine,
                EntryKind::ReminderSet,
                $read['at']->addHours(1),
                'piet',
                ['detail' => json_encode($detail, JSON_THROW_ON_ERROR)],
            );
        }
    }

    /** Two machines of a class share a rulebook, one with an exception. */
    private function shareRulebooks(): void
    {
        $machines = Machine::query()->whereIn('name', DemoParticulars::SHARING)->orderBy('id')->with('rules')->get();
        $copies = RuleCopy::ofAll($machines->firstOrFail());
        $shared = SharedRulebook::query()->create(
            ['name' => DemoParticulars::SHARED_AS, 'class' => $machines->firstOrFail()->class, 'rules' => $copies],
        );
        $keys = collect($copies)->mapWithKeys(
            fn (array $copy, string $key): array => [$copy['task'].$copy['kind'] => $key],
        );
        foreach ($machines as $machine) {
            foreach ($machine->rules as $rule) {
                $rule->update(['shared_key' => $keys[$rule->task->name.$rule->task->kind->value] ?? null]);
            }
            $machine->update(['shared_rulebook_id' => $shared->id]);
        }
        // What a rule goes with is told by the keys, which hold only now.
        $shared->update(['rules' => RuleCopy::ofAll($machines->firstOrFail()->load('rules'))]);
        $machines->last()?->rules
            ->firstWhere('task.name', DemoParticulars::EXCEPTION)
            ?->update(['every' => ['hours' => '25'], 'common_practice' => false]);
    }

    /** What else has befallen these machines. */
    private function happenings(Machine $machine, CarbonImmutable $last): void
    {
        $down = fn (CarbonImmutable $at, string $by, string $why): int => $this->book->entry(
            $machine,
            EntryKind::StoodDown,
            $at,
            $by,
            ['note' => $why],
        );
        $lift = fn (int $standDown, CarbonImmutable $at, string $why): int => $this->book->entry(
            $machine,
            EntryKind::Lifted,
            $at,
            'tamsin',
            ['note' => $why, 'detail' => json_encode(['lifts' => [$this->book->uuidOf($standDown)]], JSON_THROW_ON_ERROR)],
        );
        if ($machine->name === 'Moorhen') {
            $down($last->addHours(2), 'piet', 'Brake pedal play 41 mm, limit 30 mm.');
        }
        if ($machine->name === 'Bittern') {
            $dead = $down($last->subDays(210), 'ilse', 'Seat switch did not stop the blades.');
            $lift($dead, $last->subDays(208), 'Switch replaced, tried ten times.');
        }
        if ($machine->name === 'Godwit') {
            $leak = $down(
                $last->subDays(96),
                'otis',
                'Hydraulic oil dripping at the loader valve, a puddle under it each morning.',
            );
            $lift($leak, $last->subDays(93), 'Pressure off, hose and both seals replaced, dry after an hour\'s work.');
        }
    }

    /** @param  array<string, list<array{from: CarbonImmutable, meter: Meter}>>  $meters */
    private function readings(int $entry, array $meters, CarbonImmutable $at, ?float $hours, ?float $km): void
    {
        foreach (['hours' => $hours, 'km' => $km] as $kind => $value) {
            $fitted = array_filter($meters[$kind] ?? [], fn (array $meter): bool => $meter['from'] <= $at);
            if ($value !== null && $fitted !== []) {
                $this->book->reading($entry, $fitted[array_key_last($fitted)]['meter'], $at, $value);
            }
        }
    }
}
