<?php

declare(strict_types=1);

namespace App\People\Session;

use Illuminate\Foundation\Http\FormRequest;

/** Somebody signs in. */
final class SignInRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'sign_in_name' => ['required', 'string', 'max:40'],
            'password' => ['required', 'string', 'max:200'],
        ];
    }
}
