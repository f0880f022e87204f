<?php

declare(strict_types=1);

namespace App\Notes;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a device sends at once. */
final class NotesRequest extends FormRequest
{
    /** Notes in one sending. */
    private const MOST = 100;

    private const INSTANT = '/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d+)?(Z|[+-]\d{2}:\d{2})$/';

    /** @return array<string, array<mixed>> */
    public function rules(NoteKinds $kinds): array
    {
        return [
            'sent_at' => ['sometimes', 'date'],
            'attended' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'attended.*' => ['required', 'uuid'],
            'notes' => ['required', 'array', 'list', 'min:1', 'max:'.self::MOST],
            'notes.*' => ['required', 'array'],
            'notes.*.id' => ['required', 'uuid'],
            'notes.*.kind' => ['required', Rule::in($kinds->names())],
            'notes.*.at' => ['required', 'string', 'date', 'regex:'.self::INSTANT],
            'notes.*.machine_id' => ['sometimes', 'nullable', 'integer'],
        ];
    }
}
