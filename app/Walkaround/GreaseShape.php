<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Yard\Machine;
use App\Yard\Reckoning;
use App\Yard\Yard;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use Core\Grease\GreaseNeed;
use Core\Grease\GreaseTick as CoreTick;
use Core\Grease\PointStanding;
use Core\Machine\Limit;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Schedule\State;

/** A machine's grease points, what is missed on them, and how much grease they take. */
final class GreaseShape
{
    private const CARTRIDGE = '400 g';

    /** Where nobody has weighed a gun yet. Common practice, no source: guns give 0.5 to 1.5 g. */
    private const USUAL_STROKE = '1 g';

    /** @return array<string, mixed> as the contract's `Grease` */
    public static function of(Machine $machine, Reckoning $reckoning): array
    {
        $points = GreasePoint::query()->where(['machine_id' => $machine->id, 'retired' => false])->orderBy('position')->orderBy('id')->get();
        $run = RunAt::of($machine);
        $ticks = GreaseTick::query()->where('machine_id', $machine->id)->whereNull('struck_at')->orderBy('happened_at')->get()->groupBy('grease_point_id');
        $hours = $machine->currentMeters() === [] || $machine->currentMeters()[0]->unit->isDistance() ? null : $run->now();
        $year = $hours === null ? null : self::runInAYear($run, $reckoning->yard);
        $strokesDue = $strokesAll = $strokesYear = 0;
        $shaped = [];
        foreach ($points as $point) {
            $standing = $point->toCore()->standing(array_values(($ticks[$point->id] ?? collect())->map(fn (GreaseTick $tick): CoreTick => new CoreTick($tick->strokes, $reckoning->yard->dayOf($tick->happened_at), $hours === null ? null : $run->at($tick->happened_at)))->all()), $hours, $reckoning->yard->today());
            $isDue = in_array($standing->state, [State::Unknown, State::Due, State::Past], true);
            $strokesAll += $point->strokes;
            $strokesDue += $isDue ? $point->strokes : 0;
            $strokesYear += $point->strokes * self::timesInAYear($point, $year);
            $shaped[] = [...$point->toRecord(), ...self::standing($standing, $isDue, ($ticks[$point->id] ?? collect())->last())];
        }
        $gun = ($reckoning->yard->grease_guns ?? [])[0] ?? null;
        $stroke = $gun === null ? Quantity::parse(self::USUAL_STROKE) : GreaseNeed::perStroke(Quantity::parse($gun['ten_strokes'], Unit::Gram));
        $need = fn (int $strokes): string => GreaseNeed::of($strokes, $stroke, Quantity::parse(self::CARTRIDGE))->inWords();

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

    /** @return array<string, mixed> */
    private static function standing(PointStanding $standing, bool $isDue, ?GreaseTick $last): array
    {
        return ['state' => $standing->state->value, 'due' => $isDue, 'over_greased' => $standing->isOverGreased, 'why' => $standing->why, 'last_on' => $standing->last?->day->format('Y-m-d'), 'last_strokes' => $last?->strokes];
    }

    private static function runInAYear(RunAt $run, Yard $yard): ?BigDecimal
    {
        $before = $run->at(CarbonImmutable::instance($yard->today())->subYear());

        return $before === null ? null : $run->now()?->minus($before)->toScale(0, RoundingMode::HALF_UP);
    }

    private static function timesInAYear(GreasePoint $point, ?BigDecimal $hours): int
    {
        $every = $point->toCore()->every;
        $byHours = $every->hours === null || $hours === null ? 0 : $hours->dividedBy($every->hours, 0, RoundingMode::UP)->toInt();
        $months = $every->gives(Limit::Date) ? $every->months : null;

        return max($byHours, $months === null ? 0 : (int) ceil(12 / $months));
    }
}
