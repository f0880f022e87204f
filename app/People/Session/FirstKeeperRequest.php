<?php

declare(strict_types=1);

namespace App\People\Session;

use App\People\NewPassword;
use Illuminate\Foundation\Http\FormRequest;

/** An empty yard with its first keeper. */
final class FirstKeeperRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'code' => ['sometimes', 'nullable', 'string', 'max:40'],
            'yard' => ['required', 'string', 'max:80'],
            'time_zone' => ['required', 'timezone:all'],
            'distance_unit' => ['required', 'in:km,mi'],
            'name' => ['required', 'string', 'max:80'],
            'sign_in_name' => ['required', 'string', 'max:40', 'regex:/^[\p{L}\p{N}._@-]+$/u'],
            'password' => NewPassword::rules($this->input('sign_in_name')),
        ];
    }
}
