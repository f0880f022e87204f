<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Disk;
use App\Contract\Problem;
use App\Contract\Refusal;
use App\Logbook\Photo;
use App\Machines\Machine;
use App\People\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\File;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pictures of what was seen. */
final readonly class PhotoController
{
    /** Seconds after which a lock is nobody's any more. */
    private const LONGEST = 120;

    public function __construct(private KeepPhoto $keepPhoto, private DrawPhoto $drawPhoto) {}

    /** @throws Refusal if there is no room: before it is looked at */
    public function store(Request $request, Machine $machine): JsonResponse
    {
        if (Disk::takesNoPhotos()) {
            throw KeepPhoto::noRoom();
        }
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'act' => ['required', 'uuid'],
            'photo' => ['required', 'file', 'max:'.KeepPhoto::MOST_KILOBYTES],
        ], [
            'photo.required' => 'The picture is missing, or larger than is taken here.',
            'photo.file' => 'The picture did not arrive whole.',
            'photo.max' => 'A picture has at most '.(KeepPhoto::MOST_KILOBYTES / 1024).' MB.',
        ]);
        $person = Person::asking($request);
        assert($given['photo'] instanceof UploadedFile);
        $oneAtATime = Cache::lock("photo {$person->id}", self::LONGEST);
        if (! $oneAtATime->get()) {
            throw new Refusal(new Problem(
                429,
                'too-often',
                'One at a time',
                'Another picture of yours is being taken in. Send this one after it.',
                headers: ['Retry-After' => '2'],
            ));
        }
        try {
            return $this->keep($machine, strtolower($given['id']), strtolower($given['act']), $given['photo'], $person);
        } finally {
            $oneAtATime->release();
        }
    }

    /** It is drawn before anything is locked: nobody waits for what somebody else's picture takes. */
    private function keep(Machine $machine, string $id, string $act, UploadedFile $file, Person $by): JsonResponse
    {
        $photo = $this->keepPhoto->kept($id, $act, $by);
        if ($photo === null) {
            $this->keepPhoto->authorize($machine, $act, $by);
            $drawn = $file->getPathname().'.jpg';
            try {
                ($this->drawPhoto)($file->getPathname(), $drawn);
                $photo = ($this->keepPhoto)(Machine::lockForWriting($machine->id), $id, $act, $drawn, $by);
            } finally {
                File::delete($drawn);
            }
        }

        return new JsonResponse($photo->only('uuid', 'act', 'width', 'height', 'bytes'), 201);
    }

    public function show(Photo $photo): BinaryFileResponse
    {
        abort_unless(is_file($photo->path()), 404);

        $headers = ['Content-Type' => 'image/jpeg', 'Content-Disposition' => 'inline; filename="photo.jpg"'];

        return (new BinaryFileResponse($photo->path(), 200, $headers, public: false))
            ->setMaxAge(31_536_000)
            ->setImmutable();
    }
}
