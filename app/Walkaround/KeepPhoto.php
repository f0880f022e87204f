<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Problem;
use App\Contract\Refusal;
use App\Logbook\Acts\Act;
use App\Logbook\Photo;
use App\Machines\Machine;
use App\People\Person;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Gate;

/** Keeps a picture of what was said, drawn anew already: by whoever said it, or who may service. */
final class KeepPhoto
{
    public const MOST_KILOBYTES = 6144;

    private const MOST_AN_ACT = 20;

    /**
     * What is kept under an id already; the same sent again is kept once.
     *
     * @throws Refusal if it belongs to another picture
     */
    public function kept(string $uuid, string $act, Person $by): ?Photo
    {
        $kept = Photo::query()->where('uuid', $uuid)->first();

        return $kept === null || ($kept->act === $act && $kept->person_id === $by->id)
            ? $kept
            : throw Refusal::field('id', 'This id belongs to another picture.');
    }

    /** @throws Refusal if there is no such act, it is another's, or it has pictures enough */
    public function authorize(Machine $machine, string $act, Person $by): void
    {
        $shown = Act::query()->where(['uuid' => $act, 'machine_id' => $machine->id])->first();
        if ($shown === null) {
            throw Refusal::field('act', "Nothing of that kind was seen on {$machine->name}.");
        }
        if ($shown->person_id !== $by->id) {
            Gate::forUser($by)->authorize('service', $machine);
        }
        if (Photo::query()->where('act', $act)->count() >= self::MOST_AN_ACT) {
            throw Refusal::conflict('There are '.self::MOST_AN_ACT.' pictures of that already.');
        }
    }

    /**
     * The machine's row must be locked by the caller, so that the same picture sent twice is kept once.
     *
     * @param  string  $drawn  the file that {@see DrawPhoto} wrote
     */
    public function __invoke(Machine $machine, string $uuid, string $act, string $drawn, Person $by): Photo
    {
        $kept = $this->kept($uuid, $act, $by);
        if ($kept !== null) {
            return $kept;
        }
        $this->authorize($machine, $act, $by);
        [$width, $height] = getimagesize($drawn) ?: [0, 0];
        $photo = new Photo([
            'uuid' => $uuid,
            'machine_id' => $machine->id,
            'act' => $act,
            'person_id' => $by->id,
            'width' => $width,
            'height' => $height,
            'bytes' => (int) filesize($drawn),
            'created_at' => now(),
        ]);
        if (! is_dir(dirname($photo->path()))) {
            mkdir(dirname($photo->path()), 0700, true);
        }
        self::place($drawn, $photo->path());
        $photo->save();

        return $photo;
    }

    /** What is there under its name is whole. */
    private static function place(string $drawn, string $path): void
    {
        $part = "{$path}.part";
        if (! @copy($drawn, $part) || filesize($part) !== filesize($drawn)) {
            File::delete($part);
            throw self::noRoom();
        }
        rename($part, $path);
    }

    public static function noRoom(): Refusal
    {
        return new Refusal(new Problem(
            507,
            'no-room',
            'No room for photographs',
            'The disk of the yard\'s computer is nearly full: photographs wait so that readings still go in. Tell whoever looks after it.',
        ));
    }
}
