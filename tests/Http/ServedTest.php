<?php

declare(strict_types=1);

namespace Tests\Http;

use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase as PlainTestCase;
use Tests\Drawn;
use Tests\ServedClock;

/** What only shows with several people at once, on the served application: nginx, several PHP processes, MariaDB. */
final class ServedTest extends PlainTestCase
{
    private const ROUNDS = 20;

    private static Visitor $keeper;

    private static Visitor $mechanic;

    public static function setUpBeforeClass(): void
    {
        $address = (string) getenv('JARDINIER_URL');
        self::$keeper = new Visitor($address, 'rosa', 'coldbrook-rosa');
        self::$mechanic = new Visitor($address, 'tamsin', 'coldbrook-tamsin');
    }

    public function test_two_people_logging_the_same_machine_at_once_lose_nothing(): void
    {
        $machine = self::machine();
        $start = ServedClock::now('-30 days 10:00');
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $log = fn (Visitor $who, int $step): \CurlHandle => $who->request('POST', '/notes', ['notes' => [
                self::reading(
                    $machine,
                    (string) ($round * 0.4 + $step / 10),
                    ['on' => $start->modify('+'.($round * 60 + $step * 20).' minutes')->format(DATE_ATOM)],
                ),
            ]]);
            $answers = Visitor::together([$log(self::$keeper, 1), $log(self::$mechanic, 2)]);
            self::assertSame(
                ['written', 'written'],
                array_map(self::became(...), $answers),
                (string) json_encode($answers),
            );
        }
        $entries = self::$keeper->ask('GET', "/machines/{$machine}/entries?kind=reading&limit=200")['body']['data']
            ?? [];
        $sheet = self::$keeper->ask('GET', "/machines/{$machine}")['body'];

        self::assertCount(2 * self::ROUNDS, $entries);
        self::assertSame('7.8', $sheet['line']['meters'][0]['value']);
        self::assertSame(
            $sheet['line'],
            self::lineOnTheYardsSheet($sheet['name']),
            'the kept line is the one that follows from the facts',
        );
    }

    public function test_the_same_key_sent_by_several_connections_at_once_writes_once(): void
    {
        $machine = self::machine();
        $note = self::reading($machine, '3');
        $send = fn (): \CurlHandle => self::$keeper->request(
            'POST',
            '/notes',
            ['notes' => [$note]],
            ['Idempotency-Key: together'],
        );
        $answers = Visitor::together([$send(), $send(), $send(), $send()]);

        self::assertSame(
            ['written'],
            array_values(array_unique(array_map(self::became(...), $answers))),
            (string) json_encode($answers),
        );
        self::assertCount(
            1,
            array_unique(array_map(fn (array $answer): int => $answer['body']['results'][0]['entry_id'], $answers)),
        );
        self::assertCount(1, self::$keeper->ask('GET', "/machines/{$machine}/entries?kind=reading")['body']['data']);
    }

    public function test_eight_equal_keys_four_equal_pictures_and_equal_names_at_once_break_nothing(): void
    {
        $machine = self::machine();
        foreach (['3', 'rubbish', '4'] as $round => $value) {
            $note = self::reading($machine, $value);
            $answers = Visitor::together(
                array_map(
                    fn (): \CurlHandle => self::$keeper->request(
                        'POST',
                        '/notes',
                        ['notes' => [$note]],
                        ["Idempotency-Key: eight {$round}"],
                    ),
                    range(1, 8),
                ),
            );
            self::assertSame(
                [$value === 'rubbish' ? 'refused' : 'written'],
                array_values(array_unique(array_map(self::became(...), $answers))),
                (string) json_encode($answers),
            );
        }
        $name = 'twin'.bin2hex(random_bytes(3));
        $answers = Visitor::together(
            array_map(
                fn (): \CurlHandle => self::$keeper->request(
                    'POST',
                    '/people',
                    ['name' => 'Twin', 'sign_in_name' => $name, 'password' => 'long enough', 'role' => 'reader'],
                ),
                range(1, 4),
            ),
        );
        $statuses = array_column($answers, 'status');
        sort($statuses);
        self::assertSame([201, 422, 422, 422], $statuses);

        $look = [
            'id' => (string) Str::uuid(),
            'kind' => 'look',
            'at' => ServedClock::now()->format(DATE_ATOM),
            'machine_id' => $machine,
            'check' => 'leaks',
            'said' => 'fine',
        ];
        self::assertSame(
            'written',
            self::$keeper->ask('POST', '/notes', ['notes' => [$look]])['body']['results'][0]['status'] ?? null,
        );
        $picture = (string) tempnam(sys_get_temp_dir(), 'photo');
        imagejpeg(imagecreatetruecolor(60, 40), $picture);
        $form = ['id' => (string) Str::uuid(), 'act' => $look['id'], 'photo' => new \CURLFile($picture, 'image/jpeg')];
        $answers = Visitor::together(
            array_map(fn (): \CurlHandle => self::$keeper->upload("/machines/{$machine}/photos", $form), range(1, 4)),
        );
        $taken = array_count_values(array_column($answers, 'status'));
        self::assertSame([], array_diff(array_keys($taken), [201, 429]), (string) json_encode($answers));
        self::assertGreaterThan(0, $taken[201] ?? 0, 'one picture of a person at a time');
        self::assertSame(201, Visitor::together([self::$keeper->upload("/machines/{$machine}/photos", $form)])[0]['status'], 'the same again is kept once');
        unlink($picture);
    }

    #[Group('long')]
    public function test_four_who_top_up_from_one_container_at_once_are_all_written_down(): void
    {
        $fluid = self::$keeper->ask('POST', '/supplies', ['kind' => 'fluid', 'name' => 'Served oil '.bin2hex(random_bytes(3)), 'label' => ['kind' => 'engine_oil', 'grade' => '10W-30'], 'sold_in' => [['size' => '205 L']]])['body']['id'];
        $bought = ['id' => (string) Str::uuid(), 'kind' => 'bought', 'at' => ServedClock::now()->format(DATE_ATOM), 'supply' => $fluid, 'size' => '205 L', 'count' => 1];
        self::assertSame('written', self::became(self::$keeper->ask('POST', '/notes', ['notes' => [$bought]])));
        $container = self::$keeper->ask('GET', "/supplies/{$fluid}")['body']['containers'][0]['id'];
        $machines = array_map(self::machine(...), range(1, 4));
        $rounds = Drawn::times(500);
        $became = [];
        for ($round = 0; $round < $rounds; $round++) {
            $answers = Visitor::together(array_map(fn (int $machine): \CurlHandle => self::$keeper->request('POST', '/notes', ['notes' => [[
                'id' => (string) Str::uuid(), 'kind' => 'top_up', 'at' => ServedClock::now()->format(DATE_ATOM), 'machine_id' => $machine,
                'spot' => 'engine_oil', 'amount' => '10 mL', 'fluid' => $fluid, 'container' => $container, 'confirmed_because' => 'By the drum',
            ]]], ['Idempotency-Key: '.Str::uuid()]), $machines));
            $became = [...$became, ...array_map(self::became(...), $answers)];
        }
        self::assertSame(['written' => 4 * $rounds], array_count_values($became));
    }

    public function test_the_same_key_with_another_picture_is_another_request(): void
    {
        $machine = self::machine();
        $look = [
            'id' => (string) Str::uuid(),
            'kind' => 'look',
            'at' => ServedClock::now()->format(DATE_ATOM),
            'machine_id' => $machine,
            'check' => 'leaks',
            'said' => 'fine',
        ];
        self::$keeper->ask('POST', '/notes', ['notes' => [$look]]);
        $id = (string) Str::uuid();
        $send = function (int $width) use ($machine, $look, $id): int {
            $picture = (string) tempnam(sys_get_temp_dir(), 'photo');
            imagejpeg(imagecreatetruecolor($width, 40), $picture);
            $answer = Visitor::together(
                [
                    self::$keeper->upload(
                        "/machines/{$machine}/photos",
                        ['id' => $id, 'act' => $look['id'], 'photo' => new \CURLFile($picture, 'image/jpeg')],
                        ["Idempotency-Key: {$id}"],
                    ),
                ],
            )[0];
            unlink($picture);

            return $answer['status'];
        };
        self::assertSame([201, 201, 422], [$send(60), $send(60), $send(70)]);
    }

    public function test_a_stranger_gets_no_session_and_what_is_too_large_is_told_as_a_problem(): void
    {
        $sessions = fn (): int => count(glob(getenv('JARDINIER_STATE').'/storage/framework/sessions/*') ?: []);
        $before = $sessions();
        foreach (range(1, 5) as $ignored) {
            file_get_contents(getenv('JARDINIER_URL').'/api/session');
        }
        self::assertSame($before, $sessions());
        $answer = Visitor::together(
            [self::$keeper->request('POST', '/reckon/convert', ['a' => str_repeat('x', 300_000)])],
        )[0];
        self::assertSame([413, '/problems/too-large'], [$answer['status'], $answer['body']['type'] ?? null]);
    }

    public function test_a_session_in_which_nothing_changed_is_not_written_again(): void
    {
        $written = function (): array {
            clearstatcache();
            $files = glob(getenv('JARDINIER_STATE').'/storage/framework/sessions/*') ?: [];

            return array_combine($files, array_map(filemtime(...), $files));
        };
        self::$keeper->ask('GET', '/yard');
        foreach (array_keys($written()) as $file) {
            touch($file, time() - 60);
        }
        $before = $written();
        foreach (['/yard', '/machines', '/session'] as $path) {
            self::assertSame(200, self::$keeper->ask('GET', $path)['status']);
        }
        self::assertSame($before, $written());
    }

    public function test_two_people_changing_one_record_at_once_do_not_overwrite_each_other(): void
    {
        $machine = self::machine();
        $change = fn (Visitor $who, string $place): \CurlHandle => $who->request(
            'PATCH',
            "/machines/{$machine}",
            ['place' => $place],
            ['If-Match: "1"'],
        );
        $answers = Visitor::together([$change(self::$keeper, 'North'), $change(self::$keeper, 'South')]);
        $statuses = array_column($answers, 'status');
        sort($statuses);

        self::assertSame([200, 412], $statuses);
    }

    public function test_a_write_from_another_page_is_refused(): void
    {
        $machine = self::machine();
        foreach (['http://127.0.0.1:1', 'http://elsewhere.example', 'null', ''] as $origin) {
            $forged = Visitor::together(
                [
                    self::$keeper->request(
                        'POST',
                        '/notes',
                        ['notes' => [self::reading($machine, '3')]],
                        origin: $origin,
                    ),
                ],
            )[0];
            self::assertSame(
                [403, '/problems/foreign-origin'],
                [$forged['status'], $forged['body']['type'] ?? null],
                $origin,
            );
        }
        $other = Visitor::together(
            [
                self::$keeper->request(
                    'POST',
                    '/notes',
                    ['notes' => [self::reading($machine, '3')]],
                    ['Sec-Fetch-Site: same-site'],
                ),
            ],
        )[0];
        self::assertSame(403, $other['status'], 'another port of the same computer is another site to write from');
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed> a note
     */
    private static function reading(int $machine, string $value, array $more = []): array
    {
        return [
            'id' => (string) Str::uuid(),
            'kind' => 'reading',
            'at' => ServedClock::now()->format(DATE_ATOM),
            'machine_id' => $machine,
            'value' => $value,
            ...$more,
        ];
    }

    /** @param  array{status: int, body: array<string, mixed>}  $answer */
    private static function became(array $answer): string
    {
        return $answer['body']['results'][0]['status'] ?? "not taken in: {$answer['status']}";
    }

    private static function machine(): int
    {
        $machine = self::$keeper
            ->ask('POST', '/machines', ['name' => 'Served '.bin2hex(random_bytes(4)), 'class' => 'rider_mower', 'place' => 'Test field', 'history' => 'new',
                'at' => ServedClock::now('-40 days')->format('Y-m-d'), 'meters' => [
                    ['unit' => 'h', 'value' => '0'],
                ], 'rules' => [
                    ['task' => 'Oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => 50]],
                ]]);
        self::assertSame(201, $machine['status'], (string) json_encode($machine));

        return $machine['body']['id'];
    }

    /** @return array<string, mixed> */
    private static function lineOnTheYardsSheet(string $name): array
    {
        return self::$keeper->ask('GET', '/machines?name='.rawurlencode($name))['body']['data'][0];
    }
}
