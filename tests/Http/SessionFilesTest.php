<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Session\SessionFiles;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Session;

/** Sessions in files, which several requests of one person read, write and end at once. */
final class SessionFilesTest extends TestCase
{
    public function test_a_session_ended_between_looking_for_it_and_reading_it_is_none(): void
    {
        $folder = sys_get_temp_dir().'/jardinier-sessions-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $ends = new class extends Filesystem
        {
            public function lastModified($path): int
            {
                $modified = parent::lastModified($path);
                unlink($path);

                return $modified;
            }
        };
        $sessions = new SessionFiles($ends, $folder, 10);
        $this->travelBack();
        $sessions->write('abc', 'what was kept');

        self::assertSame('', $sessions->read('abc'));
        self::assertInstanceOf(SessionFiles::class, Session::driver('file')->getHandler());
        rmdir($folder);
    }
}
