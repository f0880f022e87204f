<?php

declare(strict_types=1);

namespace App\Notes;

use App\Contract\Device;
use App\People\Person;
use Illuminate\Http\JsonResponse;

/** The one door through which everything is logged. */
final readonly class NoteController
{
    public function __construct(private WriteNotes $writeNotes)
    {
    }

    public function store(NotesRequest $request): JsonResponse
    {
        $person = $request->user();
        assert($person instanceof Person);

        return new JsonResponse(['results' => ($this->writeNotes)(
            $person,
            array_map(self::lowerIds(...), array_values($request->input('notes'))),
            Device::of($request),
            new NoteClock($request->validated('sent_at')),
        )]);
    }

    /**
     * Ids are the same in capitals.
     *
     * @param  array<string, mixed>  $note
     * @return array<string, mixed>
     */
    private static function lowerIds(array $note): array
    {
        foreach (['id', 'replaces', 'job'] as $name) {
            if (is_string($note[$name] ?? null)) {
                $note[$name] = strtolower($note[$name]);
            }
        }

        return $note;
    }
}
