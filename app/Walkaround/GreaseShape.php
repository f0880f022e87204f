<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Acts\Act;
use App\Logbook\Acts\Placing;
use App\Logbook\Acts\WhatMeets;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Rulebook\Standings\KnownRule;
use App\Rulebook\Standings\KnownRules;
use App\Rulebook\Standings\Reckoning;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Grease\GreaseNeed;
use Core\Grease\Greasing;
use Core\Grease\PointStanding;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\SpotKind;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Meter\Limit;
use Core\Schedule\Interval;
use Core\Schedule\State;
use Illuminate\Support\Collection;

/** A machine's grease points, what is missed on them, and how much grease they take. */
final class GreaseShape
{
    /** @return array<string, mixed> as the contract's `Grease` */
    public static function of(Machine $machine, Reckoning $reckoning): array
    {
        $points = Spot::query()->where(
            ['machine_id' => $machine->id, 'kind' => SpotKind::GreasePoint, 'retired' => false],
        )
            ->with('grease', 'sheet', 'parent')
            ->orderBy('position')
            ->orderBy('id')
            ->get();
        $acts = Act::query()->standing()
            ->where('kind', ActKind::Lubricated)
            ->where('outcome', Outcome::Done)
            ->whereIn('spot_id', $points->modelKeys())
            ->orderBy('happened_at')->get()->toBase()->groupBy('spot_id');
        $refused = Act::query()->standing()
            ->where('kind', ActKind::Lubricated)
            ->where('outcome', Outcome::NotDone)
            ->whereIn('spot_id', $points->modelKeys())
            ->groupBy('spot_id')->selectRaw(
                'spot_id, max(happened_at) as latest',
            )->toBase()->pluck('latest', 'spot_id');
        $rules = KnownRules::byPoint($reckoning->rules);
        $year = self::runInAYear($machine, $reckoning->yard);
        $strokesDue = $strokesAll = $strokesYear = 0;
        $shaped = [];
        foreach ($points as $point) {
            $rule = $rules[$point->id] ?? null;
            $standing = self::standing(
                $point,
                $acts[$point->id] ?? new Collection,
                $refused[$point->id] ?? null,
                $rule,
                $reckoning,
            );
            $isDue = in_array($standing->state, [State::Unknown, State::Due, State::Past], true);
            $strokes = $point->greasePoint()->strokes;
            $strokesAll += $strokes;
            $strokesDue += $isDue ? $strokes : 0;
            $strokesYear += $strokes * GreaseNeed::timesAYear($rule->line->rule->every ?? new Interval, $year);
            $shaped[] = [
                ...$point->toRecord(),
                'state' => $standing->state->value,
                'due' => $isDue,
                'over_greased' => $standing->isOverGreased,
                'why' => $standing->why,
                'last_on' => $standing->last?->point->date?->format('Y-m-d'),
                'last_strokes' => $standing->last?->strokes,
                'task' => $rule?->line->task->name,
                'rule_id' => $rule?->id,
                'with' => ($reckoning->rules[$rule?->goesWith() ?? 0] ?? null)?->line->task->name,
            ];
        }
        $gun = ($reckoning->yard->grease_guns ?? [])[0] ?? null;
        $stroke = $gun === null
            ? Quantity::parse(GreaseNeed::USUAL_STROKE)
            : GreaseNeed::perStroke(Quantity::parse($gun['ten_strokes'], Unit::Gram));
        $need = fn (int $strokes): string => GreaseNeed::of(
            $strokes,
            $stroke,
            Quantity::parse(GreaseNeed::CARTRIDGE),
        )->inWords();

        return [
            'points' => $shaped,
            'gun' => $gun['name'] ?? null,
            'gram_a_stroke' => "{$stroke->rounded(2)} g",
            'due_need' => $strokesDue === 0 ? null : $need($strokesDue),
            'round_need' => $need($strokesAll),
            'year_need' => $need($strokesYear),
            'year_hours' => $year === null ? null : (string) $year,
        ];
    }

    /** @param  Collection<int, Act>  $acts */
    private static function standing(
        Spot $point,
        Collection $acts,
        ?string $refused,
        ?KnownRule $rule,
        Reckoning $reckoning,
    ): PointStanding {
        $notIn = $refused === null ? null : new \DateTimeImmutable($refused, new \DateTimeZone('UTC'));
        $isOpen = $notIn !== null && $acts->every(fn (Act $act): bool => $act->happened_at < $notIn);
        $standing = $rule === null ? null : $reckoning->standings[$rule->id]->standing;
        $start = $rule === null ? null : $reckoning->facts[$rule->id]->start;

        return PointStanding::of(
            $point->greasePoint(),
            array_values($acts->map(fn (Act $act): Greasing => WhatMeets::greased($act, $reckoning->yard))->all()),
            $standing?->rule,
            $start,
            $reckoning->now(),
            $isOpen ? $reckoning->yard->dayOf($notIn) : null,
            $rule?->goesWith() === null ? null : $standing?->state,
        );
    }

    private static function runInAYear(Machine $machine, Yard $yard): ?BigDecimal
    {
        if ($machine->metersOf(Limit::Hours)->isEmpty()) {
            return null;
        }
        $placing = Placing::of($machine);
        $before = $placing->run($yard->now()->startOfDay()->subYear(), Limit::Hours);

        return $before === null
            ? null
            : $placing->run($yard->now(), Limit::Hours)?->minus($before)->toScale(0, RoundingMode::HALF_UP);
    }
}
