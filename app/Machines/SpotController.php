<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Refusal;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\SpotKind;
use Core\Machine\SpotWords;
use Core\Machine\TaskKind;
use Core\Machine\TaskName;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** A machine's spots as the keeper keeps them. */
final class SpotController
{
    public function index(Machine $machine): JsonResponse
    {
        $spots = $machine->spots()->with('parent:id,key', 'grease', 'sheet')->get();

        return new JsonResponse(['spots' => $spots->map(fn (Spot $spot): array => $spot->toRecord())->all()]);
    }

    public function store(SpotRequest $request, Machine $machine, AddSpot $addSpot): JsonResponse
    {
        $spot = $addSpot(Machine::lockForWriting($machine->id), $request->validated());
        event(new FactsChanged([$machine->id]));

        return $spot->respond($spot->refresh()->toRecord(), 201);
    }

    public function update(SpotRequest $request, Spot $spot): JsonResponse
    {
        $given = $request->validated();
        $changed = $spot->changeAsSeen($request, function (Spot $current) use ($given): void {
            $current->fill(SpotRequest::columns($given, $current->machine));
            if ($current->kind === SpotKind::GreasePoint && isset($given['grease'])) {
                self::changeGrease($current, $given['grease']);
            }
            if (isset($given['sheet'])) {
                Sheets::write($current, $given['sheet']);
            }
        }, fn (Spot $current): array => $current->toRecord());
        event(new SpotChanged($changed));
        event(new FactsChanged([$changed->machine_id]));

        return $changed->respond($changed->refresh()->toRecord());
    }

    /** The spots that such a machine usually has, for one that lacks some. */
    public function usual(Machine $machine): JsonResponse
    {
        $machine = Machine::lockForWriting($machine->id);
        UsualSpots::begin($machine);
        Spot::query()->where(['machine_id' => $machine->id, 'retired' => true])->update(['retired' => false]);
        event(new FactsChanged([$machine->id]));

        return $this->index($machine);
    }

    /** Which spots some words probably mean, and what a new one would be. */
    public function suggest(Request $request, Machine $machine): JsonResponse
    {
        $given = $request->validate([
            'tasks' => ['required', 'array', 'list', 'max:200'],
            'tasks.*.words' => ['present', 'nullable', 'string', 'max:200'],
            'tasks.*.kind' => ['required', Rule::enum(TaskKind::class)],
        ]);
        $spots = array_values($machine->spots->map(fn (Spot $spot): CoreSpot => $spot->toCore())->all());

        return new JsonResponse(
            [
                'suggestions' => array_map(
                    fn (array $task): array => self::suggestion(
                        (string) $task['words'],
                        TaskKind::from($task['kind']),
                        $spots,
                    ),
                    $given['tasks'],
                ),
            ],
        );
    }

    /**
     * @param  list<CoreSpot>  $spots
     * @return array<string, mixed>
     */
    private static function suggestion(string $words, TaskKind $kind, array $spots): array
    {
        $likeliest = SpotWords::meanAllPoints($words, $kind) ? [] : SpotWords::likeliest($words, $kind, $spots);

        return [
            'all_points' => SpotWords::meanAllPoints($words, $kind),
            'spots' => array_column($likeliest, 'key'),
            'name' => TaskName::of($likeliest),
            'new_spot' => [
                'name' => trim($words),
                'kind' => SpotWords::kind($words, $kind)->value,
                'subject' => SpotWords::subject($words, $kind)->value,
            ],
        ];
    }

    /** @param  array<string, mixed>  $given */
    private static function changeGrease(Spot $spot, array $given): void
    {
        $point = $spot->grease()->firstOrNew([], ['strokes' => 2, 'end_sign' => 'shows']);
        $point->fill(isset($given['strokes']) ? [...$given, 'about' => false] : $given);
        if ($point->most !== null && $point->most < $point->strokes) {
            throw Refusal::field('grease.most', 'It cannot take fewer strokes at most than it usually gets.');
        }
        $point->save();
    }
}
