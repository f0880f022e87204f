<?php

declare(strict_types=1);

namespace Tests\Faults;

use Illuminate\Support\Str;
use PHPUnit\Framework\TestCase;
use Tests\Http\Visitor;
use Tests\Started;

/** One who sends as much as they can, a phone whose clock is ahead, a disk that fills under a photograph: the others go on. */
final class NoiseTest extends TestCase
{
    private const SPOTS = 100_000;

    private const ENTRIES = 20_000;

    private const SPOTS_OF_A_MACHINE = 1000;

    private const AT_ONCE = 100;

    private Started $yard;

    protected function setUp(): void
    {
        $this->yard = new Started;
    }

    protected function tearDown(): void
    {
        $this->yard->end();
    }

    public function test_what_one_token_floods_the_yard_with_is_limited_and_slows_nobody(): void
    {
        $this->yard->start();
        $rosa = new Visitor($this->yard->address(), 'rosa', 'coldbrook-rosa');
        $tamsin = new Visitor($this->yard->address(), 'tamsin', 'coldbrook-tamsin');
        $token = $rosa->ask('POST', '/tokens', ['name' => 'x', 'abilities' => ['read', 'log', 'service'], 'days' => 1])['body']['token'];
        $by = ["Authorization: Bearer {$token}"];
        $machine = $rosa->ask('GET', '/machines')['body']['data'][0]['id'];
        $looks = function () use ($tamsin): float {
            $began = hrtime(true);
            for ($look = 0; $look < 20; $look++) {
                self::assertSame(200, $tamsin->ask('GET', '/machines')['status']);
            }

            return (hrtime(true) - $began) / 1e9;
        };
        $before = $looks();

        // A token makes no places at all, and whoever may makes no more than anybody looks after.
        $spot = fn (int $number): array => ['name' => "Place {$number}", 'kind' => 'plain'];
        self::assertSame(403, $rosa->ask('POST', "/machines/{$machine}/spots", $spot(1), $by)['status']);
        $statuses = [];
        for ($number = 0; $number < self::SPOTS && ! isset($statuses[409]); $number++) {
            $status = $rosa->ask('POST', "/machines/{$machine}/spots", $spot($number))['status'];
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
        }
        self::assertSame([201, 409], array_keys($statuses), (string) json_encode($statuses));
        self::assertLessThan(self::SPOTS_OF_A_MACHINE, $statuses[201]);

        $sent = 0;
        $answers = [];
        while ($sent < self::ENTRIES && ! isset($answers[429])) {
            $notes = array_map(fn (): array => ['id' => (string) Str::uuid(), 'kind' => 'remark', 'at' => gmdate(DATE_ATOM), 'machine_id' => $machine, 'note' => 'x'], range(1, self::AT_ONCE));
            $answer = $rosa->ask('POST', '/notes', ['notes' => $notes], $by);
            $answers[$answer['status']] = ($answers[$answer['status']] ?? 0) + 1;
            $sent += self::AT_ONCE;
        }
        self::assertSame([200, 429], array_keys($answers), (string) json_encode($answers));
        self::assertLessThan(self::ENTRIES, $sent);
        self::assertSame('written', $tamsin->ask('POST', '/notes', ['notes' => [['id' => (string) Str::uuid(), 'kind' => 'remark', 'at' => gmdate(DATE_ATOM), 'machine_id' => $machine, 'note' => 'x']]])['body']['results'][0]['status']);
        self::assertLessThan(3 * $before + 1, $looks(), 'the first page is what it was');
    }

    public function test_a_phone_an_hour_ahead_is_put_right_and_its_stand_down_stands(): void
    {
        $this->yard->start('--empty');
        Book::begunIn($this->yard);
        $ida = new Visitor($this->yard->address(), 'ida', 'quite long enough');
        $ahead = fn (int $seconds): string => gmdate(DATE_ATOM, time() + 3600 + $seconds);
        $told = $ida->ask('POST', '/notes', ['sent_at' => $ahead(0), 'notes' => [
            ['id' => $word = (string) Str::uuid(), 'kind' => 'stand_down', 'at' => $ahead(-120), 'machine_id' => 1, 'note' => 'Brakes'],
            ['id' => (string) Str::uuid(), 'kind' => 'remark', 'at' => $ahead(-60), 'machine_id' => 1, 'note' => 'Parked by the barn'],
        ]])['body']['results'];
        self::assertSame(['written', 'written'], array_column($told, 'status'));
        self::assertEqualsWithDelta(time() - 120, strtotime((string) $told[0]['entry']['happened_at']), 5);
        self::assertSame('stood_down', $ida->ask('GET', '/machines/1')['body']['line']['state']);
        $lift = ['id' => (string) Str::uuid(), 'kind' => 'lift', 'at' => gmdate(DATE_ATOM), 'machine_id' => 1, 'note' => 'Bled', 'lifts' => [$word]];
        self::assertSame('written', $ida->ask('POST', '/notes', ['sent_at' => gmdate(DATE_ATOM), 'notes' => [$lift]])['body']['results'][0]['status']);
        self::assertNotSame('stood_down', $ida->ask('GET', '/machines/1')['body']['line']['state'], 'though its clock says later');
    }

    /** Needs root, for a small disk of its own. */
    public function test_a_disk_that_fills_while_a_photograph_comes_leaves_no_half_of_it(): void
    {
        if (posix_geteuid() !== 0) {
            self::markTestSkipped('A small disk of its own needs root.');
        }
        $this->yard->start('--empty');
        Book::begunIn($this->yard);
        $ida = new Visitor($this->yard->address(), 'ida', 'quite long enough');
        $look = ['id' => (string) Str::uuid(), 'kind' => 'look', 'at' => gmdate(DATE_ATOM), 'machine_id' => 1, 'check' => 'leaks', 'said' => 'fine'];
        self::assertSame('written', $ida->ask('POST', '/notes', ['notes' => [$look]])['body']['results'][0]['status']);
        $photos = $this->yard->state().'/storage/photos';
        $picture = (string) tempnam(sys_get_temp_dir(), 'photo');
        $noise = imagecreatetruecolor(1200, 900);
        for ($dot = 0; $dot < 300_000; $dot++) {
            imagesetpixel($noise, random_int(0, 1199), random_int(0, 899), random_int(0, 0xFFFFFF));
        }
        imagejpeg($noise, $picture, 95);
        exec('mkdir -p -m 2770 '.escapeshellarg($photos).' && mount -t tmpfs -o size=64k,mode=2770,gid='.filegroup(dirname($photos)).' none '.escapeshellarg($photos), result_code: $code);
        if ($code !== 0) {
            self::markTestSkipped('No small disk can be mounted here.');
        }
        try {
            $form = ['id' => (string) Str::uuid(), 'act' => $look['id'], 'photo' => new \CURLFile($picture, 'image/jpeg')];
            [$refused] = Visitor::together([$ida->upload('/machines/1/photos', $form)]);
            self::assertContains($refused['status'], [500, 503, 507]);
            self::assertSame('0', $this->yard->row('select count(*) from photos')[0]);
            exec('find '.escapeshellarg($photos).' -type f', $left);
            self::assertSame([], $left, 'no half of it lies about');
            $reading = ['id' => (string) Str::uuid(), 'kind' => 'reading', 'at' => gmdate(DATE_ATOM), 'machine_id' => 1, 'value' => '10.7'];
            self::assertSame('written', $ida->ask('POST', '/notes', ['notes' => [$reading]])['body']['results'][0]['status']);
        } finally {
            exec('umount '.escapeshellarg($photos));
        }
        [$taken] = Visitor::together([$ida->upload('/machines/1/photos', $form)]);
        self::assertSame(201, $taken['status'], 'sent again it is kept');
        unlink($picture);
    }
}
