<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Form\HalfTyped;
use Core\Inspect\Instrument;
use Core\Inspect\Instrument\Battery;
use Core\Inspect\Instrument\Belt;
use Core\Inspect\Instrument\FluidLook;
use Core\Inspect\Instrument\FreePlay;

/** The calculators by name. */
final class Catalogue
{
    /** @var array<string, class-string<Calculator>> */
    private const CALCULATORS = [
        'chart' => ChartCalculator::class,
        'chart-read' => ChartReadCalculator::class,
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

    /** @var array<string, array{class-string<Instrument>, string}> each with the field that holds its limits */
    private const INSTRUMENTS = [
        'battery' => [Battery::class, ''],
        'belt-deflection' => [Belt::class, 'limit'],
        'condition' => [FluidLook::class, ''],
        'free-play' => [FreePlay::class, ''],
    ];

    /** @return list<string> */
    public static function names(): array
    {
        $names = array_keys(self::CALCULATORS + self::INSTRUMENTS);
        sort($names);

        return $names;
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
        $fields = new Fields($given);
        $answer = self::called($name)->answer($fields, $now);
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

    /** @throws UnknownCalculator */
    private static function called(string $name): Calculator
    {
        if (isset(self::CALCULATORS[$name])) {
            return new (self::CALCULATORS[$name]);
        }
        [$instrument, $limitsIn] = self::INSTRUMENTS[$name] ?? throw new UnknownCalculator(
            "There is no calculator called \"{$name}\". There are: ".implode(', ', self::names()).'.',
        );

        return new InstrumentCalculator(new $instrument, $limitsIn);
    }
}
