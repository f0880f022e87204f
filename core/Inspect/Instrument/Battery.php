<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Inspect\OpenCircuitVoltage;
use Core\Inspect\Verdict;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Reckoner\Answer;
use Core\Reckoner\Fields;

/**
 * A lead-acid battery or a pack of them: its voltage at rest tells the charge, the drop under a load tells its health.
 */
final class Battery implements Instrument
{
    private const VOLTS_A_CELL = 2;

    /** No rested cell stands above this: it has been charged a moment ago, or it is another battery. */
    private const MOST_A_CELL = '2.75';

    public function asks(): array
    {
        return [
            Ask::quantity('rest_volts', 'At rest', Unit::Volt),
            Ask::quantity('loaded_volts', 'After 10 s with the lights on', Unit::Volt)->ifAny(),
        ];
    }

    public function limits(): array
    {
        return [
            Ask::choice('kind', 'Kind', ['flooded' => 'flooded', 'agm' => 'AGM']),
            Ask::quantity('nominal', 'Battery of', Unit::Volt)->ifAny(),
            Ask::quantity('max_drop', 'It may drop by', Unit::Volt)->ifAny(),
        ];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $kind = $limits->choice('kind', OpenCircuitVoltage::Flooded, 'the kind of battery');
        $nominal = $limits->optionalMeasure('nominal', 'the battery\'s voltage', Dimension::Voltage, Unit::Volt) ?? Quantity::of(12, Unit::Volt);
        $mostDrop = $limits->optionalMeasure('max_drop', 'the most it may drop', Dimension::Voltage, Unit::Volt) ?? Quantity::of(1, Unit::Volt);
        $rest = $entered->measure('rest_volts', 'the voltage at rest', Dimension::Voltage, Unit::Volt);
        $loaded = $entered->optionalMeasure('loaded_volts', 'the voltage under load', Dimension::Voltage, Unit::Volt);
        $seconds = $entered->optionalNumber('seconds', 'the seconds under load', aboveZero: true) ?? BigDecimal::of(10);
        $cells = max(1, (int) round($nominal->value->toFloat() / self::VOLTS_A_CELL));
        if ($rest !== null && $rest->value->isGreaterThan(BigDecimal::of(self::MOST_A_CELL)->multipliedBy($cells))) {
            $entered->fault('rest_volts', "{$rest->inWords()} is more than a {$nominal->inWords()} battery ever shows.");
        }
        if ($rest !== null && $loaded !== null && $loaded->compareTo($rest) > 0) {
            $entered->fault('loaded_volts', 'Under load it cannot show more than at rest.');
        }
        $limits->complete();
        $entered->complete();
        assert($rest !== null);

        $charge = $kind->stateOfCharge($rest->value, $cells)->toScale(1, RoundingMode::HALF_UP)->stripTrailingZeros();
        $drop = $loaded === null ? null : $rest->minus($loaded);
        [$verdict, $do] = match (true) {
            $drop !== null && $drop->compareTo($mostDrop) > 0 => [Verdict::Act, 'Clean and tighten the terminals, charge, test again; replace it if it drops again.'],
            $charge->isLessThan(50) => [Verdict::Act, 'Charge it and test again; left like this it spoils.'],
            $charge->isLessThan(75) => [Verdict::Watch, 'Charge it and test again.'],
            default => [Verdict::Fit, ''],
        };
        $dropped = $drop === null ? '' : "; it drops {$drop->inWords()} in {$seconds->stripTrailingZeros()} s, at most {$mostDrop->inWords()} is right";

        return new Judged($verdict, "{$rest->inWords()} at rest is {$charge} % charged for a {$kind->label()} battery{$dropped}.", $do,
            ['state_of_charge' => Answer::number($charge), 'drop' => $drop === null ? null : Answer::quantity($drop)],
            ['Open-circuit voltage of lead-acid batteries near 25 °C, handbook table, values from memory', 'common practice']);
    }
}
