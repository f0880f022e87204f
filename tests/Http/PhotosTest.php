<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Photo;
use App\People\Role;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** Pictures of what was seen: taken in as pixels alone, and nothing else taken in. */
final class PhotosTest extends WalkTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = (string) realpath(sys_get_temp_dir()).'/photos-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
        $this->app->useStoragePath($this->folder);
    }

    protected function tearDown(): void
    {
        (new \Illuminate\Filesystem\Filesystem)->deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_a_picture_is_kept_outside_the_web_root_made_smaller_and_without_what_the_camera_wrote(): void
    {
        $machine = $this->machine();
        $look = $this->look($machine, 'leaks', ['said' => 'not_fine', 'verdict' => 'watch']);
        $uuid = (string) Str::uuid();
        $jpeg = $this->jpeg(2400, 1200, comment: 'N 51.5 W 0.1 secret place');
        $this->send([$look]);
        $this->upload($machine, $uuid, $look['id'], $jpeg)
            ->assertCreated()
            ->assertJson(['width' => 1600, 'height' => 800]);

        $path = Photo::query()->firstOrFail()->path();
        self::assertStringStartsNotWith(public_path(), $path);
        self::assertStringContainsString('secret place', (string) file_get_contents($jpeg));
        self::assertStringNotContainsString('secret place', (string) file_get_contents($path));
        self::assertSame([$uuid], $this->getJson("/api/machines/{$machine}/walk")->json('findings.0.photos'));
        $shown = $this->get("/api/photos/{$uuid}")->assertOk();
        self::assertSame('immutable, max-age=31536000, private', $shown->headers->get('Cache-Control'));
        self::assertSame(
            ['image/jpeg', 'nosniff'],
            [$shown->headers->get('Content-Type'), $shown->headers->get('X-Content-Type-Options')],
        );
    }

    /**
     * The eight turnings of the Exif standard (JEITA CP-3451, tag 0x0112; value from memory): however the camera was
     * held, the picture stands upright.
     */
    #[DataProvider('turnings')]
    public function test_a_picture_stands_upright_however_the_camera_was_held(
        int $orientation,
        \Closure $asStored,
    ): void {
        $upright = imagecreatetruecolor(80, 40);
        imagefilledrectangle($upright, 0, 0, 39, 19, (int) imagecolorallocate($upright, 255, 0, 0));
        imagefilledrectangle($upright, 40, 20, 79, 39, (int) imagecolorallocate($upright, 0, 0, 255));
        ob_start();
        imagejpeg($asStored($upright), null, 95);
        $jpeg = (string) ob_get_clean();
        $tiff = "II*\0".pack('V', 8).pack('v', 1).pack('vvVV', 0x0112, 3, 1, $orientation).pack('V', 0);
        $exif = "\xFF\xE1".pack('n', 8 + strlen($tiff))."Exif\0\0{$tiff}";
        $machine = $this->machine();
        $uuid = (string) Str::uuid();
        $this->upload(
            $machine,
            $uuid,
            $this->seen($machine),
            $this->file(substr($jpeg, 0, 2).$exif.substr($jpeg, 2)),
        )->assertCreated();
        $seen = imagecreatefromstring(
            (string) file_get_contents(Photo::query()->where('uuid', $uuid)->firstOrFail()->path()),
        );
        assert($seen !== false);

        self::assertSame([80, 40], [imagesx($seen), imagesy($seen)]);
        self::assertGreaterThan(200, imagecolorat($seen, 10, 10) >> 16, 'red stands at the top left');
        self::assertGreaterThan(200, imagecolorat($seen, 70, 30) & 255, 'blue at the bottom right');
        self::assertLessThan(60, imagecolorat($seen, 70, 10) & 255);
    }

    /**
     * @return iterable<string, array{int, \Closure(\GdImage): \GdImage}> the upright picture as such a camera stores it
     */
    public static function turnings(): iterable
    {
        $turned = fn (int $degrees): \Closure => fn (\GdImage $picture): \GdImage => imagerotate($picture, $degrees, 0)
            ?: $picture;
        $mirrored = function (\GdImage $picture, int $how): \GdImage {
            imageflip($picture, $how);

            return $picture;
        };

        yield 'upright' => [1, fn (\GdImage $picture): \GdImage => $picture];
        yield 'mirrored' => [2, fn (\GdImage $picture): \GdImage => $mirrored($picture, IMG_FLIP_HORIZONTAL)];
        yield 'upside down' => [3, $turned(180)];
        yield 'upside down and mirrored' => [
            4,
            fn (\GdImage $picture): \GdImage => $mirrored($picture, IMG_FLIP_VERTICAL),
        ];
        yield 'along the diagonal' => [
            5,
            fn (\GdImage $picture): \GdImage => $mirrored($turned(-90)($picture), IMG_FLIP_HORIZONTAL),
        ];
        yield 'on its right side' => [6, $turned(90)];
        yield 'along the other diagonal' => [
            7,
            fn (\GdImage $picture): \GdImage => $mirrored($turned(90)($picture), IMG_FLIP_HORIZONTAL),
        ];
        yield 'on its left side' => [8, $turned(-90)];
    }

    public function test_the_same_picture_sent_twice_is_kept_once_and_its_id_is_its_own(): void
    {
        $machine = $this->machine();
        [$uuid, $look] = [(string) Str::uuid(), $this->seen($machine)];
        $this->upload($machine, $uuid, $look, $this->jpeg(40, 30))->assertCreated();
        $this->upload($machine, strtoupper($uuid), strtoupper($look), $this->jpeg(40, 30))->assertCreated();
        $this->upload($machine, $uuid, (string) Str::uuid(), $this->jpeg(40, 30))->assertJsonValidationErrors('id');

        self::assertSame(1, Photo::query()->count());
    }

    /** @return iterable<string, array{\Closure(self): string, string}> */
    public static function refused(): iterable
    {
        yield 'a script by the name of a picture' => [
            fn (self $test): string => $test->file('<?php system("ls");'),
            'Only pictures',
        ];
        yield 'a drawing that can carry scripts' => [
            fn (self $test): string => $test->file(
                '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>',
            ),
            'Only pictures',
        ];
        yield 'a GIF' => [
            fn (self $test): string => $test->file(
                (string) base64_decode('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7'),
            ),
            'Only pictures',
        ];
        yield 'a packed bomb: few bytes, a billion pixels' => [
            fn (self $test): string => $test->file(self::pngOf(40000, 40000)),
            'million pixels',
        ];
        yield 'a torn picture' => [
            fn (self $test): string => $test->file(substr((string) file_get_contents($test->png()), 0, 60)),
            'broken',
        ];
        yield 'nothing at all' => [fn (self $test): string => $test->file(''), 'Only pictures'];
        yield 'a huge file' => [
            fn (self $test): string => $test->file(str_repeat('x', 7 * 1024 * 1024)),
            'at most 6 MB',
        ];
    }

    /** @param  \Closure(self): string  $make */
    #[DataProvider('refused')]
    public function test_what_is_no_picture_is_refused_and_nothing_is_kept(\Closure $make, string $says): void
    {
        $machine = $this->machine();
        $response = $this->upload(
            $machine,
            (string) Str::uuid(),
            $this->seen($machine),
            $make($this),
        )->assertUnprocessable();

        self::assertStringContainsString($says, $response->json('errors.photo.0'));
        self::assertSame(0, Photo::query()->count());
        self::assertDirectoryDoesNotExist("{$this->folder}/photos");
    }

    public function test_a_picture_belongs_to_a_look_at_that_machine_which_is_in_the_yard(): void
    {
        $machine = $this->machine();
        $look = $this->seen($machine);
        $other = $this->machine(['name' => 'Teal']);
        $this->upload(
            $other,
            (string) Str::uuid(),
            $look,
            $this->jpeg(40, 30),
        )->assertJsonPath('errors.act.0', 'Nothing of that kind was seen on Teal.');
        $this->upload(
            $machine,
            (string) Str::uuid(),
            (string) Str::uuid(),
            $this->jpeg(40, 30),
        )->assertJsonValidationErrors('act');
        $this->patchJson("/api/machines/{$machine}", ['retired' => true], ['If-Match' => '"1"'])->assertOk();
        $this->upload($machine, (string) Str::uuid(), $look, $this->jpeg(40, 30))->assertConflict();
        self::assertSame(0, Photo::query()->count());
    }

    public function test_neither_a_files_name_nor_its_id_leads_anywhere_else(): void
    {
        $machine = $this->machine();
        $this->upload(
            $machine,
            '../../../../tmp/x',
            (string) Str::uuid(),
            $this->jpeg(40, 30),
        )->assertJsonValidationErrors('id');
        $this->upload($machine, (string) Str::uuid(), '../x', $this->jpeg(40, 30))->assertJsonValidationErrors('act');
        $this->upload(
            $machine,
            $uuid = (string) Str::uuid(),
            $this->seen($machine),
            $this->jpeg(40, 30),
            '../../../public/shell.php',
        )->assertCreated();

        self::assertSame(
            "{$this->folder}/photos/".substr($uuid, 0, 2)."/{$uuid}.jpg",
            Photo::query()->firstOrFail()->path(),
        );
        foreach (['..%2F..%2F.env', '../../.env', '%2e%2e%2f.env'] as $path) {
            self::assertSame(404, $this->get("/api/photos/unknown{$path}")->getStatusCode());
        }
    }

    public function test_only_who_may_log_on_the_machine_attaches_pictures_to_it(): void
    {
        $machine = $this->machine();
        $this->as(Role::Reader)
            ->upload($machine, (string) Str::uuid(), (string) Str::uuid(), $this->jpeg(40, 30))
            ->assertForbidden();
    }

    /** Something was seen there, which a picture may show. */
    private function seen(int $machine): string
    {
        $look = $this->look($machine, 'leaks', ['said' => 'not_fine', 'verdict' => 'watch']);
        $this->send([$look]);

        return $look['id'];
    }

    private function upload(
        int $machine,
        string $id,
        string $observation,
        string $path,
        string $name = 'photo.jpg',
    ): TestResponse {
        return $this->post(
            "/api/machines/{$machine}/photos",
            ['id' => $id, 'act' => $observation, 'photo' => new UploadedFile($path, $name, 'image/jpeg', test: true)],
            ['Accept' => 'application/json'],
        );
    }

    private function jpeg(int $width, int $height, string $comment = ''): string
    {
        ob_start();
        imagejpeg(imagecreatetruecolor($width, $height));
        $jpeg = (string) ob_get_clean();
        $marker = $comment === '' ? '' : "\xFF\xFE".pack('n', strlen($comment) + 2).$comment;

        return $this->file(substr($jpeg, 0, 2).$marker.substr($jpeg, 2));
    }

    private function png(): string
    {
        $path = "{$this->folder}/whole.png";
        imagepng(imagecreatetruecolor(200, 200), $path);

        return $path;
    }

    private function file(string $content): string
    {
        $path = "{$this->folder}/".bin2hex(random_bytes(4));
        file_put_contents($path, $content);

        return $path;
    }

    /** A picture that says it is huge, in a few bytes. */
    private static function pngOf(int $width, int $height): string
    {
        $chunk = fn (string $name, string $data): string => pack('N', strlen($data)).$name.$data.pack('N', crc32($name.$data));

        return "\x89PNG\r\n\x1a\n".$chunk(
            'IHDR',
            pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0),
        ).$chunk('IDAT', (string) gzcompress(str_repeat("\0", 100_000))).$chunk('IEND', '');
    }
}
