<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Logbook\Acts\Placing;
use App\Logbook\Fluids\FluidFit;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use Carbon\CarbonImmutable;
use Core\Fluid\FluidFields;
use Core\Form\Fields;
use Core\Machine\SpotKind;
use Core\Meter\Limit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;

/** A machine's compartments: how much, of what, what is in them, and whether a bottle will do. */
final readonly class CompartmentController
{
    public function __construct(private CompartmentShape $shape) {}

    public function index(Machine $machine): JsonResponse
    {
        $spots = $machine->spots()->where('retired', false)->with('sheet')->get();

        $fitted = Fitted::at($spots->pluck('id')->all());

        return new JsonResponse([
            ...$machine->only('id', 'name'),
            'compartments' => $spots->where('kind', SpotKind::Compartment)
                ->map(fn (Spot $spot): array => $this->shape->of($machine, $spot, $spots))->values()->all(),
            'parts' => PartShape::all($spots, $fitted),
            'tasks' => (new TakenByTasks($machine, $spots, $fitted))->all(),
        ]);
    }

    public function show(Machine $machine, Spot $spot): JsonResponse
    {
        $this->refuseOther($spot);
        $holder = $spot->shares_with_id ?? $spot->id;
        $filled = fn (QueryBuilder $spots) => $spots->select('id')->from('spots')
            ->where('id', $holder)->orWhere('shares_with_id', $holder);
        $spots = Spot::query()->with('sheet')
            ->where(fn (Builder $spots) => $spots->whereIn('id', $filled)->orWhereIn('parent_id', $filled))
            ->orderBy('position')->get();
        $own = $spots->find($spot->id) ?? $spot;

        return $spot->respond([
            ...$this->shape->of($machine, $own, $spots),
            'machine_id' => $machine->id,
            'machine' => $machine->name,
            ...self::life($machine, $spots->find($spot->shares_with_id) ?? $own, $spots),
        ]);
    }

    public function update(Request $request, Machine $machine, Spot $spot): JsonResponse
    {
        $this->refuseOther($spot);
        $given = $request->validate(['sheet' => ['required', 'array', 'max:20']]);
        $changed = $spot->changeAsSeen(
            $request,
            fn (Spot $current) => Sheets::write($current, $given['sheet']),
            fn (Spot $current): array => $current->toRecord(),
        );
        event(new FactsChanged([$machine->id]));

        return $changed->respond($changed->refresh()->load('sheet')->toRecord());
    }

    public function willItDo(Request $request, Machine $machine, Spot $spot, FluidFit $fit): JsonResponse
    {
        $this->refuseOther($spot);
        $fields = new Fields($request->validate(['fluid' => ['required', 'array', 'max:10']]));
        $bottle = FluidFields::bottle($fields->within('fluid', 'the fluid'));
        $fields->refuseUnknown();
        $judged = $fit->judge($bottle, $machine, $spot->holder ?? $spot);

        return new JsonResponse([
            'will_it' => $judged->answer->value,
            'reasons' => array_column($judged->reasons, 'why'),
            'label' => $bottle->inWords(),
        ]);
    }

    /**
     * Kept until the machine's facts change.
     *
     * @param  Collection<int, Spot>  $spots
     * @return array<string, mixed> `life`, `drawn` and `lately`
     */
    private static function life(Machine $machine, Spot $compartment, Collection $spots): array
    {
        $kept = Cache::get("life {$compartment->id}");
        if ($kept === null || $kept['facts_version'] !== $machine->facts_version) {
            $now = Placing::of($machine)->run(CarbonImmutable::now(), Limit::Hours);
            $life = LifeShape::of($compartment, $spots, $now);
            $kept = [
                'facts_version' => $machine->facts_version,
                'told' => ['life' => $life->told(), 'drawn' => $life->drawn(), 'lately' => $life->lately()],
            ];
            Cache::forever("life {$compartment->id}", $kept);
        }

        return $kept['told'];
    }

    private function refuseOther(Spot $spot): void
    {
        abort_unless($spot->kind === SpotKind::Compartment, 404);
    }
}
