<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Form\HalfTyped;

/** The calculators by name. */
final class Catalogue
{
    /** @var array<string, class-string<Calculator>> */
    private const CALCULATORS = [
        'battery' => JudgeBattery::class,
        'belt-deflection' => JudgeBelt::class,
        'chart' => DrawChart::class,
        'chart-read' => ReadChart::class,
        'condition' => JudgeCondition::class,
        'consumption' => TrendConsumption::class,
        'containers' => PlanContainers::class,
        'convert' => Convert::class,
        'coolant-correct' => CorrectCoolant::class,
        'coolant-mix' => MixCoolant::class,
        'countdown' => SetCountdown::class,
        'covers' => JudgeCover::class,
        'engine-grade' => JudgeEngineGrade::class,
        'fill-plan' => PlanFill::class,
        'forecast' => ForecastDue::class,
        'free-play' => JudgeFreePlay::class,
        'gear-grade' => JudgeGearGrade::class,
        'grease' => ReckonGrease::class,
        'level' => JudgeLevel::class,
        'needs' => ListNeeds::class,
        'pan' => PlanPans::class,
        'procedure' => OrderSteps::class,
        'reading' => JudgeReading::class,
        'schedule' => TimeSteps::class,
        'standing' => JudgeStanding::class,
        'stick' => LearnStick::class,
        'torque' => SetTorque::class,
        'wear' => TrendWear::class,
        'will-it-do' => JudgeFluid::class,
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::CALCULATORS);
    }

    /**
     * @param  array<mixed>  $given
     * @return array<string, mixed>
     *
     * @throws UnknownCalculator
     * @throws BadInput
     */
    public static function reckon(string $name, array $given, \DateTimeImmutable $now): array
    {
        $calculator = self::CALCULATORS[$name]
            ?? throw new UnknownCalculator(
                "There is no calculator called \"{$name}\". There are: ".implode(', ', self::names()).'.',
            );

        $fields = new Fields($given);
        $answer = (new $calculator)->answer($fields, $now);
        $fields->refuseUnknown();

        return $answer->toArray();
    }

    /**
     * What can be told of a calculation while it is still being typed.
     *
     * @param  array<mixed>  $given
     * @return array{
     *     answer: array<string, mixed>|null,
     *     missing: array<string, list<string>>,
     *     wrong: array<string, list<string>>,
     * }
     *
     * @throws UnknownCalculator
     */
    public static function typing(string $name, array $given, \DateTimeImmutable $now): array
    {
        return HalfTyped::read(fn (): array => self::reckon($name, $given, $now));
    }
}
