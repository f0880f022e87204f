<?php

declare(strict_types=1);

namespace App\Rulebook;

use Illuminate\Foundation\Http\FormRequest;

/** Another machine's rulebook that this one takes over once. */
final class CopyRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'from' => ['required', 'integer', 'exists:machines,id', 'different:machine'],
            'add_spots' => ['sometimes', 'boolean'],
        ];
    }
}
