<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Person;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * A small yard of each released schema is brought up to date. What stands in the dumps is never changed; a release adds
 * one (docs/running.md says how).
 */
final class ReleasedTest extends TestCase
{
    private const DATABASE = 'jardinier_upgrade';

    #[DataProvider('released')]
    public function test_a_yard_of_an_older_release_comes_up_to_date_and_its_book_still_says_the_same(string $dump): void
    {
        config(['database.connections.older' => [...config('database.connections.mariadb'), 'database' => self::DATABASE]]);
        $older = DB::connection('older');
        Artisan::call('db:wipe', ['--database' => 'older', '--force' => true]);
        $older->unprepared('set foreign_key_checks = 0; '.file_get_contents($dump));
        $older->reconnect();
        self::assertSame(0, Artisan::call('migrate', ['--database' => 'older', '--force' => true]), Artisan::output());
        self::assertEquals(self::columns((string) DB::connection()->getDatabaseName()), self::columns(self::DATABASE), 'its tables are those of a new yard');

        config(['database.default' => 'older']);
        DB::setDefaultConnection('older');
        try {
            $this->travelTo('2026-11-26 23:00');
            $this->as(Person::query()->firstOrFail());
            $sheet = $this->getJson('/api/machines/1')->assertOk()->json();
            self::assertSame(['Heron', '31.5'], [$sheet['name'], $sheet['line']['meters'][0]['value']]);
            self::assertStringStartsWith('Engine oil: due at 81.5 h, 50 h after 31.5 h.', $sheet['line']['why']);
            $this->log(1, '32')->assertCreated();
        } finally {
            config(['database.default' => 'mariadb']);
            DB::setDefaultConnection('mariadb');
        }
    }

    /** @return iterable<string, array{string}> */
    public static function released(): iterable
    {
        foreach (glob(__DIR__.'/Released/*.sql') ?: [] as $dump) {
            yield basename($dump, '.sql') => [$dump];
        }
    }

    /** @return list<object> */
    private static function columns(string $database): array
    {
        return DB::select(
            'select table_name, column_name, column_type, is_nullable, column_default, column_key from information_schema.columns where table_schema = ? order by table_name, column_name',
            [$database],
        );
    }
}
