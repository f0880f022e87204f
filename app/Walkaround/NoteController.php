<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\People\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Takes in what devices kept. */
final readonly class NoteController
{
    /** Notes in one sending. */
    private const MOST = 200;

    /** A clock is put right where it is off by more seconds than a request takes. */
    private const OFF = 60;

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
        $behind = isset($given['sent_at']) ? (int) round(now()->getTimestamp() - (new \DateTimeImmutable($given['sent_at']))->getTimestamp()) : 0;

        return new JsonResponse(['results' => ($this->writeNotes)(
            $person,
            array_values($request->input('notes')),
            mb_substr((string) $request->header('Jardinier-Device'), 0, 60) ?: null,
            abs($behind) > self::OFF ? $behind : 0,
        )]);
    }
}
