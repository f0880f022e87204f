<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Machines\Machine;
use App\Machines\Spot;
use Brick\Math\BigDecimal;
use Core\Machine\SpotKind;

/** What a spot holds, and what the tasks that are done there take: a part of the contract's `SpotStory`. */
final class SpotHolds
{
    /**
     * @param  BigDecimal|null  $now  hours run by now
     * @return array<string, mixed> `fluid`, `part_place` and `takes` of the contract's `SpotStory`
     */
    public static function of(Spot $spot, Machine $machine, ?BigDecimal $now, CompartmentShape $shape): array
    {
        $spots = $machine->loadMissing('spots.sheet')->spots;
        $own = $spots->find($spot->id) ?? $spot;
        $fitted = Fitted::at($spots->pluck('id')->all());

        return [
            'fluid' => $own->kind !== SpotKind::Compartment ? null : [
                ...$shape->of($machine, $own, $spots),
                'life' => LifeShape::of($spots->find($own->shares_with_id) ?? $own, $spots, $now)->told(),
            ],
            'part_place' => $own->kind === SpotKind::Part ? PartShape::of($own, $spots, $fitted) : null,
            'takes' => (new TakenByTasks($machine, $spots, $fitted))->at($own),
        ];
    }
}
