<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Device;
use App\People\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Takes in what devices kept. */
final readonly class NoteController
{
    /** Notes in one sending. */
    private const MOST = 100;

    public function __construct(private WriteNotes $writeNotes)
    {
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate([
            'sent_at' => ['sometimes', 'date'],
            'notes' => ['required', 'array', 'list', 'min:1', 'max:'.self::MOST],
            'notes.*' => ['required', 'array'],
            'notes.*.id' => ['required', 'uuid'],
            'notes.*.kind' => ['required', 'in:reading,look,mended,grease,end'],
            'notes.*.at' => ['required', 'string', 'date', 'regex:/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d+)?(Z|[+-]\d{2}:\d{2})$/'],
            'notes.*.machine_id' => ['required', 'integer'],
        ]);
        $person = $request->user();
        assert($person instanceof Person);

        return new JsonResponse(['results' => ($this->writeNotes)(
            $person,
            array_map(self::lowerIds(...), array_values($request->input('notes'))),
            Device::of($request),
            new NoteClock($given['sent_at'] ?? null),
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
        foreach (['id', 'replaces'] as $name) {
            if (is_string($note[$name] ?? null)) {
                $note[$name] = strtolower($note[$name]);
            }
        }

        return $note;
    }
}
