<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Input\DayOfYear;
use App\Contract\Refusal;
use App\Machines\AddSpot;
use App\Machines\ChangedCheck;
use App\Machines\CheckLists;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Machines\SpotRequest;
use App\Machines\Yard;
use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Inspect\Check;
use Core\Inspect\LimitSource;
use Core\Inspect\Measurement;
use Core\Inspect\Occasion;
use Core\Inspect\RoundKind;
use Core\Machine\Verdict;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** The keeper changes what is looked at: for one machine, or for all of its class. */
final readonly class CheckController
{
    public function __construct(private AddSpot $addSpot, private Yard $yard, private CheckLists $checkLists) {}

    /** Adds a check, words it otherwise, drops it or moves it. */
    public function update(Request $request, Machine $machine, string $check): JsonResponse
    {
        $given = $request->validate([
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
        ], [
            'values.title.required' => 'Say what is looked at.',
            'values.rounds.min' => 'Choose at least one round.',
            'values.degrees.*.words.required' => 'Say what it looks like.',
            ...SpotRequest::words('new_spot.'),
        ]);
        if (! preg_match('/^[a-z][a-z0-9_-]{1,39}$/', $check)) {
            throw Refusal::field('key', 'A check is named by small letters, digits and dashes.');
        }
        DB::transaction(function () use ($given, $machine, $check): void {
            $machine = Machine::lockForWriting($machine->id);
            if (isset($given['new_spot'])) {
                $given['values']['spot'] = ($this->addSpot)($machine, $given['new_spot'])->key;
            }
            $changed = ChangedCheck::query()->firstOrNew($this->owner($machine, $given['for'], $check));
            $values = array_map(
                fn (mixed $value): mixed => $value ?? '',
                array_diff_key($given['values'] ?? [], array_flip(['measurement', 'window', 'after', 'limits'])),
            );
            $kept = array_intersect_key($given['values'] ?? [], array_flip(['measurement', 'window', 'after']));
            $limits = isset($given['values']['limits'])
                ? [
                    'limits' => array_filter(
                        $given['values']['limits'],
                        fn (?string $limit): bool => $limit !== null && $limit !== '',
                    ),
                ]
                : [];
            $changed->fill([
                'values' => [...$changed->values ?? [], ...$values, ...$kept, ...$limits],
                'dropped' => $given['dropped'] ?? $changed->dropped ?? false,
                'position' => array_key_exists('position', $given) ? $given['position'] : $changed->position,
            ])->save();
            $this->checkLists->readAnew();
            $asked = $this->checkLists->find($machine, $check);
            $this->refuseUnusable($asked, $changed);
            if ($asked !== null) {
                $this->giveSpot($machine, $asked->manner->spot, $changed->class !== null);
            }
        });

        return $this->checks($machine, $given['for']);
    }

    /** Back to what stands without the change. */
    public function destroy(Request $request, Machine $machine, string $check): JsonResponse
    {
        $for = $request->validate(['for' => ['required', 'in:machine,class']])['for'];
        ChangedCheck::query()->where($this->owner($machine, $for, $check))->delete();
        $this->checkLists->readAnew();

        return $this->checks($machine, $for);
    }

    private function checks(Machine $machine, string $for): JsonResponse
    {
        // Which checks read a level may have changed with it.
        event(
            new FactsChanged(
                $for === LimitSource::Machine->value
                    ? [$machine->id]
                    : array_values(Machine::query()->where('class', $machine->class)->pluck('id')->map(intval(...))->all()),
            ),
        );

        return new JsonResponse(['checks' => array_map(CheckShape::of(...), $this->checkLists->of($machine)->checks)]);
    }

    /** @return array<string, int|string|null> */
    private function owner(Machine $machine, string $for, string $key): array
    {
        return $for === LimitSource::Machine->value
            ? ['machine_id' => $machine->id, 'class' => null, 'key' => $key]
            : ['machine_id' => null, 'class' => $machine->class->value, 'key' => $key];
    }

    /** What a check of a class looks at, every machine of the class has. */
    private function giveSpot(Machine $machine, string $key, bool $toClass): void
    {
        $spot = Spot::query()->where(['machine_id' => $machine->id, 'key' => $key])->first()
            ?? throw Refusal::field('values.spot', 'Say which spot of the machine it looks at.');
        $lacking = ! $toClass
            ? []
            : Machine::query()->where('class', $machine->class)->whereNotExists(
                fn ($spots) => $spots->from('spots')
                    ->whereColumn('spots.machine_id', 'machines.id')
                    ->where('spots.key', $key),
            )->get();
        foreach ($lacking as $other) {
            Spot::query()->create(
                [
                    ...$spot->only(
                        'key',
                        'kind',
                        'subject',
                        'name',
                        'place',
                        'reach',
                        'x',
                        'y',
                        'position',
                        'compartment',
                        'role',
                    ),
                    'machine_id' => $other->id,
                ],
            );
        }
    }

    /** A limit that nothing can be measured against, or a check without a title, is not kept. */
    private function refuseUnusable(?Check $check, ChangedCheck $changed): void
    {
        if ($check === null) {
            $changed->dropped || throw Refusal::field('values.title', 'Say what is looked at.');

            return;
        }
        try {
            $check->measuring->by?->instrument()
                ->judge(
                    new Fields([]),
                    new Fields($check->measuring->limits, 'values.limits.'),
                    new Occasion($this->yard->today(), $this->yard->coldestNight()),
                );
        } catch (BadInput $refused) {
            $faults = array_filter(
                $refused->errors,
                fn (string $field): bool => str_starts_with($field, 'values.limits.')
                    && $field !== 'values.limits.coldest',
                ARRAY_FILTER_USE_KEY,
            );
            if ($faults !== []) {
                throw new BadInput($faults);
            }
        }
    }
}
