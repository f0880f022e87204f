<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Refusal;
use App\People\Person;
use App\Yard\Machine;
use Illuminate\Http\UploadedFile;

/**
 * Takes a picture in. Its kind and size are read from the file itself, never from its name; it is drawn anew from its pixels, so that nothing else of the file
 * is kept: no place, no camera, nothing that was hidden in it.
 */
final class KeepPhoto
{
    public const MOST_KILOBYTES = 6144;

    /** More than a phone gives, less than unpacks into all the memory there is. */
    private const MOST_PIXELS = 16_000_000;

    private const LONGEST_SIDE = 1600;

    private const QUALITY = 82;

    /** @throws Refusal if it is no picture of a kind taken here, or too large */
    public function __invoke(Machine $machine, string $uuid, string $observation, UploadedFile $file, Person $by): Photo
    {
        $kept = Photo::query()->where('uuid', $uuid)->first();
        if ($kept !== null) {
            return $kept->observation === $observation && $kept->person_id === $by->id ? $kept : throw Refusal::field('id', 'This id belongs to another picture.');
        }
        $picture = $this->read($file->getPathname());
        $photo = new Photo(['uuid' => strtolower($uuid), 'machine_id' => $machine->id, 'observation' => strtolower($observation), 'person_id' => $by->id, 'width' => imagesx($picture), 'height' => imagesy($picture), 'created_at' => now()]);
        $photo->bytes = $this->write($picture, $photo->path());
        $photo->save();

        return $photo;
    }

    private function read(string $path): \GdImage
    {
        [$width, $height, $kind] = @getimagesize($path) ?: [0, 0, 0];
        if (! in_array($kind, [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw Refusal::field('photo', 'Only pictures are taken: JPEG, PNG or WebP.');
        }
        if ($width < 1 || $height < 1 || $width * $height > self::MOST_PIXELS) {
            throw Refusal::field('photo', 'A picture has at most '.self::MOST_PIXELS / 1_000_000 .' million pixels.');
        }
        $picture = @match ($kind) {
            IMAGETYPE_JPEG => imagecreatefromjpeg($path),
            IMAGETYPE_PNG => imagecreatefrompng($path),
            IMAGETYPE_WEBP => imagecreatefromwebp($path),
        };
        if ($picture === false) {
            throw Refusal::field('photo', 'This picture is broken.');
        }

        return $this->onPaper($this->upright($picture, $kind === IMAGETYPE_JPEG ? $path : null));
    }

    /** Which way up it was held is all that is read of what a camera writes beside the pixels. */
    private function upright(\GdImage $picture, ?string $jpeg): \GdImage
    {
        $turned = $jpeg === null || ! function_exists('exif_read_data') ? 1 : (@exif_read_data($jpeg)['Orientation'] ?? 1);
        $angle = [3 => 180, 6 => -90, 8 => 90][$turned] ?? 0;

        return $angle === 0 ? $picture : (imagerotate($picture, $angle, 0) ?: $picture);
    }

    private function onPaper(\GdImage $picture): \GdImage
    {
        $share = min(1, self::LONGEST_SIDE / max(imagesx($picture), imagesy($picture)));
        [$width, $height] = [max(1, (int) round(imagesx($picture) * $share)), max(1, (int) round(imagesy($picture) * $share))];
        $paper = imagecreatetruecolor($width, $height);
        imagefill($paper, 0, 0, (int) imagecolorallocate($paper, 255, 255, 255));
        imagecopyresampled($paper, $picture, 0, 0, 0, 0, $width, $height, imagesx($picture), imagesy($picture));

        return $paper;
    }

    private function write(\GdImage $picture, string $path): int
    {
        if (! is_dir(dirname($path))) {
            mkdir(dirname($path), 0700, true);
        }
        imagejpeg($picture, "{$path}.part", self::QUALITY);
        rename("{$path}.part", $path);

        return (int) filesize($path);
    }
}
