<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\TypedQuantity;
use App\Contract\TypedVolume;
use Core\Fluid\FluidSchool;
use Core\Machine\Subject;
use Core\Measure\Dimension;
use Core\Measure\Unit;
use Core\Schedule\Severity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The yard's own settings as a keeper gives them. */
final class YardRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:80'],
            'time_zone' => ['sometimes', 'required', 'timezone:all'],
            'distance_unit' => ['sometimes', 'required', 'in:km,mi'],
            'severity' => ['sometimes', 'array:'.implode(',', array_column(Severity::cases(), 'value'))],
            'severity.*' => ['array:'.implode(',', array_column(Subject::cases(), 'value'))],
            'severity.*.*' => ['numeric', 'gt:0', 'max:1'],
            'coldest_night' => [
                'sometimes',
                'nullable',
                new TypedQuantity('The coldest night', Dimension::Temperature, Unit::DegreeCelsius, most: 90),
            ],
            'hottest_day' => [
                'sometimes',
                'nullable',
                new TypedQuantity('The hottest day', Dimension::Temperature, Unit::DegreeCelsius, most: 90),
            ],
            'fluid_school' => ['sometimes', 'required', Rule::enum(FluidSchool::class)],
            'pans' => ['sometimes', 'array', 'list', 'max:20'],
            'pans.*' => ['required', 'string', 'max:40', new TypedVolume],
            'currency' => ['sometimes', 'nullable', 'string', 'max:4'],
            'grease_guns' => ['sometimes', 'array', 'list', 'max:20'],
            'grease_guns.*.name' => ['required', 'string', 'max:40'],
            'grease_guns.*.ten_strokes' => [
                'required',
                new TypedQuantity('What ten strokes weigh', Dimension::Mass, Unit::Gram, most: 1000),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'grease_guns.*.name.required' => 'Give the gun a name.',
            'grease_guns.*.ten_strokes.required' => 'Weigh ten strokes.',
        ];
    }
}
