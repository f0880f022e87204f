<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Photo;
use App\Machines\Machine;
use App\People\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pictures of what was seen. */
final readonly class PhotoController
{
    public function __construct(private KeepPhoto $keepPhoto)
    {
    }

    public function store(Request $request, Machine $machine): JsonResponse
    {
        $given = $request->validate(['id' => ['required', 'uuid'], 'act' => ['required', 'uuid'], 'photo' => ['required', 'file', 'max:'.KeepPhoto::MOST_KILOBYTES]],
            ['photo.required' => 'The picture is missing, or larger than is taken here.', 'photo.file' => 'The picture did not arrive whole.', 'photo.max' => 'A picture has at most '.(KeepPhoto::MOST_KILOBYTES / 1024).' MB.']);
        $person = $request->user();
        assert($person instanceof Person && $given['photo'] instanceof UploadedFile);
        $photo = ($this->keepPhoto)(Machine::lockForWriting($machine->id), $given['id'], $given['act'], $given['photo'], $person);

        return new JsonResponse($photo->only('uuid', 'act', 'width', 'height', 'bytes'), 201);
    }

    public function show(Photo $photo): BinaryFileResponse
    {
        abort_unless(is_file($photo->path()), 404);

        return (new BinaryFileResponse($photo->path(), 200, ['Content-Type' => 'image/jpeg', 'Content-Disposition' => 'inline; filename="photo.jpg"'], public: false))->setMaxAge(31_536_000)->setImmutable();
    }
}
