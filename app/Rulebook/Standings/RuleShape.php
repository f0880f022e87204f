<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Rulebook\Rule;
use App\Rulebook\RuleCopy;
use Core\Forecast\TaskStanding;
use Core\Form\Notation;
use Core\Machine\Caution;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Procedure\Cautions;
use Core\Schedule\StandingWords;
use Core\Schedule\Tightening;

/** A rule with what it says now, as the contract's `Rule`. */
final class RuleShape
{
    /** @return array<string, mixed> */
    public static function of(Rule $rule, TaskStanding $task, Reckoning $reckoning): array
    {
        $standing = $task->standing;
        $points = $standing->points;
        $machine = $reckoning->machine;
        $unit = $machine->distanceUnit();
        $km = $points['km'] ?? null;

        return [
            ...$rule->toRecord(),
            'cautions' => array_map(fn (Caution $caution): string => $caution->says(), Cautions::of(
                $machine->class,
                $rule->task->kind,
                array_values($reckoning->rules[$rule->id]->places),
            )),
            'in_words' => $rule->setRelation('machine', $machine)->inWords(),
            'top_up_in_words' => $rule->top_up === null ? null : Quantity::parse($rule->top_up)->display(),
            'about' => array_column($reckoning->rules[$rule->id]->subjects(), 'value'),
            'shared' => $machine->sharedRulebook?->standOf($rule, RuleCopy::keys($machine)),
            'warranty' => self::warranty($rule, $reckoning),
            'tightened' => $standing->rule->tightenings === []
                ? null
                : implode(
                    ' ',
                    array_map(
                        fn (Tightening $one): string => $one->inWords($unit),
                        array_values($standing->rule->tightenings),
                    ),
                ),
            'standing' => [
                'state' => $standing->state->value,
                'due' => [
                    'hours' => Notation::number(($points['hours'] ?? null)?->at),
                    'distance' => $km === null ? null : Notation::number($unit->fromReckoned($km->at)),
                    'date' => Notation::day($standing->dueDate()),
                ],
                'remaining' => [
                    'hours' => Notation::number(($points['hours'] ?? null)?->remaining),
                    'distance' => $km === null ? null : Notation::number($unit->fromReckoned($km->remaining)),
                    'days' => Notation::number(($points['date'] ?? null)?->remaining),
                ],
                'limiting' => $standing->limiting?->limit->value,
                'runs_for' => Notation::number($standing->runsFor()),
                'share_used' => Notation::number($standing->shareUsed()),
                'expected_days' => $task->expectedDays,
                'when' => PassageShape::of($task->when),
                'when_in_words' => $task->when === null
                    || $task->expectedDays <= 0
                    || $task->when->isCertain()
                    ? null
                    : ucfirst($task->when->inWords($reckoning->today)).'.',
                'why' => StandingWords::why($standing, $unit),
                'notes' => $standing->notes,
            ],
        ];
    }

    /** What a warranty has to say of it; null where none runs, or it keeps to the book. */
    private static function warranty(Rule $rule, Reckoning $reckoning): ?string
    {
        $now = $reckoning->now();
        $extended = $reckoning->machine->extendedWarranty();
        $warranty = $reckoning->machine->warranty();

        return match (true) {
            $rule->dealer_only
                && $extended->runs($now) => "The dealer's while the extended warranty runs {$extended->inWords()}: "
                    ."the dealer's record is what counts.",
            $rule->toCore()
                ?->isLooserThanBook() === true && $warranty
                ->runs($now) => "Looser than the book while the warranty runs {$warranty->inWords()}. ".(
                    $rule->loosened_because === null
                        ? 'Nobody said why.'
                        : 'Reason: '.Plain::within($rule->loosened_because)
                ),
            default => null,
        };
    }
}
