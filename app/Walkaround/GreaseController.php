<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Refusal;
use App\Contract\TypedNumber;
use App\Yard\Machine;
use App\Yard\Reckoning;
use App\Yard\Yard;
use Core\Grease\EndSign;
use Core\Grease\StarterPoints;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** A machine's grease points as the keeper keeps them. */
final readonly class GreaseController
{
    public function __construct(private Yard $yard)
    {
    }

    public function show(Machine $machine): JsonResponse
    {
        return new JsonResponse(GreaseShape::of($machine, Reckoning::of($machine->load('meters', 'rules'), $this->yard)));
    }

    public function store(Request $request, Machine $machine): JsonResponse
    {
        $columns = $this->columns($request, 'required');
        $machine = Machine::lockForWriting($machine->id);
        $last = (float) GreasePoint::query()->where('machine_id', $machine->id)->max('position');
        $point = GreasePoint::query()->create([...['reach' => '', 'grease' => 'NLGI 2, lithium complex', 'position' => $last + 1], ...$columns, 'machine_id' => $machine->id]);

        return $point->respond($point->refresh()->toRecord(), 201);
    }

    /** The points that such a machine usually has, for one that has none on record. */
    public function usual(Machine $machine): JsonResponse
    {
        $machine = Machine::lockForWriting($machine->id);
        if (GreasePoint::query()->where(['machine_id' => $machine->id, 'retired' => false])->exists()) {
            throw Refusal::conflict("{$machine->name} has grease points on record already.");
        }
        self::begin($machine);

        return new JsonResponse(GreaseShape::of($machine, Reckoning::of($machine->load('meters', 'rules'), $this->yard)), 201);
    }

    public static function begin(Machine $machine): void
    {
        foreach (StarterPoints::for($machine->class) as $position => $point) {
            GreasePoint::query()->create([...GreasePoint::columnsOf($point), 'machine_id' => $machine->id, 'position' => $position]);
        }
    }

    public function update(Request $request, GreasePoint $point): JsonResponse
    {
        $columns = $this->columns($request, 'sometimes');
        $changed = $point->changeAsSeen($request, fn (GreasePoint $current) => $current->fill($columns), fn (GreasePoint $current): array => $current->toRecord());

        return $changed->respond($changed->toRecord());
    }

    /** @return array<string, mixed> */
    private function columns(Request $request, string $presence): array
    {
        $given = $request->validate([
            'name' => [$presence, 'required', 'string', 'max:80'],
            'place' => [$presence, 'required', 'string', 'max:120'],
            'reach' => ['sometimes', 'nullable', 'string', 'max:200'],
            'grease' => ['sometimes', 'required', 'string', 'max:80'],
            'strokes' => [$presence, 'required', 'integer', 'between:1,500'],
            'most' => ['sometimes', 'nullable', 'integer', 'between:1,500'],
            'every' => [$presence, 'required', 'array:hours,months'],
            'every.hours' => ['nullable', new TypedNumber('The interval', aboveZero: true)],
            'every.months' => ['nullable', 'integer', 'between:1,240'],
            'end_sign' => [$presence, 'required', Rule::enum(EndSign::class)],
            'job' => ['sometimes', 'nullable', 'string', 'max:80'],
            'x' => [$presence, 'required', 'integer', 'between:0,100'],
            'y' => [$presence, 'required', 'integer', 'between:0,100'],
            'position' => ['sometimes', 'numeric', 'between:-100000,100000'],
            'retired' => ['sometimes', 'boolean'],
        ], ['name.required' => 'Give the point a name.', 'place.required' => 'Say where it is.', 'strokes.between' => 'From 1 to 500 strokes.']);
        if (isset($given['most'], $given['strokes']) && $given['most'] < $given['strokes']) {
            throw Refusal::field('most', 'It cannot take fewer strokes at most than it usually gets.');
        }
        if (isset($given['every'])) {
            $given['every'] = array_filter(['hours' => isset($given['every']['hours']) ? (string) TypedNumber::read($given['every']['hours']) : null, 'months' => $given['every']['months'] ?? null])
                ?: throw Refusal::field('every.hours', 'Say how often: hours or months.');
        }
        if (array_key_exists('reach', $given)) {
            $given['reach'] ??= '';
        }

        return $given;
    }
}
