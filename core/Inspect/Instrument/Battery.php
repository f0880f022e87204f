<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Inspect\OpenCircuitVoltage;
use Core\Machine\Verdict;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** A lead-acid battery or a pack of them: its voltage at rest tells the charge, the drop under a load tells its health. */
final class Battery implements Instrument
{
    private const VOLTS_A_CELL = 2;

    /** Batteries and packs that are made. */
    private const NOMINAL = [6, 8, 12, 24, 36, 48];

    /** Above this a cell is being charged, or was a moment ago: common practice, no source. */
    private const RESTED_A_CELL = '2.2';

    /** The load that a drop is stated for, and how long one may last to be judged in proportion. */
    private const SECONDS = 10;

    private const MOST_SECONDS = 15;

    /** No cell ever stands above this: it is another battery. */
    private const MOST_A_CELL = '2.75';

    private const SOURCES = [
        'Open-circuit voltage of lead-acid batteries near 25 °C, handbook table, values from memory',
        'common practice',
    ];

    public function asks(array $limits = []): array
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
            Ask::quantity('max_drop', 'A 12 V battery may drop by', Unit::Volt)->ifAny(),
        ];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $kind = $limits->choice('kind', OpenCircuitVoltage::Flooded, 'the kind of battery');
        $nominal = $limits->optionalMeasure('nominal', 'the battery\'s voltage', Dimension::Voltage, Unit::Volt)
            ?? Quantity::of(12, Unit::Volt);
        $mostDrop = $limits->optionalMeasure('max_drop', 'the most it may drop', Dimension::Voltage, Unit::Volt)
            ?? Quantity::of(1, Unit::Volt);
        $rest = $entered->measure('rest_volts', 'the voltage at rest', Dimension::Voltage, Unit::Volt);
        $loaded = $entered->optionalMeasure('loaded_volts', 'the voltage under load', Dimension::Voltage, Unit::Volt);
        $seconds = $entered->optionalNumber('seconds', 'the seconds under load', aboveZero: true) ?? BigDecimal::of(10);
        if (! in_array((string) $nominal->rounded(), array_map(strval(...), self::NOMINAL), true)) {
            $limits->fault('nominal', 'A battery or pack is of '.implode(', ', self::NOMINAL).' V.');
        }
        $cells = max(1, (int) round($nominal->value->toFloat() / self::VOLTS_A_CELL));
        if ($rest !== null && $rest->value->isGreaterThan(BigDecimal::of(self::MOST_A_CELL)->multipliedBy($cells))) {
            $entered->fault(
                'rest_volts',
                "{$rest->inWords()} is more than a {$nominal->inWords()} battery ever shows.",
            );
        }
        if ($rest !== null && $loaded !== null && $loaded->compareTo($rest) > 0) {
            $entered->fault('loaded_volts', 'Under load it cannot show more than at rest.');
        }
        $limits->complete();
        $entered->complete();
        assert($rest !== null);
        $charge = $kind->stateOfCharge($rest->value, $cells)->toScale(1, RoundingMode::HALF_UP)->stripTrailingZeros();
        $drop = $loaded === null ? null : $rest->minus($loaded);
        $fields = [
            'state_of_charge' => Notation::number($charge),
            'drop' => $drop === null ? null : Notation::quantity($drop),
        ];
        $first = $this->asksFirst($rest, $loaded, $cells, $seconds);
        if ($first !== null) {
            return new Judged(null, "{$first[0]}, so this is no reading.", $first[1], $fields, self::SOURCES);
        }
        $allowed = Quantity::of(
            $mostDrop->value->multipliedBy($nominal->value)->multipliedBy($seconds)->dividedBy(12 * self::SECONDS),
            Unit::Volt,
        );
        [$verdict, $do] = match (true) {
            $drop !== null
                && $drop->compareTo($allowed) > 0 => [
                    Verdict::Act,
                    'Clean and tighten the terminals, charge, test again; replace it if it drops again.',
                ],
            $charge->isLessThan(50) => [Verdict::Act, 'Charge it and test again; left like this it spoils.'],
            $charge->isLessThan(75) => [Verdict::Watch, 'Charge it and test again.'],
            default => [Verdict::Fit, ''],
        };
        $dropped = $drop === null
            ? ''
            : "; it drops {$drop->inWords()} in {$seconds->stripTrailingZeros()} s, at most {$allowed->inWords()} is right";

        return new Judged(
            $verdict,
            "{$rest->inWords()} at rest is {$charge} % charged for a {$nominal->inWords()} {$kind->label()} battery{$dropped}.",
            $do,
            $fields,
            self::SOURCES,
        );
    }

    /** @return array{string, string}|null why it tells nothing, and what to do first */
    private function asksFirst(Quantity $rest, ?Quantity $loaded, int $cells, BigDecimal $seconds): ?array
    {
        return match (true) {
            $rest->value->isZero(), $loaded?->value->isZero() => [
                '0 V is no contact',
                'Look at the tester\'s leads and the posts, then measure again.',
            ],
            $rest->value->isGreaterThan(BigDecimal::of(self::RESTED_A_CELL)->multipliedBy($cells)) => [
                "{$rest->inWords()} is over ".Quantity::of(
                    BigDecimal::of(self::RESTED_A_CELL)->multipliedBy($cells),
                    Unit::Volt,
                )->inWords().': it is being charged, or was a moment ago',
                'Charger off, let it rest some hours, then measure again.',
            ],
            $loaded !== null
                && $seconds->isGreaterThan(self::MOST_SECONDS) => [
                    "After {$seconds->stripTrailingZeros()} s under load every battery sinks",
                    'Let it rest, load it for '.self::SECONDS.' s and measure again.',
                ],
            default => null,
        };
    }
}
