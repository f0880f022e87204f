<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Logbook\EntryKind;
use App\People\Person;
use App\Walkaround\Sheets;
use App\Walkaround\WriteNote;
use App\Yard\History;
use App\Yard\Machine;
use App\Yard\Rule;
use App\Yard\RuleCopy;
use App\Yard\SharedRulebook;
use App\Yard\WrittenInterval;
use App\Yard\Yard;
use App\Yard\YardLine;
use Carbon\CarbonImmutable;
use Core\Schedule\Interval;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Loads the invented estate with three years of history that end today. */
final class LoadDemo extends Command
{
    private const ROWS_AT_ONCE = 1000;

    private const SEED = 4711;

    protected $signature = 'demo:load {--if-empty : only into a database without people} {--reset : throw everything away first}';

    protected $description = 'Load the demo estate';

    /** @var array<string, int> person id by sign-in name */
    private array $people = [];

    /** @var list<array<string, mixed>> */
    private array $entries = [];

    /** @var list<array<string, mixed>> */
    private array $tasks = [];

    /** @var array<int, int> entry id by the meter that it put on */
    private array $fittedBy = [];

    private int $nextEntry = 1;

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
        DB::transaction($this->load(...));
        YardLine::rebuild(Yard::query()->firstOrFail());
        $this->info(sprintf('Loaded the demo estate: %d machines, %s entries, %.1f s.', Machine::query()->count(), number_format(count($this->entries)), microtime(true) - $began));

        return self::SUCCESS;
    }

    private function clear(): void
    {
        DB::statement('set foreign_key_checks = 0');
        foreach (['entry_tasks', 'observations', 'photos', 'grease_ticks', 'grease_points', 'rounds', 'changed_checks', 'sent_notes', 'walk_lines', 'entries', 'calendar_events', 'calendar_feeds', 'yard_lines', 'weekly_readings', 'class_seasons', 'rules', 'meters', 'machine_operator', 'machines', 'shared_rulebooks', 'idempotency_keys', 'personal_access_tokens', 'people', 'yard'] as $table) {
            DB::table($table)->truncate();
        }
        DB::statement('set foreign_key_checks = 1');
    }

    private function load(): void
    {
        Yard::query()->create(['id' => 1, 'name' => Coldbrook::NAME, 'time_zone' => Coldbrook::TIME_ZONE, 'distance_unit' => 'km', 'is_demo' => true, 'coldest_night' => '-14 °C', 'grease_guns' => [['name' => 'Shed gun', 'ten_strokes' => '8.5 g']]]);
        foreach (DemoPeople::ALL as $person) {
            $this->people[$person['sign_in_name']] = Person::query()->create([...$person, 'password' => DemoPeople::password($person['sign_in_name']),
                'may_use_all_machines' => ! isset(DemoPeople::RESTRICTED[$person['sign_in_name']])])->id;
        }
        $today = CarbonImmutable::now(Coldbrook::TIME_ZONE)->startOfDay();
        foreach (Coldbrook::machines() as $index => $machine) {
            $this->addMachine(new DemoLife($machine, $today, self::SEED + $index));
        }
        $this->shareRulebooks();
        foreach (DemoPeople::RESTRICTED as $name => $machines) {
            Person::query()->findOrFail($this->people[$name])->machines()->sync(Machine::query()->whereIn('name', $machines)->pluck('id'));
        }
        foreach (array_chunk($this->entries, self::ROWS_AT_ONCE) as $rows) {
            DB::table('entries')->insert($rows);
        }
        foreach (array_chunk($this->tasks, self::ROWS_AT_ONCE) as $rows) {
            DB::table('entry_tasks')->insert($rows);
        }
        foreach ($this->fittedBy as $meter => $entry) {
            DB::table('meters')->where('id', $meter)->update(['fitted_by_id' => $entry]);
        }
        (new DemoWalks($this->people, $today, app(WriteNote::class), new Sheets, Yard::query()->firstOrFail()))->walk();
    }

    private function addMachine(DemoLife $life): void
    {
        $demo = $life->machine;
        $machine = Machine::query()->create([
            'name' => $demo->name, 'class' => $demo->class, 'place' => $demo->place, 'maker' => $demo->maker, 'model' => $demo->model,
            'history' => $demo->unknownHistory ? History::Unknown : History::Known,
            ...DemoParticulars::record($demo->name, $life->today),
        ]);
        $meters = $this->fitMeters($machine, $life);
        $rules = $this->writeRules($machine, $life);
        $this->entry($machine, EntryKind::MachineAdded, $life->begins->setTime(7, 0), 'rosa', $demo->unknownHistory ? 'Bought at a farm sale, no papers with it.' : null);
        foreach ($life->readings as $reading) {
            $this->readings($machine, $meters, $reading['at'], $reading['hours'], $reading['km'], $reading['by']);
        }
        foreach ($life->services as $service) {
            $entry = $this->entry($machine, EntryKind::Service, $service['at'], $service['by'], $service['note']);
            $this->readings($machine, $meters, $service['at'], $service['hours'], $service['km'], $service['by'], $entry);
            foreach ($service['tasks'] as $task) {
                $this->tasks[] = ['entry_id' => $entry, 'rule_id' => $rules[$task]->id, 'task' => $rules[$task]->task, 'kind' => $rules[$task]->kind->value];
            }
        }
        $this->particulars($machine, $life, $meters);
        $this->happenings($machine, $life->readings[array_key_last($life->readings)]['at']);
    }

    /** @return array<string, array<int, array{from: CarbonImmutable, id: int}>> by kind, the newest last */
    private function fitMeters(Machine $machine, DemoLife $life): array
    {
        $fitted = $life->begins->subYears(3)->utc();
        $meters = [];
        if ($life->hasHourMeter()) {
            $meters['hours'][] = ['from' => $fitted, 'id' => $machine->meters()->create(['unit' => 'h', 'fitted_at' => $fitted])->id];
        }
        if ($life->hasOdometer()) {
            $meters['km'][] = ['from' => $fitted, 'id' => $machine->meters()->create(['unit' => 'km', 'fitted_at' => $fitted])->id];
        }
        $change = $life->meterReplaced;
        if ($change !== null) {
            $entry = $this->entry($machine, EntryKind::MeterReplaced, $change['at'], 'tamsin', 'The old one had gone dark.');
            $this->reading($machine, $meters['hours'][0]['id'], $change['at'], $change['old'], 'tamsin', $entry);
            $new = $machine->meters()->create(['unit' => 'h', 'fitted_at' => $change['at']->utc(), 'shown_when_fitted' => '0', 'run_when_fitted' => (string) $change['old']]);
            $this->fittedBy[$new->id] = $entry;
            $this->reading($machine, $new->id, $change['at'], $change['new'], 'tamsin', $entry);
            $meters['hours'][] = ['from' => $change['at'], 'id' => $new->id];
        }

        return $meters;
    }

    /** @return array<string, Rule> by task and kind */
    private function writeRules(Machine $machine, DemoLife $life): array
    {
        $rules = [];
        foreach ($life->rules() as $starter) {
            $rules[$starter->task.$starter->kind->value] = $machine->rules()->create([
                'task' => $starter->task, 'kind' => $starter->kind, 'anchor' => $life->machine->anchor, 'common_practice' => true, 'note' => $starter->note,
                'first' => array_map(fn (Interval $first): array => WrittenInterval::fromCore($first), $starter->first === null ? [] : [$starter->first]),
                'every' => WrittenInterval::fromCore($starter->every),
            ]);
        }

        return $rules;
    }

    /**
     * The rules that only this machine has, when each was last done, and how its own reminder was set.
     *
     * @param  array<string, array<int, array{from: CarbonImmutable, id: int}>>  $meters
     */
    private function particulars(Machine $machine, DemoLife $life, array $meters): void
    {
        $rules = $machine->rules()->get()->keyBy('task');
        foreach (DemoParticulars::rules($machine->name) as $given) {
            ['last_done' => $daysAgo, 'with' => $with, 'in' => $in] = $given + ['last_done' => null, 'with' => null, 'in' => null];
            $rule = $machine->rules()->create([...array_diff_key($given, ['last_done' => 1, 'with' => 1, 'in' => 1]), 'goes_with_id' => $rules[$with]->id ?? null, 'contained_in_id' => $rules[$in]->id ?? null]);
            $rules[$rule->task] = $rule;
            $at = $daysAgo === null ? null : $life->lastReadingBefore($daysAgo);
            if ($at !== null) {
                $entry = $this->entry($machine, EntryKind::Service, $at['at']->addHours(3), 'tamsin');
                $this->readings($machine, $meters, $at['at']->addHours(3), $at['hours'], $at['km'], 'tamsin', $entry);
                $this->tasks[] = ['entry_id' => $entry, 'rule_id' => $rule->id, 'task' => $rule->task, 'kind' => $rule->kind->value];
            }
        }
        foreach (DemoParticulars::changes($machine->name) as $task => $columns) {
            $machine->rules()->where('task', $task)->firstOrFail()->update($columns);
        }
        $reminder = DemoParticulars::reminder($machine->name);
        if ($reminder !== null) {
            $read = $life->lastReadingBefore($reminder['days_ago']);
            $this->entry($machine, EntryKind::ReminderSet, $read['at']->addHours(1), 'piet', detail: ['meter_id' => $meters['hours'][array_key_last($meters['hours'])]['id'], 'unit' => 'h', 'set' => $reminder['set'], 'shown' => (string) $read['hours']]);
        }
    }

    /** Two machines of a class share a rulebook, one with an exception. */
    private function shareRulebooks(): void
    {
        $machines = Machine::query()->whereIn('name', DemoParticulars::SHARING)->orderBy('id')->with('rules')->get();
        $copies = RuleCopy::ofAll($machines->firstOrFail());
        $shared = SharedRulebook::query()->create(['name' => DemoParticulars::SHARED_AS, 'class' => $machines->firstOrFail()->class, 'rules' => $copies]);
        $keys = collect($copies)->mapWithKeys(fn (array $copy, string $key): array => [$copy['task'].$copy['kind'] => $key]);
        foreach ($machines as $machine) {
            foreach ($machine->rules as $rule) {
                $rule->update(['shared_key' => $keys[$rule->task.$rule->kind->value] ?? null]);
            }
            $machine->update(['shared_rulebook_id' => $shared->id]);
        }
        $machines->last()?->rules()->where('task', DemoParticulars::EXCEPTION)->update(['every' => json_encode(['hours' => '25']), 'common_practice' => false]);
    }

    /** What else has befallen these machines. */
    private function happenings(Machine $machine, CarbonImmutable $last): void
    {
        match ($machine->name) {
            'Moorhen' => $this->entry($machine, EntryKind::StoodDown, $last->addHours(2), 'piet', 'Brake pedal play 41 mm, limit 30 mm.'),
            'Bittern' => $this->entry($machine, EntryKind::StoodDown, $last->subDays(210), 'ilse', 'Seat switch did not stop the blades.', $last->subDays(208), 'Switch replaced, tried ten times.'),
            'Godwit' => $this->entry($machine, EntryKind::StoodDown, $last->subDays(96), 'otis', 'Hydraulic oil dripping at the loader valve, a puddle under it each morning.', $last->subDays(93), 'Pressure off, hose and both seals replaced, dry after an hour\'s work.'),
            default => null,
        };
    }

    /** @param  array<string, array<int, array{from: CarbonImmutable, id: int}>>  $meters */
    private function readings(Machine $machine, array $meters, CarbonImmutable $at, ?float $hours, ?float $km, string $by, ?int $partOf = null): void
    {
        foreach (['hours' => $hours, 'km' => $km] as $kind => $value) {
            $fitted = array_filter($meters[$kind] ?? [], fn (array $meter): bool => $meter['from'] <= $at);
            if ($value !== null && $fitted !== []) {
                $this->reading($machine, $fitted[array_key_last($fitted)]['id'], $at, $value, $by, $partOf);
            }
        }
    }

    private function reading(Machine $machine, int $meterId, CarbonImmutable $at, float $value, string $by, ?int $partOf): void
    {
        $this->entry($machine, EntryKind::Reading, $at, $by, meterId: $meterId, value: $value, partOf: $partOf);
    }

    /** @param  array<string, mixed>|null  $detail */
    private function entry(Machine $machine, EntryKind $kind, CarbonImmutable $at, string $by, ?string $note = null, ?CarbonImmutable $liftedAt = null, ?string $liftedBecause = null, ?int $meterId = null, ?float $value = null, ?int $partOf = null, ?array $detail = null): int
    {
        $this->entries[] = [
            'id' => $this->nextEntry, 'machine_id' => $machine->id, 'kind' => $kind->value, 'happened_at' => $at->utc(), 'written_at' => $at->utc(),
            'person_id' => $this->people[$by], 'device' => 'demo', 'note' => $note, 'meter_id' => $meterId,
            'value' => $value, 'typed' => $value === null ? null : (string) $value, 'part_of_id' => $partOf, 'detail' => $detail === null ? null : json_encode($detail, JSON_THROW_ON_ERROR),
        ];
        $id = $this->nextEntry++;
        if ($liftedAt !== null) {
            $this->entry($machine, EntryKind::Lifted, $liftedAt, 'tamsin', $liftedBecause);
        }

        return $id;
    }
}
