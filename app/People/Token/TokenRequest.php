<?php

declare(strict_types=1);

namespace App\People\Token;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A token for another program. */
final class TokenRequest extends FormRequest
{
    private const LONGEST_DAYS = 366;

    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'abilities' => ['required', 'array', 'list', 'min:1', 'max:3'],
            'abilities.*' => ['distinct', Rule::enum(TokenAbility::class)],
            'days' => ['required', 'integer', 'between:1,'.self::LONGEST_DAYS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['abilities.required' => 'Say what it may do.', 'abilities.min' => 'Say what it may do.'];
    }
}
