<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Input\TypedQuantity;
use App\Contract\Input\TypedVolume;
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
            'wrenches' => ['sometimes', 'array', 'list', 'max:20'],
            'wrenches.*' => ['array:name,least,most,adapter'],
            'wrenches.*.name' => ['required', 'string', 'max:40'],
            'wrenches.*.least' => ['required', self::torque('The least of a wrench')],
            'wrenches.*.most' => ['required', self::torque('The most of a wrench')],
            'wrenches.*.adapter' => ['sometimes', 'nullable', 'array:wrench_length,extension,angle'],
            'wrenches.*.adapter.wrench_length' => ['required_with:wrenches.*.adapter', self::length('The length of a wrench')],
            'wrenches.*.adapter.extension' => ['required_with:wrenches.*.adapter', self::length('The extension')],
            'wrenches.*.adapter.angle' => ['required_with:wrenches.*.adapter', 'integer', 'between:0,180'],
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
            'wrenches.*.name.required' => 'Give the wrench a name.',
            'wrenches.*.least.required' => 'Say the least it can be set to.',
            'wrenches.*.most.required' => 'Say the most it can be set to.',
        ];
    }

    private static function torque(string $what): TypedQuantity
    {
        return new TypedQuantity($what, Dimension::Torque, Unit::NewtonMetre, most: 2000);
    }

    private static function length(string $what): TypedQuantity
    {
        return new TypedQuantity($what, Dimension::Length, Unit::Millimetre, most: 3000);
    }
}
