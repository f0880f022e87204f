<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Machines\Yard;
use App\People\Role;
use App\Upkeep\Backup\BackupFile;
use App\Upkeep\Backup\Kept;
use App\Upkeep\Backup\PassphraseSeal;
use App\Upkeep\Backup\SecondFolder;
use App\Upkeep\Backup\Unusable;
use App\Upkeep\Night\DoNightWork;
use App\Upkeep\Night\NightRun;
use App\Upkeep\Night\NightWatch;
use App\Yard\YardLine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/** The computer does its work of the night by itself, says what is amiss, and tells strangers nothing. */
final class UpkeepTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = (string) realpath(sys_get_temp_dir()).'/upkeep-'.bin2hex(random_bytes(4));
        mkdir("{$this->folder}/storage", 0700, recursive: true);
        $this->app->useStoragePath("{$this->folder}/storage");
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_what_is_due_in_the_night_is_handed_over_once_and_again_when_it_failed_or_slept_through_it(): void
    {
        $this->machine();
        $this->travelTo('2026-05-15 01:00');
        self::assertSame(['reckoning', 'backup', 'pruning'], $this->handedOver(), 'a yard that never had a night');
        $this->ran('reckoning', '2026-05-15 00:00');
        $this->ran('backup', '2026-05-14 02:10');
        $this->ran('pruning', '2026-05-14 04:10');
        self::assertSame([], $this->handedOver(), 'at one in the night all of yesterday is done');
        $this->travelTo('2026-05-15 02:30');
        self::assertSame(['backup'], $this->handedOver());
        $this->ran('backup', '2026-05-15 02:30', false);
        self::assertSame([], $this->handedOver(), 'what failed is not tried again at once');
        $this->travelTo('2026-05-15 03:31');
        self::assertSame(['backup', 'pruning'], $this->handedOver(), 'but after an hour, beside what has come due by then');
        $this->travelTo('2026-05-18 09:00');
        self::assertSame(['reckoning', 'backup', 'pruning'], $this->handedOver(), 'a computer that was off over the weekend');
    }

    public function test_the_days_reckoning_leaves_nothing_for_whoever_looks_first(): void
    {
        $this->machine();
        $this->travelTo('2026-05-16 00:01');
        (new DoNightWork('reckoning'))->handle();
        self::assertSame([true, 'What falls due is reckoned for 16 May.'], [NightRun::last('reckoning')?->succeeded, NightRun::last('reckoning')?->says]);
        self::assertSame(['2026-05-16'], YardLine::query()->pluck('reckoned_on')->unique()->values()->all());
    }

    public function test_the_keeper_is_told_of_an_old_backup_a_low_disk_a_failure_and_a_clock_put_back(): void
    {
        $machine = $this->machine();
        $warnings = fn (): array => $this->as(Role::Keeper)->getJson('/api/computer/morning')->assertOk()->json('warnings');
        self::assertSame([], $warnings());
        $this->backedUp('2026-05-14 02:10');
        $this->travelTo('2026-05-16 02:00');
        self::assertSame([], $warnings());
        $this->travelTo('2026-05-16 02:11');
        self::assertSame(['The last good backup is of Thursday 14 May.'], $warnings());
        self::assertSame('2026-05-14T02:10:00+00:00', $this->getJson('/api/computer/morning')->json('last_backup'));
        config(['upkeep.disk.low' => 101]);
        self::assertStringContainsString('% of the disk is free. Photographs are refused when it runs lower.', $warnings()[1]);
        config(['upkeep.disk.no_photos' => 101]);
        $this->postJson("/api/machines/{$machine}/photos", [])->assertStatus(507)->assertJsonPath('type', '/problems/no-room');
        $this->log($machine, '7')->assertCreated();
        config(['upkeep.disk' => ['low' => 0, 'no_photos' => 0]]);
        $this->ran('proof', '2026-05-16 03:10', false, 'The table acts came back otherwise.');
        self::assertContains('Proof of the backup failed: The table acts came back otherwise.', $warnings());
        $this->travelTo('2026-05-02 09:00');
        self::assertStringContainsString('The computer\'s clock stands at 2 May 2026', $warnings()[0]);
    }

    public function test_health_is_told_to_anybody_and_holds_no_secret(): void
    {
        $this->machine();
        $this->backedUp('2026-05-14 02:10');
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/health')->assertOk()->assertJson(['day_reckoned' => false, 'clock_right' => true, 'status' => 'wanting']);
        $this->ran('reckoning', CarbonImmutable::now()->toDateTimeString());
        self::assertSame(
            ['status', 'day_reckoned', 'clock_right', 'last_backup', 'disk_free_percent'],
            array_keys($this->getJson('/api/health')->assertOk()->json()),
        );
    }

    /** What is thrown away follows the rotation, which is tried on its own in the core. */
    public function test_backups_that_the_rotation_does_not_keep_are_thrown_away_with_their_notes(): void
    {
        $this->machine();
        foreach (range(0, 20) as $days) {
            $this->backedUp(CarbonImmutable::parse('2026-05-14 02:10')->subDays($days)->toDateTimeString());
        }
        Kept::rotate(Yard::query()->firstOrFail());
        self::assertCount(count(Kept::all()) * 2, glob(BackupFile::folder().'/*') ?: []);
        self::assertSame('2026-05-14', Kept::newest()?->madeAt->toDateString());
        self::assertLessThan(13, count(Kept::all()));
    }

    /** A stick that others use too, and that holds what an earlier computer of this yard left there. */
    public function test_a_hundred_nights_thin_the_yards_own_folder_by_its_own_ages_and_touch_nothing_else(): void
    {
        $this->machine();
        $yard = Yard::query()->firstOrFail();
        $stick = "{$this->folder}/stick";
        config(['upkeep.second_folder' => $stick]);
        $this->backedUp('2026-05-14 02:10');
        SecondFolder::follow($yard);
        $warnings = fn (): array => $this->as(Role::Keeper)->getJson('/api/computer/morning')->json('warnings');
        self::assertSame(['The second folder for backups is not there. Is its stick in?'], $warnings());
        $foreign = [
            "{$stick}/holiday.jpg",
            "{$stick}/jardinier-20200101-000000.tar.gz",
            "{$stick}/jardinier-0a0b0c0d/jardinier-20200101-000000.sealed",
            SecondFolder::own($yard).'/notes.txt',
            SecondFolder::own($yard).'/jardinier-20200101-000000.sealed.old',
        ];
        foreach ($foreign as $file) {
            File::ensureDirectoryExists(dirname($file));
            file_put_contents($file, 'not ours');
        }
        $earlier = SecondFolder::own($yard).'/jardinier-20250310-021000.sealed';
        file_put_contents($earlier, 'of the computer that burned');
        for ($night = 0; $night < 100; $night++) {
            $this->travelTo(CarbonImmutable::parse('2026-05-15 02:10')->addDays($night));
            $this->backedUp(CarbonImmutable::now()->toDateTimeString());
            Kept::rotate($yard);
            SecondFolder::follow($yard);
        }
        foreach ($foreign as $file) {
            self::assertSame('not ours', file_get_contents($file));
        }
        self::assertSame('of the computer that burned', file_get_contents($earlier), 'a year is kept by months');
        $all = array_map(fn (CarbonImmutable $at): string => $at->format('Y-m-d'), array_values(SecondFolder::all($yard)));
        self::assertSame(['2026-08-22', '2026-08-21', '2026-08-20', '2026-08-19', '2026-08-18', '2026-08-17', '2026-08-16', '2026-08-09', '2026-08-02', '2026-07-31', '2026-06-30', '2026-05-31', '2025-03-10'], $all);
        self::assertSame([[], 'there', 13], [$warnings(), $this->getJson('/api/computer')->assertOk()->json('second_folder'), $this->getJson('/api/computer')->json('second_kept')]);
        $this->artisan('backup:list')->expectsOutputToContain('10 March 2025')->assertSuccessful();
    }

    public function test_a_backup_that_begins_anew_on_another_computer_costs_the_stick_none_of_its_old_ones(): void
    {
        $this->machine();
        $yard = Yard::query()->firstOrFail();
        config(['upkeep.second_folder' => $stick = "{$this->folder}/stick"]);
        mkdir(SecondFolder::own($yard), recursive: true);
        foreach (['20260401', '20260501', '20260510', '20260512'] as $day) {
            file_put_contents(SecondFolder::own($yard)."/jardinier-{$day}-021000.tar.gz", 'old');
        }
        $this->backedUp('2026-05-14 02:10');
        SecondFolder::follow($yard);
        self::assertCount(5, SecondFolder::all($yard));
    }

    public function test_the_file_for_somebody_who_helps_holds_no_names_no_words_and_no_secrets(): void
    {
        mkdir("{$this->folder}/storage/logs");
        $machine = $this->machine(['name' => 'Wigeon']);
        $this->tell($machine, 'remark', ['note' => 'Nell drinks'])->assertCreated();
        $this->getJson('/api/machines/99999')->assertNotFound();
        file_put_contents("{$this->folder}/.env", "APP_KEY=base64:c2VjcmV0c2VjcmV0c2VjcmV0\nDB_PASSWORD=\"hidden-in-the-settings\"\nTRUSTED_PROXIES=10.9.8.7\n");
        file_put_contents("{$this->folder}/backup-passphrase", "nine swans on the pond\n");
        mkdir("{$this->folder}/log");
        file_put_contents("{$this->folder}/log/nginx.log", '2026/05/14 upstream timed out, client: 192.168.1.77, server: yard, request: "GET /api/machines?name=Wigeon HTTP/2.0", host: "yard.example:8470"'."\n");
        file_put_contents("{$this->folder}/log/fpm.log", "ERROR: SQL 40001 at WriteNotes.php:12, password hidden-in-the-settings, by Keeper, nine swans on the pond\n");
        $this->artisan('computer:trouble', ['file' => $file = "{$this->folder}/trouble.txt"])->assertSuccessful();

        $text = (string) file_get_contents($file);
        foreach (['== Versions ==', 'entries: some', '404 not-found GET api/machines/{machine}', 'SQL 40001 at WriteNotes.php:12', 'upstream timed out'] as $told) {
            self::assertStringContainsString($told, $text);
        }
        foreach (['Wigeon', 'Nell', 'Keeper', 'Testing yard', 'hidden-in-the-settings', 'c2VjcmV0', 'nine swans', '192.168.1.77', 'yard.example', '99999'] as $hidden) {
            self::assertStringNotContainsString($hidden, $text);
        }
        self::assertSame(0, fileperms($file) & 0077);
    }

    public function test_a_sealed_file_opens_with_its_passphrase_alone_and_only_whole(): void
    {
        [$plain, $sealed, $opened] = ["{$this->folder}/plain", "{$this->folder}/sealed", "{$this->folder}/opened"];
        foreach (['', 'short', random_bytes(65_536), random_bytes(200_000)] as $written) {
            file_put_contents($plain, $written);
            PassphraseSeal::put($plain, $sealed, 'nine swans');
            self::assertTrue(PassphraseSeal::isOn($sealed));
            PassphraseSeal::take($sealed, $opened, 'nine swans');
            self::assertSame($written, file_get_contents($opened));
        }
        $this->assertUnusable('It does not open with that passphrase.', fn () => PassphraseSeal::take($sealed, $opened, 'ten swans'));
        file_put_contents($sealed, substr((string) file_get_contents($sealed), 0, -100));
        $this->assertUnusable('The backup is damaged or cut off.', fn () => PassphraseSeal::take($sealed, $opened, 'nine swans'));
        file_put_contents($sealed, 'not sealed');
        self::assertFalse(PassphraseSeal::isOn($sealed));
        $this->assertUnusable('That is not a backup, or it is damaged or cut off.', fn () => BackupFile::unpack($sealed, "{$this->folder}/unpacked", null));
    }

    private function assertUnusable(string $says, \Closure $does): void
    {
        try {
            $does();
            self::fail("Nothing said: {$says}");
        } catch (Unusable $wrong) {
            self::assertSame($says, $wrong->getMessage());
        }
    }

    /** @return list<string> the works that are handed over now */
    private function handedOver(): array
    {
        Bus::fake();
        (new NightWatch)();

        return Bus::dispatched(DoNightWork::class)->map(fn (DoNightWork $work): string => $work->uniqueId())->values()->all();
    }

    private function ran(string $work, string $at, bool $succeeded = true, string $says = ''): void
    {
        NightRun::query()->create(['work' => $work, 'began_at' => $at, 'ended_at' => $at, 'succeeded' => $succeeded, 'says' => $says]);
    }

    private function backedUp(string $at): void
    {
        File::ensureDirectoryExists(BackupFile::folder());
        $made = CarbonImmutable::parse($at);
        file_put_contents($file = Kept::name($made, false), Str::random(10));
        Kept::note($file, $made, null);
    }
}
