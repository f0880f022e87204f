<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Input\DayOfYear;
use App\Machines\SpotRequest;
use Core\Inspect\Measurement;
use Core\Inspect\RoundKind;
use Core\Machine\Verdict;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a keeper changes about one check. */
final class CheckRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'for' => ['required', 'in:machine,class'],
            'dropped' => ['sometimes', 'boolean'],
            'position' => ['sometimes', 'nullable', 'numeric', 'between:-100000,100000'],
            'values' => [
                'sometimes',
                'array:spot,title,place,how,fine,caution,rounds,degrees,measurement,limits,window,after',
            ],
            'values.spot' => ['sometimes', 'required', 'string', 'max:40'],
            'values.title' => ['sometimes', 'required', 'string', 'max:80'],
            'values.place' => ['sometimes', 'nullable', 'string', 'max:160'],
            'values.how' => ['sometimes', 'nullable', 'string', 'max:400'],
            'values.fine' => ['sometimes', 'nullable', 'string', 'max:200'],
            'values.caution' => ['sometimes', 'nullable', 'string', 'max:200'],
            'values.rounds' => ['sometimes', 'array', 'list', 'min:1', 'max:10'],
            'values.rounds.*' => ['distinct', Rule::in(array_column(RoundKind::ofChecks(), 'value'))],
            'values.degrees' => ['sometimes', 'array', 'min:1', 'max:6'],
            'values.degrees.*.words' => ['required', 'string', 'max:120'],
            'values.degrees.*.verdict' => ['required', Rule::enum(Verdict::class)->except(Verdict::Fit)],
            'values.measurement' => ['sometimes', 'nullable', Rule::enum(Measurement::class)],
            'values.limits' => ['sometimes', 'array', 'max:20'],
            'values.limits.*' => ['nullable', 'string', 'max:40'],
            'values.window' => ['sometimes', 'nullable', 'array:from,to'],
            'values.window.from' => ['required_with:values.window', new DayOfYear],
            'values.window.to' => ['required_with:values.window', new DayOfYear],
            'values.after' => ['sometimes', 'nullable', 'string', 'max:40'],
            'new_spot' => ['sometimes', 'nullable', 'array'],
            ...array_map(
                fn (array $rules): array => ['exclude_without:new_spot', ...$rules],
                SpotRequest::fields('new_spot.', new: true),
            ),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...[
                'values.title.required' => 'Say what is looked at.',
                'values.rounds.min' => 'Choose at least one round.',
                'values.degrees.*.words.required' => 'Say what it looks like.',
            ],
            ...SpotRequest::words('new_spot.'),
        ];
    }
}
