<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Refusal;
use App\Logbook\Acts\Act;
use App\Logbook\Photo;
use App\Machines\Machine;
use App\People\Person;
use Illuminate\Http\UploadedFile;
use Intervention\Image\Exceptions\DecoderException;
use Intervention\Image\ImageManager;
use Intervention\Image\Interfaces\ImageInterface;

/**
 * Takes a picture in. Its kind and size are read from the file itself, never from its name; it is drawn anew from its
 * pixels, so that nothing else of the file
 * is kept: no place, no camera, nothing that was hidden in it.
 */
final class KeepPhoto
{
    public const MOST_KILOBYTES = 6144;

    /** More than a phone gives, less than unpacks into all the memory there is. */
    private const MOST_PIXELS = 16_000_000;

    private const LONGEST_SIDE = 1600;

    private const QUALITY = 82;

    /**
     * The machine's row must be locked by the caller.
     *
     * @throws Refusal if nothing was seen there that it could show, or it is no picture of a kind taken here, or too
     *     large
     */
    public function __invoke(Machine $machine, string $uuid, string $act, UploadedFile $file, Person $by): Photo
    {
        [$uuid, $act] = [strtolower($uuid), strtolower($act)];
        $kept = Photo::query()->where('uuid', $uuid)->first();
        if ($kept !== null) {
            return $kept->act === $act
                && $kept->person_id === $by->id
                ? $kept
                : throw Refusal::field('id', 'This id belongs to another picture.');
        }
        if (Act::query()->where(['uuid' => $act, 'machine_id' => $machine->id])->doesntExist()) {
            throw Refusal::field('act', "Nothing of that kind was seen on {$machine->name}.");
        }
        $picture = $this->read($file->getPathname());
        $photo = new Photo(
            [
                'uuid' => $uuid,
                'machine_id' => $machine->id,
                'act' => $act,
                'person_id' => $by->id,
                'width' => $picture->width(),
                'height' => $picture->height(),
                'created_at' => now(),
            ],
        );
        $photo->bytes = $this->write($picture, $photo->path());
        $photo->save();

        return $photo;
    }

    private function read(string $path): ImageInterface
    {
        [$width, $height, $kind] = @getimagesize($path) ?: [0, 0, 0];
        if (! in_array($kind, [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw Refusal::field('photo', 'Only pictures are taken: JPEG, PNG or WebP.');
        }
        if ($width < 1 || $height < 1 || $width * $height > self::MOST_PIXELS) {
            throw Refusal::field('photo', 'A picture has at most '.self::MOST_PIXELS / 1_000_000 .' million pixels.');
        }
        try {
            // Turned upright as the camera says it was held, drawn on white, small enough.
            return ImageManager::gd(
                autoOrientation: true,
                blendingColor: 'ffffff',
                strip: true,
            )->read($path)->blendTransparency()->scaleDown(self::LONGEST_SIDE, self::LONGEST_SIDE);
        } catch (DecoderException) {
            throw Refusal::field('photo', 'This picture is broken.');
        }
    }

    private function write(ImageInterface $picture, string $path): int
    {
        if (! is_dir(dirname($path))) {
            mkdir(dirname($path), 0700, true);
        }
        $picture->toJpeg(self::QUALITY)->save("{$path}.part");
        rename("{$path}.part", $path);

        return (int) filesize($path);
    }
}
