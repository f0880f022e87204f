<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Input\TypedNumber;
use App\Logbook\Fluids\GivenFluid;
use App\Logbook\Readings\MeterKind;
use App\Machines\Machine;
use App\Machines\Meter;
use Core\Machine\ActKind;
use Core\Schedule\Anchor;
use Illuminate\Validation\Rule;

/** What is told of a service. */
final class ServiceFields
{
    /** @return array<string, array<mixed>> */
    public static function rules(?Machine $machine): array
    {
        $meters = collect($machine?->currentMeters() ?? [])->map(fn (Meter $meter): bool => $meter->unit->isDistance());
        $needed = fn (MeterKind $kind): string => $meters->contains($kind->isDistance()) ? 'required' : 'prohibited';

        return [
            'tasks' => ['required_without_all:other,puts_right', 'array', 'max:200'],
            'tasks.*' => ['integer', 'distinct'],
            'other' => ['sometimes', 'array', 'list', 'max:100'],
            'other.*' => [
                'array:spot,act,words,amount,fluid,container,seen,first_service,strokes,number,found,seal,reused,torque,by_feel',
            ],
            'other.*.spot' => ['required', 'string', 'max:40'],
            'other.*.act' => ['required', Rule::enum(ActKind::class)],
            'other.*.words' => ['sometimes', 'nullable', 'string', 'max:200'],
            ...GivenFluid::rules('other.*.'),
            'other.*.strokes' => ['sometimes', 'nullable', 'integer', 'between:1,500'],
            'other.*.number' => ['sometimes', 'nullable', 'string', 'max:80'],
            'other.*.found' => ['sometimes', 'nullable', 'string', 'max:200'],
            'other.*.seal' => ['sometimes', 'nullable', 'string', 'max:80'],
            'other.*.reused' => ['sometimes', 'boolean'],
            'other.*.torque' => ['sometimes', 'nullable', 'string', 'max:40'],
            'other.*.by_feel' => ['sometimes', 'boolean'],
            'greased' => ['sometimes', 'array', 'list', 'max:100'],
            'greased.*' => ['array:spot,strokes,did_not_go_in,sign_seen'],
            'greased.*.spot' => ['required', 'string', 'max:40'],
            'greased.*.strokes' => ['sometimes', 'nullable', 'integer', 'between:1,500'],
            'greased.*.did_not_go_in' => ['sometimes', 'boolean'],
            'greased.*.sign_seen' => ['sometimes', 'boolean'],
            'puts_right' => ['sometimes', 'array', 'max:100'],
            'puts_right.*' => ['string', 'distinct', 'max:40'],
            'anchors' => ['sometimes', 'array', 'max:200'],
            'anchors.*.rule_id' => ['required', 'integer'],
            'anchors.*.anchor' => ['required', Rule::enum(Anchor::class)],
            'hours' => [$needed(MeterKind::Hours), 'nullable', new TypedNumber('The hour meter')],
            'distance' => [$needed(MeterKind::Distance), 'nullable', new TypedNumber('The odometer')],
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'tasks.required_without_all' => 'Choose what was done.',
            'other.*.spot.required' => 'Say where.',
            'other.*.act.required' => 'Say what was done there.',
        ];
    }
}
