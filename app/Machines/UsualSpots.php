<?php

declare(strict_types=1);

namespace App\Machines;

use Core\Starter\Starters;
use Core\Starter\StarterSpot;
use Illuminate\Support\Facades\DB;

/** The spots that a machine of its class usually has. */
final class UsualSpots
{
    /** Gives a machine those of them that it lacks. */
    public static function begin(Machine $machine): void
    {
        $known = DB::table('spots')->where('machine_id', $machine->id)->pluck('id', 'key')->all();
        $lacking = array_diff_key(Starters::for($machine->class)->spots(), $known);
        $places = array_flip(array_keys(Starters::for($machine->class)->spots()));
        // What others belong to goes first.
        foreach ([null, true] as $hasParent) {
            $rows = array_filter(
                $lacking,
                fn (StarterSpot $spot): bool => ($spot->spot->parent === null) === ($hasParent === null),
            );
            DB::table('spots')->insert(
                array_values(
                    array_map(
                        fn (StarterSpot $spot): array => self::row($machine, $spot, $known, $places[$spot->spot->key]),
                        $rows,
                    ),
                ),
            );
            $known = DB::table('spots')->where('machine_id', $machine->id)->pluck('id', 'key')->all();
        }
        $points = array_filter($lacking, fn (StarterSpot $spot): bool => $spot->grease !== null);
        DB::table('grease_points')->insert(array_values(array_map(fn (StarterSpot $spot): array => [
            'spot_id' => $known[$spot->spot->key],
            'grease' => $spot->grease?->grease,
            'strokes' => $spot->grease?->strokes,
            'about' => true,
            'most' => $spot->grease?->most,
            'end_sign' => $spot->grease?->endSign->value,
        ], $points)));
        $machine->unsetRelation('spots');
    }

    /**
     * @param  array<string, int>  $ids  by key
     * @return array<string, mixed>
     */
    private static function row(Machine $machine, StarterSpot $starter, array $ids, int $position): array
    {
        $spot = $starter->spot;

        return [
            'machine_id' => $machine->id,
            'key' => $spot->key,
            'kind' => $spot->kind->value,
            'subject' => $spot->subject->value,
            'name' => $spot->name,
            'place' => $spot->at->place,
            'reach' => $spot->at->reach, 'trick' => $spot->at->trick, 'parent_id' => $spot->parent === null
                ? null
                : $ids[$spot->parent], 'compartment' => $spot->compartment?->value,
            'role' => $spot->role?->value, 'x' => $spot->at->mark[0], 'y' => $spot->at->mark[1], 'position' => $position,
        ];
    }
}
