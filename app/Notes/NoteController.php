<?php

declare(strict_types=1);

namespace App\Notes;

use App\Contract\Device;
use App\Contract\Problem;
use App\Contract\Refusal;
use App\People\Person;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The one door through which everything is logged. */
final readonly class NoteController
{
    /** Notes of one person within a minute: more than a week's rounds of a large yard, kept on a phone. */
    private const MOST_A_MINUTE = 6000;

    /** Notes in one sending. */
    private const MOST = 100;

    private const INSTANT = '/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d+)?(Z|[+-]\d{2}:\d{2})$/';

    public function __construct(private WriteNotes $writeNotes, private NoteKinds $kinds, private RateLimiter $limiter) {}

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate([
            'sent_at' => ['sometimes', 'date'],
            'by' => ['sometimes', 'integer'],
            'attended' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'attended.*' => ['required', 'uuid'],
            'notes' => ['required', 'array', 'list', 'min:1', 'max:'.self::MOST],
            'notes.*' => ['required', 'array'],
            'notes.*.id' => ['required', 'uuid'],
            'notes.*.kind' => ['required', Rule::in($this->kinds->names())],
            'notes.*.at' => ['required', 'string', 'date', 'regex:'.self::INSTANT],
            'notes.*.machine_id' => ['sometimes', 'nullable', 'integer'],
        ]);
        $person = Person::asking($request);
        if (isset($given['by']) && (int) $given['by'] !== $person->id) {
            throw new AuthenticationException;
        }
        $this->count($person, count($request->input('notes')));

        $sending = new Sending(
            $person,
            Device::of($request),
            new NoteClock($given['sent_at'] ?? null),
            isset($given['attended']) ? array_values(array_map(strtolower(...), $given['attended'])) : null,
        );

        return new JsonResponse(['results' => ($this->writeNotes)(
            $sending,
            array_map(self::lowerIds(...), array_values($request->input('notes'))),
        )]);
    }

    /** @throws Refusal if it is more than anybody writes */
    private function count(Person $person, int $notes): void
    {
        $who = "notes:{$person->id}";
        if ($this->limiter->tooManyAttempts($who, self::MOST_A_MINUTE)) {
            $wait = max(1, $this->limiter->availableIn($who));
            throw new Refusal(new Problem(
                429,
                'too-often',
                'Too many at once',
                "More was sent within a minute than anybody writes. The rest is taken in {$wait} seconds.",
                headers: ['Retry-After' => (string) $wait],
            ));
        }
        $this->limiter->increment($who, amount: $notes);
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
