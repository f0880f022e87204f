<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Logbook\Fluids\FluidFit;
use App\Logbook\Stock\MoveKind;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Shelf\Fitted;
use App\Shelf\TaskPlaces;
use Brick\Math\BigRational;
use Core\Fill\Drain;
use Core\Fill\PanPlan;
use Core\Fluid\Bottle;
use Core\Fluid\Suitability;
use Core\Fluid\WillItDo;
use Core\Machine\CompartmentKind;
use Core\Machine\SpotKind;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Supply\Materials\Materials;
use Core\Supply\Materials\PartTaken;
use Core\Supply\Need\FluidChoice;
use Core\Supply\Need\FluidNeed;
use Core\Supply\Need\Needs;
use Core\Supply\Need\PartNeed;
use Core\Supply\Need\Preference;
use Core\Supply\Waste\WasteKind;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** What some works of one or more machines need, what is on the shelf of it, and what is to be bought. */
final class ReadyNeeds
{
    /** @var array<string, Suitability> whether a fluid will do for housings that are alike */
    private array $judged = [];

    /** @var array<int, Bottle> by supply */
    private array $bottles = [];

    /** @var array<int, bool> by machine */
    private array $underWarranty = [];

    /** @var array<int, int> the supply that was poured last, by compartment */
    private array $lastPoured = [];

    /** @var list<string> what nobody has written down */
    private array $unknown = [];

    public function __construct(
        private readonly FluidFit $fit,
        private readonly ShelfStock $stock,
        private readonly Yard $yard,
    ) {}

    /**
     * @param  list<ReadyWork>  $works
     * @return array<string, mixed> as the contract's `Needs`
     */
    public function of(array $works, Preference $preference): array
    {
        $works = array_values(array_filter($works, fn (ReadyWork $work): bool => $work->takesAnything()));
        $taken = $this->taken($works);
        $needs = [];
        foreach (Preference::cases() as $one) {
            $this->unknown = [];
            $needs[$one->value] = $this->needs($taken, $one);
        }

        return [
            ...NeedsShape::of($needs[$preference->value], $this->stock),
            'preference' => $preference->value,
            'costs' => array_map(NeedsShape::cost(...), $needs),
            'currency' => $this->yard->currency,
            'tools' => self::tools($taken),
            'uses' => self::uses($taken),
            'pans' => $this->pans($taken),
            'unknown' => array_values(array_unique($this->unknown)),
            'says' => $this->stock->says,
        ];
    }

    /**
     * @param  list<ReadyWork>  $works
     * @return list<array{machine: string, machine_id: int, day: int|null, places: TaskPlaces, taken: Materials}> by machine and visit
     */
    private function taken(array $works): array
    {
        $spots = self::spots(array_merge(...array_map(fn (ReadyWork $work): array => $work->task->spots, $works)));
        $machines = Machine::query()->whereKey(array_unique(array_map(fn (ReadyWork $work): int => $work->machineId, $works)))
            ->with('meters')->get();
        $places = new TaskPlaces($spots, Fitted::reusedAt($spots->modelKeys()), $machines->pluck('class', 'id')->all());
        $compartments = $spots->where('kind', SpotKind::Compartment)->modelKeys();
        $this->lastPoured = DB::table('moves')->whereIn(
            'id',
            DB::table('moves')->selectRaw('max(id)')->whereIntegerInRaw('to_spot_id', $compartments)
                ->where('kind', MoveKind::Poured)->whereNotNull('supply_id')->groupBy('to_spot_id'),
        )->pluck('supply_id', 'to_spot_id')->all();
        $visits = [];
        foreach ($works as $work) {
            $visits["{$work->machineId} {$work->visit}"][] = $work;
        }
        $this->underWarranty = $machines->mapWithKeys(fn (Machine $machine): array => [$machine->id => $this->fit->isUnderWarranty($machine)])
            ->all();
        $taken = [];
        foreach ($visits as $together) {
            $taken[] = [
                'machine' => $together[0]->machine,
                'machine_id' => $together[0]->machineId,
                'day' => min(array_map(fn (ReadyWork $work): ?int => $work->day, $together)),
                'places' => $places,
                'taken' => Materials::by(...array_map(
                    fn (ReadyWork $work) => $places->work($work->task->kind, $work->task->spots, $work->task->topUp),
                    $together,
                )),
            ];
        }

        return $taken;
    }

    /**
     * Where works are done, with what they sit in or share with, and the openings of all of these.
     *
     * @param  list<int>  $ids
     * @return Collection<int, Spot>
     */
    private static function spots(array $ids): Collection
    {
        $own = DB::table('spots')->whereIntegerInRaw('id', $ids)->get(['id', 'parent_id', 'shares_with_id']);
        $around = array_values(array_unique(array_filter([
            ...$ids,
            ...$own->pluck('parent_id')->all(),
            ...$own->pluck('shares_with_id')->all(),
        ])));

        return Spot::query()->where(fn ($spots) => $spots->whereIntegerInRaw('id', $around)
            ->orWhere(fn ($openings) => $openings
                ->whereIntegerInRaw('parent_id', $around)
                ->where('kind', SpotKind::Opening)))
            ->where('retired', false)->with('sheet')->orderBy('position')->get();
    }

    /** @param  list<array{machine: string, machine_id: int, day: int|null, places: TaskPlaces, taken: Materials}>  $all */
    private function needs(array $all, Preference $preference): Needs
    {
        $fluids = $parts = [];
        foreach ($all as ['machine' => $machine, 'machine_id' => $id, 'places' => $places, 'taken' => $taken, 'day' => $day]) {
            foreach ($taken->fluids as $fluid) {
                $spot = $places->spot($id, $fluid->spot);
                $name = Plain::within($spot->name ?? $fluid->spot);
                if ($fluid->amount === null) {
                    $this->unknown[] = "{$machine}: nobody has written down how much the {$name} takes.";
                } elseif ($spot !== null) {
                    $fluids[] = new FluidNeed(
                        $this->fluidFor($spot, "{$machine}, {$name}", $preference),
                        $fluid->amount->most,
                        "{$machine}, {$name}",
                        $day,
                    );
                }
            }
            foreach ($taken->parts as $part) {
                $parts[] = self::part($machine, $part, $day);
                if (! $part->isKnown) {
                    $this->unknown[] = "{$machine}: nobody has written down which part the "
                        .Plain::within($part->for[0]).' is.';
                }
            }
        }

        return Needs::of($fluids, $parts, $this->stock->fluids, $this->stock->parts, $preference);
    }

    /** What sits there by its number; by the machine's and its own name where nobody knows the number. */
    private static function part(string $machine, PartTaken $part, ?int $day): PartNeed
    {
        $makers = $part->sheet === null ? [$part->number] : $part->sheet->numbers->makersNumbers();

        return new PartNeed(
            $makers === [] ? ["{$part->number} of {$machine}"] : $makers,
            $part->count,
            array_map(fn (string $for): string => "{$machine}, ".Plain::within($for), $part->for),
            $part->again,
            $part->sheet?->numbers->equivalentNumbers() ?? [],
            $day,
        );
    }

    /** The id of the supply that is poured there; what the book asks for where none that is kept will do. */
    private function fluidFor(Spot $compartment, string $for, Preference $preference): string
    {
        $housing = Sheets::compartment($compartment)->housing($compartment->compartment ?? CompartmentKind::Engine);
        $specification = $housing->specification;
        $isUnderWarranty = $this->underWarranty[$compartment->machine_id] ?? false;
        $alike = serialize([$housing, $isUnderWarranty]);
        $choices = [];
        foreach ($this->stock->supplies as $supply) {
            if ($supply->isFluid()) {
                $bottle = $this->bottles[$supply->id] ??= $supply->bottle();
                $choices[] = new FluidChoice(
                    $supply->id,
                    $this->judged["{$supply->id} {$alike}"] ??= WillItDo::judge(
                        $bottle,
                        $housing,
                        $this->fit->conditions($isUnderWarranty),
                    )->answer,
                    $specification->makersOwn !== null && $bottle->makersOwn === $specification->makersOwn,
                    ($this->lastPoured[$compartment->id] ?? null) === $supply->id,
                    $this->stock->isThere($supply->id),
                );
            }
        }
        $best = FluidChoice::best($choices, $preference);
        if ($best !== null) {
            return (string) $best->supply;
        }
        $words = $specification->inWords();
        $this->unknown[] = $words === ''
            ? "{$for}: nobody has written down what it takes."
            : "{$for}: nothing that is kept will do. It takes {$words}.";

        return $words === '' ? $for : ucfirst($words);
    }

    /**
     * @param  list<array{machine: string, machine_id: int, day: int|null, places: TaskPlaces, taken: Materials}>  $all
     * @return list<array{key: string, tool: string, for: string}> each once
     */
    private static function tools(array $all): array
    {
        $tools = [];
        foreach ($all as ['machine' => $machine, 'taken' => $taken]) {
            foreach ($taken->tools as $tool) {
                $tools[mb_strtolower($tool['tool'])][$tool['tool']][] = "{$machine}, ".Plain::within($tool['for'][0]);
            }
        }
        ksort($tools, SORT_NATURAL);

        return array_values(array_map(fn (array $tool): array => [
            'key' => NeedsShape::key('tool', (string) array_key_first($tool)),
            'tool' => (string) array_key_first($tool),
            'for' => implode('; ', array_merge(...array_values($tool))),
        ], $tools));
    }

    /**
     * @param  list<array{machine: string, machine_id: int, day: int|null, places: TaskPlaces, taken: Materials}>  $all
     * @return list<array{key: string, name: string, for: string}> what the work uses up, each once
     */
    private static function uses(array $all): array
    {
        $uses = [];
        foreach ($all as ['machine' => $machine, 'taken' => $taken]) {
            foreach ($taken->uses as $use) {
                $uses[$use][] = $machine;
            }
        }

        return array_map(fn (string $use, array $machines): array => [
            'key' => NeedsShape::key('use', $use),
            'name' => $use,
            'for' => implode(', ', $machines),
        ], array_map(strval(...), array_keys($uses)), array_values($uses));
    }

    /**
     * Whether the yard's pans take what runs out of each machine, and after what they are emptied.
     *
     * @param  list<array{machine: string, machine_id: int, day: int|null, places: TaskPlaces, taken: Materials}>  $all
     * @return list<array{machine: string, enough: bool|null, why: string}>
     */
    private function pans(array $all): array
    {
        $pans = array_map(fn (string $pan): Quantity => Quantity::parse($pan), $this->yard->pans ?? []);
        $told = [];
        foreach ($all as ['machine' => $machine, 'machine_id' => $id, 'places' => $places, 'taken' => $taken]) {
            $drains = [];
            foreach ($taken->fluids as $fluid) {
                $spot = $places->spot($id, $fluid->spot);
                if ($fluid->isDrained && $fluid->amount !== null && $spot !== null) {
                    $kind = WasteKind::outOf($spot->compartment ?? CompartmentKind::Engine);
                    $drains[] = new Drain(Plain::within($spot->name), $fluid->amount->most, (string) $kind?->value);
                }
            }
            if ($drains !== []) {
                $told[] = ['machine' => $machine, ...self::pan($drains, $pans)];
            }
        }

        return $told;
    }

    /**
     * @param  non-empty-list<Drain>  $drains
     * @param  list<Quantity>  $pans
     * @return array{enough: bool|null, why: string}
     */
    private static function pan(array $drains, array $pans): array
    {
        $out = implode(', ', array_map(fn (Drain $drain): string => "{$drain->amount->inWords()} of {$drain->name}", $drains));
        if ($pans === []) {
            return ['enough' => null, 'why' => "{$out} runs out. Nobody has written down what the pans hold."];
        }
        $plan = PanPlan::of($drains, $pans, BigRational::of(PanPlan::MARGIN));

        return ['enough' => $plan->shortBy === null, 'why' => "{$out} runs out".match (true) {
            $plan->shortBy !== null => "; the largest pan is too small by {$plan->shortBy->inWords()}.",
            $plan->emptyAfter !== [] => '; empty the pans after the '.implode(' and the ', $plan->emptyAfter).'.',
            default => '; the pans take it.',
        }];
    }
}
