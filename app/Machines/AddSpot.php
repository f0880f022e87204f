<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Refusal;
use Core\Grease\EndSign;
use Core\Machine\SpotKind;
use Core\Machine\Subject;
use Illuminate\Support\Str;

/** Puts a spot of the keeper's own on a machine. Its key is made of its name and stays when it is renamed. */
final class AddSpot
{
    private const LONGEST_KEY = 40;

    /** Ten times what the largest starter has. */
    private const MOST = 1000;

    /** @param  array<string, mixed>  $given  as {@see SpotRequest} validates it */
    public function __invoke(Machine $machine, array $given): Spot
    {
        if ($machine->spots()->count() >= self::MOST) {
            throw Refusal::conflict("{$machine->name} has ".self::MOST.' places: nobody looks after more. Take some out first.');
        }
        $kind = SpotKind::from($given['kind']);
        $spot = Spot::query()->create([
            'subject' => $kind === SpotKind::GreasePoint ? Subject::Grease : Subject::Other,
            'position' => (float) $machine->spots()->max('position') + 1,
            ...SpotRequest::columns($given, $machine),
            'machine_id' => $machine->id,
            'key' => self::key($machine, $given['name']),
        ]);
        if ($kind === SpotKind::GreasePoint) {
            $spot->grease()->create([
                'strokes' => 2,
                'end_sign' => EndSign::Shows,
                'about' => ! isset($given['grease']['strokes']),
                ...$given['grease'] ?? [],
            ]);
        }
        if (isset($given['sheet'])) {
            Sheets::write($spot, $given['sheet']);
        }
        $machine->unsetRelation('spots');

        return $spot;
    }

    private static function key(Machine $machine, string $name): string
    {
        $key = $base = mb_substr(Str::slug($name, '_') ?: 'spot', 0, self::LONGEST_KEY - 4);
        for ($count = 2; Spot::query()->where(['machine_id' => $machine->id, 'key' => $key])->exists(); $count++) {
            $key = "{$base}_{$count}";
        }

        return $key;
    }
}
