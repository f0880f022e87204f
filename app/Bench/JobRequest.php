<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Foundation\Http\FormRequest;

/** What a job is made of. */
final class JobRequest extends FormRequest
{
    private const MOST = 60;

    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['sometimes', 'uuid'],
            'rules' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'rules.*' => ['integer', 'distinct'],
            'findings' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'findings.*' => ['string', 'max:40', 'distinct'],
            'spots' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'spots.*' => ['integer', 'distinct'],
            'raised' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array{rules: list<int>, findings: list<string>, spots: list<int>} */
    public function wanted(): array
    {
        $given = $this->validated();

        return [
            'rules' => $given['rules'] ?? [],
            'findings' => $given['findings'] ?? [],
            'spots' => $given['spots'] ?? [],
        ];
    }
}
