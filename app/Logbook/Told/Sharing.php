<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Machines\Spot;
use Core\Machine\SpotKind;
use Illuminate\Database\Eloquent\Collection;

/** Where compartments share their fluid, what is told stands at the one that holds it, each once. */
final class Sharing
{
    /**
     * @param  list<Told>  $told
     * @return list<Told>
     */
    public static function atHolders(array $told): array
    {
        $sharers = array_filter(
            array_column($told, 'spot'),
            fn (Spot $spot): bool => $spot->kind === SpotKind::Compartment && $spot->shares_with_id !== null,
        );
        if ($sharers === []) {
            return $told;
        }
        (new Collection($sharers))->loadMissing('holder');
        $once = [];
        foreach ($told as $one) {
            $moved = $one->at($one->spot->holder ?? $one->spot);
            $once["{$moved->spot->id} {$moved->kind()->value} {$moved->check()} {$moved->telling->uuid}"] ??= $moved;
        }

        return array_values($once);
    }
}
