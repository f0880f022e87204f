<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\TypedNumber;
use App\Logbook\Circumstances;
use App\Logbook\When;
use Core\Meter\MeterUnit;
use Core\Schedule\MachineClass;
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
            'name' => [...$needed, 'string', 'max:60', Among::unique('machines', 'name')->where('retired', false)->ignore($machine instanceof Machine ? $machine->id : null)],
            'class' => [...$needed, Among::enum(MachineClass::class)],
            'place' => [...$needed, 'string', 'max:60'],
            'maker' => ['sometimes', 'nullable', 'string', 'max:60'],
            'model' => ['sometimes', 'nullable', 'string', 'max:60'],
            'serial' => ['sometimes', 'nullable', 'string', 'max:60'],
            'note' => ['sometimes', 'nullable', 'string', 'max:2000'],
            'countdown_step' => ['sometimes', new TypedNumber('The display\'s step', aboveZero: true)],
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

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.unique' => 'There is a machine of that name already.', 'meters.*.value.required' => 'What does the meter show now?'];
    }
}
