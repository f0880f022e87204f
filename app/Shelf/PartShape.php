<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Machines\Sheets;
use App\Machines\Spot;
use Core\Machine\SpotKind;
use Illuminate\Database\Eloquent\Collection;

/** The parts of a machine at their places: what belongs there, what is in there, how often a seal was used again. */
final class PartShape
{
    /**
     * @param  Collection<int, Spot>  $spots  of one machine, with their sheets
     * @return list<array<string, mixed>> as the contract's `PartPlace`
     */
    public static function all(Collection $spots, Fitted $fitted): array
    {
        return array_values($spots->where('kind', SpotKind::Part)->map(
            fn (Spot $place): array => self::of($place, $spots, $fitted),
        )->all());
    }

    /**
     * @param  Collection<int, Spot>  $spots  of its machine
     * @return array<string, mixed>
     */
    public static function of(Spot $place, Collection $spots, Fitted $fitted): array
    {
        $sheet = Sheets::part($place);
        $last = $fitted->last($place->id);
        $answer = $last?->number === null ? null : $sheet->numbers->answerFor($last->number);

        return [
            ...$place->only('id', 'key', 'name', 'place', 'version'),
            'in' => $spots->find($place->parent_id)?->key,
            'sheet' => $place->sheet?->written,
            'to_buy' => $sheet->numbers->toBuy(),
            'fitted' => $last === null ? null : [
                'number' => $last->number,
                'at' => (new \DateTimeImmutable($last->happened_at))->format(DATE_ATOM),
                ...$answer ?? ['will_do' => null, 'why' => ''],
                'found' => $last->found,
            ],
            'times_reused' => $fitted->timesReused($place->id),
        ];
    }
}
