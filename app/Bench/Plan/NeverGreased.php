<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use App\Logbook\Acts\Act;
use App\Machines\Machine;
use App\Machines\Spot;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\SpotKind;

/** The grease points that nobody has ever recorded: behind plates, on pivots, got at while something else is off. */
final class NeverGreased
{
    /** @return list<array{id: int, name: string, reach: string}> */
    public static function of(Machine $machine): array
    {
        return array_values($machine->spots()->where(['kind' => SpotKind::GreasePoint, 'retired' => false])
            ->whereNotIn('id', Act::query()->standing()->select('spot_id')->whereNotNull('spot_id')->where([
                'kind' => ActKind::Lubricated,
                'outcome' => Outcome::Done,
            ]))
            ->get()
            ->map(fn (Spot $spot): array => [
                'id' => $spot->id,
                'name' => $spot->name,
                'reach' => $spot->reach !== '' ? $spot->reach : $spot->place,
            ])->all());
    }
}
