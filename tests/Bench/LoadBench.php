<?php

declare(strict_types=1);

namespace Tests\Bench;

use App\Bench\Plan\PlannedStep;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;
use Core\Procedure\Compartment;
use Core\Procedure\Opening;
use Core\Procedure\Procedure;
use Core\Procedure\ServicedMachine;
use Core\Procedure\Step;
use Core\Procedure\Work;

/**
 * A yard of 1,000 machines with 25,000 rules at as many spots, 250,000 acts and 2,000,000 readings under 8 connections,
 * against an empty route on the same server; then the
 * same yard with a tenth of the readings.
 */
final readonly class LoadBench
{
    private const CONNECTIONS = 8;

    private const SECONDS = 8;

    private const MACHINES = 1000;

    private const RULES_EACH = 25;

    private const ACTS_AT_EACH_SPOT = 10;

    private const MACHINES_OF_A_LIST = 200;

    /** What is told in a note beside its id, moment and machine, as wrk writes it. */
    private const READING = '"kind":"reading","value":"1000"';

    private const STEP = '"kind":"step","step":"secure","did":"done","job":"00000000-0000-4000-8000-\' .. string.format("%012d", machine) .. \'"';

    public function __construct(private string $address, private string $state) {}

    public function run(): void
    {
        $this->fill(200);
        $token = $this->token();
        $this->warm($token);
        $small = $this->measure('/api/machines', $token);
        $this->addReadings(200, 2000);
        $this->liveLong();
        $this->stockShelf();
        $this->layJobs();
        $this->warm($token);
        $this->afterTheNight($token);
        $counts = $this->sql(
            'select (select count(*) from machines), (select count(*) from rules), (select count(*) from acts), (select count(*) from readings)',
        );
        printf(
            "yard     %s\n",
            preg_replace(
                '/^(\d+)\t(\d+)\t(\d+)\t(\d+)$/',
                '$1 machines, $2 rules, $3 acts, $4 readings',
                trim($counts),
            ),
        );
        // Measured in turns, so that whatever else the machine does falls on all alike.
        $rounds = [];
        foreach (range(1, 3) as $ignored) {
            $rounds['empty'][] = $this->measure('/api/pulse', $token);
            $rounds['page'][] = $this->measure('/api/machines', $token);
            $rounds['log'][] = $this->measure('/api/notes', $token, self::READING);
            $rounds['step'][] = $this->measure('/api/notes', $token, self::STEP);
            $rounds['life'][] = $this->measure('/api/machines/1/compartments/engine_oil', $token);
            $this->read($this->needsOf(self::MACHINES_OF_A_LIST), $token);
            $rounds['needs'][] = $this->measure($this->needsOf(self::MACHINES_OF_A_LIST), $token);
            printf("yard     what was logged is reckoned by the next look in %.1f s\n", $this->look($token));
        }
        [$empty, $page, $log, $step, $life, $needs] = array_map($this->middle(...), array_values($rounds));
        $this->tell('empty authenticated route', $empty, null, 'aim: 220 a second');
        $this->tell('first page, 50 soonest', $page, $empty, 'aim: at most 2.5 times the empty route');
        $this->tell('logging one reading', $log, $empty, 'aim: at most 4.5 times the empty route');
        $this->tell('a step of a job done', $step, $empty, 'aim: at most 6 times the empty route');
        $this->tell('a compartment, 20 years', $life, $empty, 'aim: at most 3 times the empty route');
        $this->tell('needs of 200 machines', $needs, $empty, 'aim: at most 6 times the empty route');
        $this->needsAnew($token, $empty['median']);
        printf(
            "yard     first page with all readings against a tenth of them: %.2f times (median, aim: within 1.2)\n",
            $page['median'] / $small['median'],
        );
    }

    /** Machines, rules and the first readings, as plain SQL: nothing of this is what is measured. */
    private function fill(int $readingsEach): void
    {
        $machines = self::MACHINES;
        $rules = self::RULES_EACH;
        $acts = self::ACTS_AT_EACH_SPOT;
        $password = password_hash('a good password', PASSWORD_ARGON2ID);
        $this->sql(<<<SQL
            insert into yard (id, name, time_zone, distance_unit) values (1, 'Bench', 'Europe/London', 'km');
            insert into people (name, sign_in_name, password, role) values ('Bench', 'bench', '{$password}', 'keeper'), ('Other', 'other', '-', 'operator');
            insert into machines (id, name, class, place, history) select seq, concat('Machine ', seq), elt(1 + seq % 4, 'tractor', 'zero_turn', 'generator', 'crawler'), concat('Place ', seq % 20), 'known' from seq_1_to_{$machines};
            insert into meters (id, machine_id, unit, fitted_at) select seq, seq, 'h', now() - interval 10 year from seq_1_to_{$machines};
            insert into spots (id, machine_id, `key`, kind, subject, name, position)
                select (m.seq - 1) * {$rules} + r.seq, m.seq, elt(least(r.seq, 3), 'leaks', 'engine_oil', concat('spot_', r.seq)), if(r.seq = 2, 'compartment', 'part'), 'other', concat('Spot ', r.seq), r.seq
                from seq_1_to_{$machines} m join seq_1_to_{$rules} r;
            insert into tasks (id, machine_id, name, kind) select id, machine_id, concat('Task ', position), 'replace' from spots;
            insert into task_spots (task_id, spot_id, position) select id, id, 0 from spots;
            insert into rules (id, machine_id, task_id, first, every, anchor, early, late, source)
                select (m.seq - 1) * {$rules} + r.seq, m.seq, (m.seq - 1) * {$rules} + r.seq, '[]', if(r.seq % 5 = 0, '{"months": 12}', json_object('hours', cast(r.seq * 20 as char))), if(r.seq % 3 = 0, 'chart', 'from_done'), 0.1, 0.1, 'keeper'
                from seq_1_to_{$machines} m join seq_1_to_{$rules} r;
            insert into entries (id, uuid, machine_id, kind, happened_at, written_at, person_id) select seq, uuid(), seq, 'service', now() - interval 200 day, now(), 1 from seq_1_to_{$machines};
            insert into readings (entry_id, meter_id, value, typed, happened_at) select seq, seq, 900 + seq % 90, '900', now() - interval 200 day from seq_1_to_{$machines};
            insert into acts (uuid, entry_id, machine_id, spot_id, kind, outcome, meets, title, happened_at, person_id, hours)
                select uuid(), s.machine_id, s.machine_id, s.id, if(s.position = 2, 'changed', 'replaced'), 'done', 1, s.name, now() - interval 200 + a.seq * 30 day, 1, 900 + s.machine_id % 90 - a.seq
                from spots s join seq_1_to_{$acts} a;
            SQL);
        $this->addReadings(0, $readingsEach);
    }

    /** Twenty years of one engine's oil: its level read every week, topped up every third, changed every half year. */
    private function liveLong(): void
    {
        $this->sql(<<<'SQL'
            insert into sheets (spot_id, written) values (2, '{"capacities": [{"kind": "refill", "amount": "6.4/6.8 qt"}], "specification": {"kind": "engine_oil"}}');
            insert into entries (uuid, machine_id, kind, happened_at, written_at, person_id, device)
                select concat('life-', seq), 1, 'topped_up', now() - interval seq * 7 day, now(), 1, 'life' from seq_1_to_1040;
            insert into acts (uuid, entry_id, machine_id, spot_id, kind, outcome, meets, title, happened_at, person_id, hours, typed)
                select e.uuid, e.id, 1, 2, if(n.seq % 26 = 0, 'changed', if(n.seq % 3 = 0, 'topped_up', 'measured')), 'done', 1, 'Engine oil', e.happened_at, 1,
                    greatest(0, 1000 - n.seq * 0.9), if(n.seq % 26 = 0 or n.seq % 3 = 0, null, '{"observed": "full"}')
                from entries e join seq_1_to_1040 n on e.uuid = concat('life-', n.seq);
            insert into moves (kind, entry_id, act_id, to_spot_id, amount, typed, fluid, happened_at)
                select 'poured', entry_id, id, 2, if(kind = 'changed', 6.435200, 0.283906), if(kind = 'changed', '6.8 qt', '0.3 qt'), 'Orchard 10W-30', happened_at
                from acts where machine_id = 1 and spot_id = 2 and uuid like 'life-%' and kind in ('changed', 'topped_up');
            SQL);
    }

    /** 40 fluids and parts by the dozen on the shelf, and what the machines' books say of their places. */
    private function stockShelf(): void
    {
        $machines = 2 * self::MACHINES_OF_A_LIST;
        $this->sql(<<<SQL
            insert ignore into sheets (spot_id, written)
                select id, if(kind = 'compartment',
                    '{"capacities": [{"kind": "refill", "amount": "6.4/6.8 qt"}], "specification": {"kind": "engine_oil", "grades": [{"grade": "10W-30"}]}}',
                    json_object('kind', 'filter', 'number', concat('B ', id % 60), 'seal', concat('W ', id % 12), 'uses', json_array('rag')))
                from spots where machine_id <= {$machines};
            insert into supplies (name, kind, label, code, sold_in)
                select concat('Oil ', seq), 'fluid', json_object('kind', 'engine_oil', 'grade', if(seq % 4 = 0, '10W-30', '20W-50')), concat('F', seq), '[{"size": "5 L", "price": "30"}, {"size": "1 L", "price": "8"}]'
                from seq_1_to_40;
            insert into supplies (name, kind, number, bare_number, code, sold_in)
                select concat('Part ', seq), 'part', concat('B ', seq), concat('b', seq), concat('P', seq), '[{"price": "9.50"}]' from seq_0_to_59;
            insert into entries (uuid, kind, happened_at, written_at, person_id, device, detail)
                select concat('stock-', id), 'bought', now() - interval 90 day, now(), 1, 'stock', '{"words": "x"}' from supplies;
            insert into containers (supply_id, entry_id, size, litres)
                select s.id, e.id, '20 L', 20 from supplies s join entries e on e.uuid = concat('stock-', s.id) join seq_1_to_3 where s.kind = 'fluid';
            insert into moves (entry_id, supply_id, to_container_id, kind, amount, happened_at)
                select entry_id, supply_id, id, 'came', litres, now() - interval 90 day from containers;
            insert into moves (entry_id, supply_id, kind, amount, happened_at)
                select e.id, s.id, 'came', 5, e.happened_at from supplies s join entries e on e.uuid = concat('stock-', s.id) where s.kind = 'part';
            insert into moves (entry_id, supply_id, from_container_id, kind, amount, happened_at)
                select entry_id, supply_id, id, 'poured', 0.01, now() - interval seq hour from containers join seq_1_to_100;
            SQL);
    }

    /** One service of an engine lies on the bench for each machine. */
    private function layJobs(): void
    {
        $engine = new Compartment('engine_oil', CompartmentKind::Engine, 'engine oil', openings: [
            new Opening('fill', OpeningRole::Fill, 'filler'),
            new Opening('drain', OpeningRole::Drain, 'drain'),
        ]);
        $procedure = Procedure::of(new ServicedMachine, [new Work(TaskKind::Replace, $engine)], [$engine], []);
        $steps = array_map(fn (Step $step): array => [...PlannedStep::written($step), 'asks' => null], $procedure->steps);
        $plan = addslashes(json_encode(['tasks' => [], 'minutes' => 50, 'steps' => $steps], JSON_THROW_ON_ERROR));
        $machines = self::MACHINES;
        $this->sql("insert into jobs (id, machine_id, name, wanted, raised, plan, made_at) select concat('00000000-0000-4000-8000-', lpad(seq, 12, '0')), seq, 'Oil', '{}', 0, '{$plan}', now() from seq_1_to_{$machines}");
    }

    /** All that is due within two months on so many machines. */
    private function needsOf(int $machines): string
    {
        return '/api/needs?until='.date('Y-m-d', time() + 60 * 86_400).'&'
            .implode('&', array_map(fn (int $id): string => "machines[]={$id}", range(1, $machines)));
    }

    /** Reckoned anew after something changed, and how that grows with the machines. */
    private function needsAnew(string $token, float $empty): void
    {
        $anew = [];
        foreach ([self::MACHINES_OF_A_LIST, 2 * self::MACHINES_OF_A_LIST] as $machines) {
            foreach (range(1, 5) as $ignored) {
                $this->sql('update supplies set version = version + 1 limit 1');
                $began = microtime(true);
                $answer = json_decode($this->read($this->needsOf($machines), $token), true);
                $times[$machines][] = microtime(true) - $began;
            }
            sort($times[$machines]);
            $anew[$machines] = $times[$machines][2];
            printf(
                "yard     needs of %d machines (%d jobs) reckoned anew in %.2f s, %.0f times the empty route\n",
                $machines,
                count($answer['works'] ?? []),
                $anew[$machines],
                1000 * $anew[$machines] / $empty,
            );
        }
        printf(
            "yard     needs of twice the machines take %.2f times as long (aim: 2.2)\n",
            $anew[2 * self::MACHINES_OF_A_LIST] / $anew[self::MACHINES_OF_A_LIST],
        );
    }

    /** Three readings every two days, going back from yesterday. */
    private function addReadings(int $already, int $until): void
    {
        $machines = self::MACHINES;
        $first = $already + 1;
        foreach (range(0, 9) as $part) {
            $this->sql(<<<SQL
                insert into entries (uuid, machine_id, kind, happened_at, written_at, person_id, device)
                select concat('bench-', m.seq, '-', r.seq), m.seq, 'reading', now() - interval 1 day - interval r.seq * 16 hour, now(), 1, 'bench'
                from seq_1_to_{$machines} m join seq_{$first}_to_{$until} r where m.seq % 10 = {$part};
                insert into readings (entry_id, meter_id, value, typed, happened_at)
                select id, machine_id, greatest(1, 1000 - substring_index(uuid, '-', -1) * 0.4), '1', happened_at from entries
                where device = 'bench' and machine_id % 10 = {$part} and id not in (select entry_id from readings);
                SQL);
        }
        $this->sql('analyze table entries, readings, acts, rules, tasks, task_spots, spots, machines, meters');
        $began = microtime(true);
        exec('php artisan yard:rebuild 2>&1', $said, $status);
        if ($status !== 0) {
            throw new \RuntimeException(implode("\n", $said));
        }
        printf(
            "yard     everything kept is made anew from %s readings in %.1f s\n",
            number_format(self::MACHINES * $until),
            microtime(true) - $began,
        );
        $this->sql('delete from yard_lines');
    }

    private function token(): string
    {
        $secret = bin2hex(random_bytes(20));
        $this->sql(
            "insert into personal_access_tokens (tokenable_type, tokenable_id, name, token, abilities, epoch) values ('App\\\\People\\\\Person', 1, 'bench', sha2('{$secret}', 256), '[\"*\"]', 1)",
        );

        return trim($this->sql('select max(id) from personal_access_tokens'))."|{$secret}";
    }

    /** The day's first request reckons the whole yard; that is told, and not part of what is measured. */
    private function warm(string $token): void
    {
        printf(
            "yard     the day's first look reckons %s rules in %.1f s (aim: 5)\n",
            number_format(self::MACHINES * self::RULES_EACH),
            $this->look($token),
        );
    }

    /** The night's reckoning leaves the first look of a day what any other has. */
    private function afterTheNight(string $token): void
    {
        $this->sql('update yard_lines set reckoned_on = date_sub(reckoned_on, interval 1 day)');
        $began = microtime(true);
        exec('php '.escapeshellarg(dirname(__DIR__, 2).'/artisan').' night:do reckoning', $out, $code);
        if ($code !== 0) {
            throw new \RuntimeException(implode("\n", $out));
        }
        $night = microtime(true) - $began;
        $first = $this->look($token);
        $others = array_map(fn (int $ignored): float => $this->look($token), range(1, 9));
        sort($others);
        printf(
            "yard     the night reckons the day in %.1f s; then its first look takes %.2f times any other (aim: at most 2)\n",
            $night,
            $first / $others[4],
        );
    }

    /** @return float seconds that the 50 soonest take */
    private function look(string $token): float
    {
        $began = microtime(true);
        $answer = $this->read('/api/machines', $token);
        if (count(json_decode($answer, true)['data'] ?? []) !== 50) {
            throw new \RuntimeException('The yard did not answer with its 50 soonest: '.substr($answer, 0, 300));
        }

        return microtime(true) - $began;
    }

    private function read(string $path, string $token): string
    {
        return (string) file_get_contents(
            $this->address.$path,
            context: stream_context_create(
                ['http' => ['header' => "Authorization: Bearer {$token}", 'timeout' => 120]],
            ),
        );
    }

    /** @return array{median: float, worst: float, perSecond: float} milliseconds, and requests a second */
    private function measure(string $path, string $token, ?string $note = null): array
    {
        $lua = "{$this->state}/bench.lua";
        file_put_contents($lua, ($note !== null ? <<<LUA
            local count = 0
            local thread = 0
            function setup(t) thread = thread + 1; t:set('id', thread) end
            function request()
                count = count + 1
                local machine = (id * 499 + count * 7) % 1000 + 1
                wrk.headers['Idempotency-Key'] = id .. '-' .. count .. '-' .. os.time()
                local note = string.format('%08x-%04x-4000-8000-%012x', os.time(), id, count)
                return wrk.format('POST', '/api/notes', nil, '{"notes":[{"id":"' .. note .. '","at":"' .. os.date('!%Y-%m-%dT%H:%M:%SZ') .. '","machine_id":' .. machine .. ',{$note}}]}')
            end
            LUA : '').<<<'LUA'

            function done(summary, latency)
                io.write(string.format('RESULT %f %f %f %d\n', latency:percentile(50) / 1000, latency:percentile(99) / 1000, summary.requests / summary.duration * 1e6, summary.errors.status + summary.errors.timeout + summary.errors.read))
            end
            LUA);
        $command = sprintf('wrk --threads 1 --connections %d --duration %ds --timeout 20s --header %s --header %s --header %s --script %s %s 2>&1', self::CONNECTIONS, self::SECONDS,
            escapeshellarg(
                "Authorization: Bearer {$token}",
            ), escapeshellarg('Accept: application/json'), escapeshellarg(
                'Content-Type: application/json',
            ), escapeshellarg($lua), escapeshellarg($this->address.$path));
        $out = (string) shell_exec($command);
        if (! preg_match('/RESULT (\S+) (\S+) (\S+) (\d+)/', $out, $result)) {
            throw new \RuntimeException("The load could not be measured: {$out}");
        }
        if ((int) $result[4] > 0) {
            throw new \RuntimeException("{$path}: {$result[4]} requests failed. {$out}");
        }

        return ['median' => (float) $result[1], 'worst' => (float) $result[2], 'perSecond' => (float) $result[3]];
    }

    /**
     * @param  list<array{median: float, worst: float, perSecond: float}>  $rounds
     * @return array{median: float, worst: float, perSecond: float} the round in the middle by its median
     */
    private function middle(array $rounds): array
    {
        usort($rounds, fn (array $one, array $other): int => $one['median'] <=> $other['median']);

        return $rounds[intdiv(count($rounds), 2)];
    }

    /**
     * @param  array{median: float, worst: float, perSecond: float}  $measured
     * @param  array{median: float, worst: float, perSecond: float}|null  $against
     */
    private function tell(string $what, array $measured, ?array $against, string $aim): void
    {
        printf("yard     %-26s median %6.1f ms, 99th percentile %6.1f ms, %5.0f a second%s\n", $what, $measured['median'], $measured['worst'], $measured['perSecond'],
            $against === null
                ? " ({$aim})"
                : sprintf(
                    ': %.2f and %.2f times (%s)',
                    $measured['median'] / $against['median'],
                    $measured['worst'] / $against['worst'],
                    $aim,
                ));
    }

    private function sql(string $statements): string
    {
        $user = (string) (posix_getpwuid(posix_geteuid())['name'] ?? 'root');
        $process = proc_open(
            [
                'mariadb',
                '--no-defaults',
                "--socket={$this->state}/run/db.sock",
                "--user={$user}",
                '--skip-column-names',
                '--batch',
                'jardinier',
            ],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
        );
        fwrite($pipes[0], $statements);
        fclose($pipes[0]);
        $out = (string) stream_get_contents($pipes[1]);
        $wrong = (string) stream_get_contents($pipes[2]);
        if (proc_close($process) !== 0) {
            throw new \RuntimeException($wrong);
        }

        return $out;
    }
}
