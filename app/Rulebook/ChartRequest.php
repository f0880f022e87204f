<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Machines\SpotRequest;
use App\Notes\Circumstances;
use Core\Machine\TaskKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule as Among;

/** Rows of a chart as a keeper gives them. */
final class ChartRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            ...Circumstances::rules(),
            ...RuleRequest::ruleFields('rows.*.', new: false),
            'rows' => ['present', 'array', 'list', 'max:200'],
            'rows.*.rule_id' => ['sometimes', 'nullable', 'integer'],
            'rows.*.task' => ['required', 'string', 'max:80'],
            'rows.*.kind' => ['required_without:rows.*.rule_id', Among::enum(TaskKind::class)],
            'remove' => ['sometimes', 'array', 'max:200'],
            'remove.*' => ['integer'],
            'loosened_because' => ['sometimes', 'nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return SpotRequest::words('rows.*.new_spots.*.');
    }
}
