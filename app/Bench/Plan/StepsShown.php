<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use App\Logbook\Fluids\Sources;
use App\Logbook\Stock\Container;
use App\Logbook\Stock\StockLevels;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Shelf\Fitted;
use App\Shelf\LifeShape;
use App\Walkaround\CheckShape;
use Brick\Math\BigRational;
use Core\Fill\FillPlan;
use Core\Fill\Pour;
use Core\Fluid\Condition;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Seen;
use Core\Fluid\Sheet\CapacityKind;
use Core\Inspect\Check;
use Core\Inspect\Degree;
use Core\Machine\Caution;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;
use Core\Measure\Quantity;
use Core\Measure\TooMuch;
use Core\Measure\Unit;
use Core\Procedure\Compartment;
use Core\Procedure\Step;
use Core\Procedure\StepAct;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Table\DrainedTable;
use Core\Procedure\Table\LevelTable;
use Core\Procedure\Work;
use Core\Supply\PartKind;

/** What stands at each step of one machine's job: where, with what, what is asked, and the answers made ready. */
final readonly class StepsShown
{
    private const WITH_A_TOOL = [StepAct::Loosen, StepAct::Open, StepAct::Close, StepAct::Torque];

    /** @param  list<WantedWork>  $works */
    private function __construct(
        private MachineAtTheBench $bench,
        private array $works,
        private Fitted $fitted,
        private Wrenches $wrenches,
        private Sources $open,
        private LearnedBands $bands,
    ) {}

    /** @param  list<WantedWork>  $works */
    public static function at(MachineAtTheBench $bench, array $works, Yard $yard, Sources $open): self
    {
        $spots = $bench->spots->modelKeys();

        return new self($bench, $works, Fitted::reusedAt($spots), Wrenches::of($yard), $open, LearnedBands::at($spots));
    }

    /** @return array<string, mixed> */
    public function of(Step $step): array
    {
        $spot = $this->bench->spot($step->on->at);
        $covered = array_values(array_filter(array_map($this->bench->spot(...), $step->on->covers)));

        return [
            'title' => $this->title($step, $spot),
            'spot' => $spot === null ? null : [
                ...$spot->only('key', 'name', 'place', 'reach', 'trick', 'x', 'y'),
                'kind' => $spot->kind->value,
            ],
            'names' => array_column($covered, 'name'),
            'cautions' => array_map(fn (Caution $caution): array => [
                'id' => $caution->value,
                'says' => $caution->says(),
                'every_time' => $caution->everyTime(),
            ], $step->cautions),
            'tool' => in_array($step->act, self::WITH_A_TOOL, true) ? $this->bench->openingNamed($step->on->at)->sheet->tool ?? '' : '',
            'part' => $this->part($step),
            'renewed' => $this->renewed($step, $spot),
            'torque' => $this->torque($step),
            'asks' => $this->asks($step),
        ];
    }

    private function title(Step $step, ?Spot $spot): string
    {
        return $step->on->thing !== ''
            ? $step->on->thing
            : $step->verb->title($this->finding($step)->name ?? $spot->name ?? $this->bench->machine->name);
    }

    /** @return array<string, mixed>|null */
    private function part(Step $step): ?array
    {
        $part = $this->bench->partNamed($step->on->at);

        return $part === null || ! in_array($step->act, [StepAct::Remove, StepAct::Compare, StepAct::Fit], true) ? null : [
            'number' => $part->number,
            'orientation' => $part->fitting->orientation,
            'tight' => $part->fitting->inWords(),
        ];
    }

    /** @return array<string, mixed>|null what is new each time, unless the old one is used again */
    private function renewed(Step $step, ?Spot $spot): ?array
    {
        $part = $step->act === StepAct::Fit ? $this->bench->partNamed($step->on->at) : null;
        $seal = $step->act === StepAct::Close ? $this->bench->openingNamed($step->on->at)?->sheet->seal : $part?->fitting->seal;
        $isPlug = $part?->kind === PartKind::SparkPlug;
        if ($spot === null || (($seal ?? '') === '' && ! $isPlug)) {
            return null;
        }
        $times = $this->fitted->timesReused($spot->id);
        $schools = $this->bench->machine->schools();

        return [
            'what' => $isPlug ? 'plug' : 'seal',
            'number' => $isPlug ? $part->number : $seal,
            'times_reused' => $times,
            'usually_reused' => $isPlug ? $schools->isPlugUsedAgain() : $schools->areSealsReused($times),
        ];
    }

    /** @return array<string, mixed>|null */
    private function torque(Step $step): ?array
    {
        $target = $step->act === StepAct::Torque
            ? $this->bench->openingNamed($step->on->at)->sheet->torque ?? $this->bench->partNamed($step->on->at)?->fitting->torque() ?? ''
            : '';

        return $target === '' ? null : ['target' => $target, 'settings' => $this->wrenches->settings(Quantity::parse($target))];
    }

    /** @return array<string, mixed>|null */
    private function asks(Step $step): ?array
    {
        $compartment = $this->compartmentOf($step->on->at);

        return match (true) {
            $step->act === StepAct::Pour && $compartment !== null => $this->pour($step, $compartment),
            $step->act === StepAct::TopUp && $compartment !== null => ['kind' => 'top_up', ...$this->fluids($compartment)],
            $step->on->takesFluid && $compartment !== null => ['kind' => 'added', ...$this->fluids($compartment)],
            $step->act === StepAct::Prefill && $compartment !== null => ['kind' => 'prefill', ...$this->fluids($compartment)],
            $step->act === StepAct::Read && $compartment !== null => $this->level($compartment),
            $step->verb === StepVerb::WhatRanOut && $compartment !== null => $this->ranOut($compartment),
            $step->act === StepAct::Measure => $this->measured($step),
            $step->act === StepAct::Close || $step->act === StepAct::Fit => ['kind' => 'fitted'],
            $step->act === StepAct::Torque => ['kind' => 'tightened'],
            $step->act === StepAct::Lubricate => $this->greased($step),
            $step->verb === StepVerb::Inspect => self::judged(),
            default => null,
        };
    }

    /** The compartment that a step is done to, or whose opening or part it is done at; the one that holds the fluid. */
    private function compartmentOf(string $at): ?Compartment
    {
        $spot = $this->bench->spot($at);
        $own = $this->bench->compartmentNamed($at) ?? $this->bench->compartmentNamed($spot?->parent->key ?? '');

        return $this->bench->compartmentNamed($own->sheet->sharesWith ?? '') ?? $own;
    }

    /** @return array<string, mixed> */
    private function pour(Step $step, Compartment $compartment): array
    {
        $capacity = $compartment->capacity;
        $amount = $step->on->amount;
        $isWhole = $capacity !== null && $amount?->compareTo($capacity->most) === 0;
        $holds = Sheets::holds($this->spotOf($compartment), $this->bench->spots);

        return [
            'kind' => 'pour',
            ...StepKey::read($step->key)->which === StepKey::WATER ? self::water() : $this->fluids($compartment),
            'renews' => $this->isChanged($compartment),
            'book' => match (true) {
                $isWhole => Sheets::compartment($this->spotOf($compartment))->capacity(...CapacityKind::cases())?->written,
                default => $amount?->inWords(),
            },
            'least_ml' => $isWhole ? $capacity->least->wholeMillilitres() : $amount?->wholeMillilitres(),
            'most_ml' => $amount?->wholeMillilitres(),
            'holds_ml' => $holds?->wholeMillilitres(),
            'asked_over_ml' => $holds === null ? null : TooMuch::pouredAskedOver($holds),
            'stages' => $isWhole ? array_map(fn (Pour $pour): array => [
                'total_ml' => $pour->total->wholeMillilitres(),
                'then' => $pour->then->inWords(),
            ], FillPlan::of(
                $capacity->most,
                $capacity->least,
                null,
                $compartment->method ?? LevelMethod::Stick,
                BigRational::of($compartment->sheet->service->shareFirst ?? FillPlan::SHARE_FIRST),
            )->pours) : [],
        ];
    }

    /** Whether its fluid is changed, and not only what ran out poured back. */
    private function isChanged(Compartment $compartment): bool
    {
        foreach ($this->works as $work) {
            foreach ($work->kind === TaskKind::Replace ? $work->spots : [] as $spot) {
                $holder = $this->bench->compartmentNamed($spot->key)->sheet->sharesWith ?? $spot->key;
                if ($compartment->key === $holder) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<string, mixed> what concentrate is thinned with */
    private static function water(): array
    {
        return ['takes' => 'distilled water', 'containers' => []];
    }

    /** @return array<string, mixed> out of what it can be poured */
    private function fluids(Compartment $compartment): array
    {
        $open = $this->open->open($this->bench->machine, $this->spotOf($compartment));
        $levels = StockLevels::of(array_map(fn (Container $one): int => $one->supply_id, $open));

        return [
            'takes' => Sheets::compartment($this->spotOf($compartment))->specification()->inWords(),
            'containers' => array_map(fn (Container $one): array => [
                'id' => $one->id,
                'supply_id' => $one->supply_id,
                'name' => $one->supply->name,
                'size' => $one->size,
                'place' => $one->supply->place,
                'left_ml' => Quantity::of($levels->container($one)->left, Unit::Litre)->wholeMillilitres(),
            ], $open),
        ];
    }

    /** @return array<string, mixed> */
    private function level(Compartment $compartment): array
    {
        $method = $compartment->method ?? LevelMethod::Stick;
        $table = new LevelTable(
            $method,
            $compartment->protocol ?? new LevelProtocol,
            $this->bands->of($this->spotOf($compartment)),
            Sheets::compartment($this->spotOf($compartment))->service->fillTo,
        );

        return [
            'kind' => 'level',
            'method' => $method->value,
            'how' => $compartment->protocol?->inWords() ?? 'on level ground',
            'rows' => $table->rows(),
            'questions' => $table->questions(),
            'latest_minutes' => $compartment->protocol?->latestMinutes,
        ];
    }

    /** @return array<string, mixed> */
    private function ranOut(Compartment $compartment): array
    {
        $drains = count($compartment->openings(OpeningRole::Drain));

        return [
            'kind' => 'ran_out',
            'seen' => array_map(fn (Seen $seen): array => self::seen($compartment->kind, $seen), Seen::cases()),
            'amounts' => $this->expected($compartment, $drains),
        ];
    }

    /** @return list<array<string, mixed>> against what went in the last time and since, else against the book */
    private function expected(Compartment $compartment, int $drains): array
    {
        $wentIn = LifeShape::of($this->spotOf($compartment), $this->bench->spots, null)->wentIn();
        $table = match (true) {
            $wentIn !== null => new DrainedTable($wentIn, 'that had gone in', $drains),
            $compartment->capacity !== null => new DrainedTable($compartment->capacity->most, 'by the book', $drains),
            default => null,
        };

        return $table?->rows() ?? [];
    }

    /** @return array<string, mixed> */
    private static function seen(CompartmentKind $kind, Seen $seen): array
    {
        $condition = Condition::of($kind, [$seen])[0];

        return [
            'id' => $seen->value,
            'label' => $seen->label(),
            'reading' => $condition->reading,
            'verdict' => $condition->verdict->value,
            'do' => $condition->do,
        ];
    }

    /** @return array<string, mixed> */
    private function measured(Step $step): array
    {
        $check = $this->checkOf($step);

        return $check === null ? self::judged() : ['kind' => 'measured', 'check' => CheckShape::of($check)];
    }

    /** @return array<string, mixed> */
    private static function judged(): array
    {
        return ['kind' => 'judged', 'degrees' => array_map(CheckShape::degree(...), Degree::usual())];
    }

    private function checkOf(Step $step): ?Check
    {
        foreach ($this->works as $work) {
            if ($work->check !== null && $work->spots->contains('key', $step->on->at)) {
                return $this->bench->check($work->check);
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    private function greased(Step $step): array
    {
        $isPivotShaft = $this->bench->compartmentNamed($step->on->at) !== null;

        return [
            'kind' => 'greased',
            'strokes' => $isPivotShaft ? Work::PIVOT_STROKES : $this->bench->spot($step->on->at)?->greasePoint()->strokes,
        ];
    }

    private function finding(Step $step): ?WantedWork
    {
        foreach ($this->works as $work) {
            if ($work->finding !== null && $step->act === StepAct::Adjust && $work->spots->contains('key', $step->on->at)) {
                return $work;
            }
        }

        return null;
    }

    private function spotOf(Compartment $compartment): Spot
    {
        return $this->bench->spot($compartment->key) ?? throw new \LogicException("No spot of {$compartment->name}.");
    }
}
