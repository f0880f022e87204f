<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Input\DayOfYear;
use App\Contract\Input\TypedNumber;
use App\Machines\History;
use App\Machines\Machine;
use App\Notes\Circumstances;
use App\Notes\When;
use App\Rulebook\RuleRequest;
use Core\Machine\MachineClass;
use Core\Meter\MeterUnit;
use Core\Procedure\School;
use Core\Schedule\Severity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule as Among;

/** A machine as a keeper enters or changes it. */
final class MachineRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        $new = $this->isMethod('POST');
        $needed = $new ? ['required'] : ['sometimes', 'required'];
        $machine = $this->route('machine');
        $record = [
            'name' => [
                ...$needed,
                'string',
                'max:60',
                Among::unique('machines', 'name')->where('retired', false)->ignore(
                    $machine instanceof Machine ? $machine->id : null,
                ),
            ],
            'class' => [...$needed, Among::enum(MachineClass::class)],
            'place' => [...$needed, 'string', 'max:60'],
            'maker' => ['sometimes', 'nullable', 'string', 'max:60'],
            'model' => ['sometimes', 'nullable', 'string', 'max:60'],
            'serial' => ['sometimes', 'nullable', 'string', 'max:60'],
            'note' => ['sometimes', 'nullable', 'string', 'max:2000'],
            'countdown_step' => ['sometimes', new TypedNumber('The display\'s step', aboveZero: true, most: '1000')],
            'reset_note' => ['sometimes', 'nullable', 'string', 'max:1000'],
            ...self::schools(),
            'severities' => ['sometimes', 'array', 'max:14'],
            'severities.*.severity' => ['required', Among::enum(Severity::class)],
            'severities.*.from' => ['sometimes', 'nullable', 'required_with:severities.*.to', new DayOfYear],
            'severities.*.to' => ['sometimes', 'nullable', 'required_with:severities.*.from', new DayOfYear],
            ...self::promise('warranty'),
            ...self::promise('extended_warranty'),
        ];
        if (! $new) {
            return [...$record, 'retired' => ['sometimes', 'boolean']];
        }

        return [
            ...$record,
            ...array_diff_key(Circumstances::rules(), ['note' => true]),
            'history' => ['required', Among::enum(History::class)],
            'began_on' => ['sometimes', 'nullable', When::rule()],
            'meters' => ['sometimes', 'array', 'max:2'],
            'meters.*.unit' => ['required', Among::enum(MeterUnit::class)],
            'meters.*.value' => ['required', new TypedNumber('The first reading')],
            'rules' => ['sometimes', 'array', 'max:200'],
            ...RuleRequest::ruleFields('rules.*.', new: true),
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed> the columns of a machine
     */
    public static function columns(array $given): array
    {
        $columns = array_intersect_key(
            $given,
            array_flip(
                [
                    'name',
                    'class',
                    'place',
                    'maker',
                    'model',
                    'serial',
                    'note',
                    'countdown_step',
                    'reset_note',
                    'schools',
                    'severities',
                    'retired',
                ],
            ),
        );
        if (isset($columns['countdown_step'])) {
            $columns['countdown_step'] = (string) TypedNumber::read($columns['countdown_step']);
        }
        foreach (['warranty' => 'warranty', 'extended_warranty' => 'extended'] as $field => $column) {
            if (array_key_exists($field, $given)) {
                $columns["{$column}_until"] = $given[$field]['until'] ?? null;
                $columns["{$column}_hours"] = isset($given[$field]['hours'])
                    ? (string) TypedNumber::read($given[$field]['hours'])
                    : null;
            }
        }

        return $columns;
    }

    /** @return array<string, array<mixed>> the way of each school */
    private static function schools(): array
    {
        $rules = ['schools' => ['sometimes', 'array:'.implode(',', array_column(School::cases(), 'value'))]];
        foreach (School::cases() as $school) {
            $rules["schools.{$school->value}"] = ['sometimes', Among::in(array_keys($school->ways()))];
        }

        return $rules;
    }

    /** @return array<string, array<mixed>> a day, hours, or both */
    private static function promise(string $field): array
    {
        return [
            $field => ['sometimes', 'nullable', 'array'],
            "{$field}.until" => ['sometimes', 'nullable', 'date_format:Y-m-d'],
            "{$field}.hours" => [
                'sometimes',
                'nullable',
                new TypedNumber('The hours of the warranty', aboveZero: true),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.unique' => 'There is a machine of that name already.',
            'meters.*.value.required' => 'What does the meter show now?',
        ];
    }
}
