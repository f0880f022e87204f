<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Photo;
use App\Machines\Machine;
use App\People\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pictures of what was seen. */
final readonly class PhotoController
{
    public function __construct(private KeepPhoto $keepPhoto)
    {
    }

    public function store(PhotoRequest $request, Machine $machine): JsonResponse
    {
        $given = $request->validated();
        $person = $request->user();
        assert($person instanceof Person && $given['photo'] instanceof UploadedFile);
        $photo = ($this->keepPhoto)(
            Machine::lockForWriting($machine->id),
            $given['id'],
            $given['act'],
            $given['photo'],
            $person,
        );

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
