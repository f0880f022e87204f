<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\LevelMark;
use Core\Inspect\LevelProtocol;
use Core\Inspect\Occasion;
use Core\Measure\Dimension;
use Core\Measure\Unit;
use Core\Reckoner\Answer;
use Core\Reckoner\Fields;

/** A fluid's level, taken as a reading only where it was read the way its housing asks for; what was poured in is logged with it. */
final class Level implements Instrument
{
    private const ENGINE = ['off' => 'engine off', 'idling' => 'engine idling'];

    private const TEMPERATURE = ['cold' => 'cold', 'warm' => 'warm', 'hot' => 'hot'];

    private const HELD = ['rested' => 'stick rested on its threads', 'screwed' => 'stick screwed in'];

    public function asks(): array
    {
        return [
            Ask::choice('observed', 'It stands', array_combine(array_column(LevelMark::cases(), 'value'), array_map(fn (LevelMark $mark): string => $mark->label(), LevelMark::cases()))),
            Ask::quantity('topped_up', 'Topped up with', Unit::Litre, like: 'most_per_100h')->ifAny(),
            Ask::flag('slope', 'Read on a slope'),
            Ask::choice('engine', 'Engine', self::ENGINE)->ifAny(),
            Ask::choice('temperature', 'Temperature', self::TEMPERATURE)->ifAny(),
            Ask::number('waited', 'Minutes waited')->ifAny(),
            Ask::choice('held', 'Stick', self::HELD)->ifAny(),
        ];
    }

    public function limits(): array
    {
        return [
            Ask::choice('engine', 'Read with', self::ENGINE)->ifAny(),
            Ask::choice('temperature', 'Read', self::TEMPERATURE)->ifAny(),
            Ask::number('wait_minutes', 'Minutes to wait')->ifAny(),
            Ask::choice('held', 'Stick', self::HELD)->ifAny(),
            Ask::quantity('most_per_100h', 'It may use in 100 h', Unit::Litre)->ifAny(),
        ];
    }

    /** How a level is read, from its limits. */
    public static function protocol(Fields $fields, string $wait = 'wait_minutes'): LevelProtocol
    {
        $one = fn (string $name, array $words, string $what): ?string => $fields->has($name) ? $fields->option($name, array_keys($words), $what) : null;

        return new LevelProtocol(
            $one('engine', self::ENGINE, 'the engine'),
            $one('temperature', self::TEMPERATURE, 'the temperature'),
            $fields->optionalWholeNumber($wait, 'the minutes', 24 * 60),
            $one('held', self::HELD, 'the way the stick is held'),
        );
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $protocol = self::protocol($limits);
        $actual = self::protocol($entered, 'waited');
        $observed = $entered->option('observed', array_column(LevelMark::cases(), 'value'), 'where it stands');
        $topUp = $entered->optionalMeasure('topped_up', 'what was topped up', Dimension::Volume, Unit::Litre);
        $slope = $entered->flag('slope', 'whether it stood on a slope');
        $limits->complete();
        $entered->complete();

        return self::of(LevelMark::from((string) $observed), $protocol, $actual, $slope, $topUp === null ? [] : ['topped_up' => Answer::quantity($topUp)], $topUp?->inWords());
    }

    /** @param  array<string, mixed>  $fields */
    public static function of(LevelMark $mark, LevelProtocol $protocol, LevelProtocol $actual, bool $onSlope, array $fields = [], ?string $toppedUp = null): Judged
    {
        $first = $protocol->asksOf($actual, $onSlope);
        $poured = $toppedUp === null ? '' : " {$toppedUp} was poured in.";

        return $first === ''
            ? new Judged($mark->verdict(), "It stands {$mark->label()}, read {$protocol->inWords()}.{$poured}", $mark->do(), $fields)
            : new Judged(null, "This is not a reading: it is read {$protocol->inWords()}.{$poured}", $first, $fields);
    }
}
