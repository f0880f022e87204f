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
        'battery' => BatteryCalculator::class,
        'belt-deflection' => BeltDeflectionCalculator::class,
        'chart' => ChartCalculator::class,
        'chart-read' => ChartReadCalculator::class,
        'condition' => ConditionCalculator::class,
        'consumption' => ConsumptionCalculator::class,
        'containers' => ContainersCalculator::class,
        'convert' => ConvertCalculator::class,
        'coolant-correct' => CoolantCorrectCalculator::class,
        'coolant-mix' => CoolantMixCalculator::class,
        'countdown' => CountdownCalculator::class,
        'covers' => CoversCalculator::class,
        'engine-grade' => EngineGradeCalculator::class,
        'fill-plan' => FillPlanCalculator::class,
        'forecast' => ForecastCalculator::class,
        'free-play' => FreePlayCalculator::class,
        'gear-grade' => GearGradeCalculator::class,
        'grease' => GreaseCalculator::class,
        'level' => LevelCalculator::class,
        'needs' => NeedsCalculator::class,
        'pan' => PanCalculator::class,
        'procedure' => ProcedureCalculator::class,
        'reading' => ReadingCalculator::class,
        'schedule' => ScheduleCalculator::class,
        'standing' => StandingCalculator::class,
        'stick' => StickCalculator::class,
        'torque' => TorqueCalculator::class,
        'wear' => WearCalculator::class,
        'will-it-do' => WillItDoCalculator::class,
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
