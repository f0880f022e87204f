<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Input\TypedNumber;
use App\Logbook\Told\DoneAt;
use App\Logbook\Told\Greased;
use App\Machines\Machine;
use App\Machines\Meter;
use Core\Meter\Limit;
use Core\Schedule\Anchor;
use Illuminate\Validation\Rule;

/** What is told of a service. */
final class ServiceFields
{
    /** @return array<string, array<mixed>> */
    public static function rules(?Machine $machine): array
    {
        $meters = collect($machine?->currentMeters() ?? [])->map(fn (Meter $meter): Limit => $meter->unit->limit());
        // A meter that nobody read is said to be so: then what it showed at that moment stands.
        $may = fn (Limit $along): string => $meters->contains($along) ? 'present' : 'prohibited';

        return [
            'tasks' => ['required_without_all:other,puts_right', 'array', 'max:200'],
            'tasks.*' => ['integer', 'distinct'],
            'other' => ['sometimes', 'array', 'list', 'max:100'],
            'other.*' => ['array:'.self::names(DoneAt::rules('other.*.'), 'other.*.')],
            ...DoneAt::rules('other.*.'),
            'greased' => ['sometimes', 'array', 'list', 'max:100'],
            'greased.*' => ['array:spot,'.self::names(Greased::rules('greased.*.'), 'greased.*.')],
            'greased.*.spot' => ['required', 'string', 'max:40'],
            ...Greased::rules('greased.*.'),
            'puts_right' => ['sometimes', 'array', 'max:100'],
            'puts_right.*' => ['string', 'distinct', 'max:40'],
            'anchors' => ['sometimes', 'array', 'max:200'],
            'anchors.*.rule_id' => ['required', 'integer'],
            'anchors.*.anchor' => ['required', Rule::enum(Anchor::class)],
            'hours' => [$may(Limit::Hours), 'nullable', new TypedNumber('The hour meter')],
            'distance' => [$may(Limit::Distance), 'nullable', new TypedNumber('The odometer')],
        ];
    }

    /**
     * @param  array<string, array<mixed>>  $rules
     * @return string the names of the fields that they are of
     */
    private static function names(array $rules, string $path): string
    {
        $names = array_map(fn (string $name): string => explode('.', substr($name, strlen($path)))[0], array_keys($rules));

        return implode(',', array_unique($names));
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'tasks.required_without_all' => 'Choose what was done.',
            ...Greased::messages('other.*.'),
            ...Greased::messages('greased.*.'),
            'other.*.spot.required' => 'Say where.',
            'other.*.act.required' => 'Say what was done there.',
        ];
    }
}
