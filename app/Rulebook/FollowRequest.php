<?php

declare(strict_types=1);

namespace App\Rulebook;

use Illuminate\Foundation\Http\FormRequest;

/** A shared rulebook that a machine follows from now on. */
final class FollowRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'rulebook' => ['required', 'integer', 'exists:shared_rulebooks,id'],
            'add_spots' => ['sometimes', 'boolean'],
        ];
    }
}
