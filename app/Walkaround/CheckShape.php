<?php

declare(strict_types=1);

namespace App\Walkaround;

use Core\Inspect\Ask;
use Core\Inspect\AskKind;
use Core\Inspect\Check;
use Core\Inspect\Degree;
use Core\Inspect\QuickLimit;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;

/** A check as the contract's `Check`. */
final class CheckShape
{
    /** @return array<string, mixed> */
    public static function of(Check $check): array
    {
        $instrument = $check->measuring->by?->instrument();

        return [
            'key' => $check->key,
            'spot' => $check->manner->spot,
            'title' => $check->title,
            'place' => $check->manner->place,
            'how' => $check->manner->how,
            'fine' => $check->manner->fine,
            'caution' => $check->caution(),
            'rounds' => array_column($check->turn->rounds, 'value'),
            'degrees' => array_map(self::degree(...), $check->degrees()),
            'measurement' => $check->measuring->by?->value,
            'asks' => array_map(fn (Ask $ask): array => self::ask($ask, $check->measuring->limits), $check->asks()),
            'limit_asks' => array_map(
                fn (Ask $ask): array => self::ask($ask, $check->measuring->limits),
                $instrument?->limits() ?? [],
            ),
            'limits' => (object) $check->measuring->limits,
            'limit_source' => $check->measuring->source->value,
            'window' => $check->turn->window === null
                ? null
                : ['from' => $check->turn->window->from(), 'to' => $check->turn->window->to()],
            'after' => $check->turn->after,
            'can_stand_down' => $check->canStandDown(),
            'quick' => self::quick($check),
        ];
    }

    /** @return array{words: string, verdict: string} as the contract's `Degree` */
    public static function degree(Degree $degree): array
    {
        return ['words' => $degree->words, 'verdict' => $degree->verdict->value];
    }

    /** @return array<string, mixed>|null a limit for where there is no signal, as the contract's `QuickLimit` */
    private static function quick(Check $check): ?array
    {
        $limit = $check->quickLimit();

        return $limit === null ? null : [
            'fields' => array_map(
                fn (string $name, int $sign): array => ['name' => $name, 'sign' => $sign],
                array_keys($limit->fields),
                array_values($limit->fields),
            ),
            'unit' => $limit->unit->symbol(),
            'per_unit' => QuickLimit::PER_UNIT,
            'bands' => array_map(
                fn (array $band): array => ['below' => $band[0], 'verdict' => $band[1]->value, 'words' => $band[2]],
                $limit->bands,
            ),
            'unless' => $limit->unless,
        ];
    }

    /**
     * @param  array<string, string>  $limits
     * @return array<string, mixed>
     */
    private static function ask(Ask $ask, array $limits): array
    {
        $unit = self::unit($ask, $limits);

        return [
            'name' => $ask->name,
            'label' => $ask->label,
            'kind' => $ask->kind->value,
            'optional' => $ask->optional,
            'unit' => $unit?->symbol(),
            'step' => $ask->kind === AskKind::Quantity ? self::step($unit) : null,
            'options' => array_map(
                fn (string $value, string $label): array => ['value' => $value, 'label' => $label],
                array_keys($ask->options),
                array_values($ask->options),
            ),
        ];
    }

    /**
     * A thing is entered in the unit that its limit is written in.
     *
     * @param  array<string, mixed>  $limits
     */
    private static function unit(Ask $ask, array $limits): ?Unit
    {
        $written = $limits[$ask->like ?? $ask->name] ?? null;
        try {
            return $written === null || $ask->unit === null ? $ask->unit : Quantity::parse($written, $ask->unit)->unit;
        } catch (Unreadable) {
            return $ask->unit;
        }
    }

    /** What one press of the large keys changes. */
    private static function step(?Unit $unit): string
    {
        return match ($unit) {
            Unit::Inch => '1/16',
            Unit::Volt, Unit::Litre, Unit::UsQuart, Unit::Bar => '0.1',
            Unit::Millimetre => '0.5',
            Unit::Millilitre, Unit::Kilopascal => '10',
            default => '1',
        };
    }
}
