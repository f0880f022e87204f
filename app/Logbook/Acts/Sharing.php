<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Machines\Spot;
use Core\Machine\SpotKind;
use Illuminate\Database\Eloquent\Collection;

/** Where compartments share their fluid, acts stand at the one that holds it, each once. */
final class Sharing
{
    /**
     * @param  list<GivenAct>  $acts
     * @return list<GivenAct>
     */
    public static function atHolders(array $acts): array
    {
        $sharers = array_filter(
            array_column($acts, 'spot'),
            fn (Spot $spot): bool => $spot->kind === SpotKind::Compartment && $spot->shares_with_id !== null,
        );
        if ($sharers === []) {
            return $acts;
        }
        (new Collection($sharers))->loadMissing('holder');
        $once = [];
        foreach ($acts as $act) {
            $moved = $act->at($act->spot->holder ?? $act->spot);
            $once["{$moved->spot->id} {$moved->kind->value} {$moved->check} {$moved->uuid}"] ??= $moved;
        }

        return array_values($once);
    }
}
