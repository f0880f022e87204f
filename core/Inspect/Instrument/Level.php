<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Core\Fluid\Level\EngineState;
use Core\Fluid\Level\LevelMark;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Level\StickHeld;
use Core\Fluid\Level\Warmth;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Measure\Dimension;
use Core\Measure\Unit;

/**
 * A fluid's level, taken as a reading only where it was read the way its housing asks for; what was poured in is logged
 * with it.
 */
final class Level implements Instrument
{
    /** Of how it was read only what its protocol asks for. */
    public function asks(array $limits = []): array
    {
        $method = LevelMethod::tryFrom($limits['method'] ?? '') ?? LevelMethod::Stick;
        $marks = $method->marks();
        $isTimed = isset($limits['wait_minutes']) || isset($limits['latest_minutes']);

        return [
            Ask::choice(
                'observed',
                'It stands',
                array_combine(array_column($marks, 'value'), array_map($method->label(...), $marks)),
            ),
            Ask::quantity('topped_up', 'Topped up with', Unit::Litre, like: 'most_per_100h')->ifAny(),
            Ask::flag('slope', 'Read on a slope'),
            ...isset($limits['engine']) ? [Ask::choice('engine', 'Engine', self::engines())] : [],
            ...isset($limits['temperature']) ? [Ask::choice('temperature', 'Temperature', self::warmths())] : [],
            ...$isTimed ? [Ask::number('waited', 'Minutes waited')] : [],
            ...isset($limits['held']) ? [Ask::choice('held', 'Stick', self::holds())] : [],
        ];
    }

    public function limits(): array
    {
        return [
            Ask::choice(
                'method',
                'Read by',
                array_combine(
                    array_column(LevelMethod::read(), 'value'),
                    array_map(fn (LevelMethod $method): string => $method->word(), LevelMethod::read()),
                ),
            )->ifAny(),
            Ask::choice('engine', 'Read with', self::engines())->ifAny(),
            Ask::choice('temperature', 'Read', self::warmths())->ifAny(),
            Ask::number('wait_minutes', 'Minutes to wait')->ifAny(),
            Ask::number('latest_minutes', 'Minutes at most')->ifAny(),
            Ask::choice('held', 'Stick', self::holds())->ifAny(),
            Ask::quantity('most_per_100h', 'It may use in 100 h', Unit::Litre)->ifAny(),
        ];
    }

    /**
     * How a level is to be read, or was.
     *
     * @param  string  $wait  the name of the minutes
     */
    public static function protocol(Fields $fields, LevelMethod $method, string $wait = 'wait_minutes'): LevelProtocol
    {
        if ($method !== LevelMethod::Stick && $fields->has('held')) {
            $fields->fault('held', "What is read by a {$method->word()} has no stick to hold.");
        }
        $one = fn (string $name, array $words, string $what): string => $fields->has($name)
            ? (string) $fields->option($name, array_keys($words), $what)
            : '';

        return new LevelProtocol(
            EngineState::tryFrom($one('engine', self::engines(), 'the engine')),
            Warmth::tryFrom($one('temperature', self::warmths(), 'the temperature')),
            $fields->optionalWholeNumber($wait, 'the minutes', 24 * 60),
            StickHeld::tryFrom($one('held', self::holds(), 'the way the stick is held')),
            $fields->optionalWholeNumber('latest_minutes', 'the latest minute', 24 * 60),
        );
    }

    /** @return array<string, string> */
    private static function engines(): array
    {
        return array_combine(
            array_column(EngineState::cases(), 'value'),
            array_map(fn (EngineState $state): string => $state->inWords(), EngineState::cases()),
        );
    }

    /** @return array<string, string> */
    private static function warmths(): array
    {
        return array_combine(array_column(Warmth::cases(), 'value'), array_column(Warmth::cases(), 'value'));
    }

    /** @return array<string, string> */
    private static function holds(): array
    {
        return array_combine(
            array_column(StickHeld::cases(), 'value'),
            array_map(fn (StickHeld $held): string => $held->inWords(), StickHeld::cases()),
        );
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $method = $limits->choice('method', LevelMethod::Stick, 'what it is read by');
        $protocol = self::protocol($limits, $method);
        $actual = self::protocol($entered, $method, 'waited');
        $observed = $entered->option('observed', array_column($method->marks(), 'value'), 'where it stands');
        $topUp = $entered->optionalMeasure('topped_up', 'what was topped up', Dimension::Volume, Unit::Litre);
        $slope = $entered->flag('slope', 'whether it stood on a slope');
        $limits->complete();
        $entered->complete();

        return self::of(
            $method,
            LevelMark::from((string) $observed),
            $protocol,
            $actual,
            $slope,
            $topUp === null ? [] : ['topped_up' => Notation::quantity($topUp)],
            $topUp?->inWords(),
        );
    }

    /** @param  array<string, mixed>  $fields */
    public static function of(
        LevelMethod $method,
        LevelMark $mark,
        LevelProtocol $protocol,
        LevelProtocol $actual,
        bool $onSlope,
        array $fields = [],
        ?string $toppedUp = null,
    ): Judged {
        $first = $protocol->asksOf($actual, $onSlope);
        $poured = $toppedUp === null ? '' : " {$toppedUp} was poured in.";

        return $first === ''
            ? new Judged(
                $mark->verdict(),
                "It stands {$method->label($mark)}, read {$protocol->inWords()}.{$poured}",
                $mark->do(),
                $fields,
            )
            : new Judged(null, "This is not a reading: it is read {$protocol->inWords()}.{$poured}", $first, $fields);
    }
}
