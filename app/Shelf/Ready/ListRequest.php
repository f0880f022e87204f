<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use Core\Supply\Need\Preference;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A list that somebody begins, or changes. */
final class ListRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        $begins = $this->route('list') === null;

        return [
            'name' => [...$begins ? [] : ['sometimes'], 'required', 'string', 'max:80'],
            'for_day' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
            'preference' => ['sometimes', Rule::enum(Preference::class)],
            ...$begins ? NeedsRequest::works() : ['is_closed' => ['sometimes', 'boolean']],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the list a name.',
            'for_day.date_format' => 'A day is written like 2026-05-14.',
        ];
    }
}
