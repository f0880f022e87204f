<?php

declare(strict_types=1);

namespace App\Shelf\Stock;

use App\Logbook\EntryWords;
use App\Logbook\Stock\Move;
use App\Logbook\Stock\MoveKind;
use App\Logbook\Stock\Supply;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;

/** What came to the shelf and went from it lately. */
final class SupplyMoves
{
    private const LATELY = 12;

    /** @return list<array<string, mixed>> newest first, what belongs to one entry together */
    public static function lately(Supply $supply): array
    {
        $entries = Move::query()->where('supply_id', $supply->id)
            ->standing()
            ->where('kind', '!=', MoveKind::Drained)
            ->whereNotNull('amount')
            ->orderByDesc('happened_at')->orderByDesc('id')->limit(self::LATELY * 4)
            ->with('entry.readings', 'entry.machine:id,name', 'entry.person:id,name', 'act:id,title,kind')
            ->get()->toBase()->groupBy('entry_id')->take(self::LATELY);

        return array_values($entries->map(fn (Collection $moves): array => self::told($supply, $moves))->all());
    }

    /**
     * @param  Collection<int, Move>  $moves  of one entry
     * @return array<string, mixed>
     */
    private static function told(Supply $supply, Collection $moves): array
    {
        $first = $moves->firstOrFail();
        $amount = BigDecimal::sum(...$moves->map(fn (Move $move): BigDecimal => BigDecimal::of((string) $move->amount))->all());
        $entry = $first->entry;
        $for = $moves->map(fn (Move $move): ?string => $move->act?->title)->filter()->unique()->implode(', ');

        return [
            'id' => $first->id,
            'kind' => match ($first->kind) {
                MoveKind::Came => 'in',
                MoveKind::Counted => 'counted',
                default => 'out',
            },
            'in_words' => $entry->machine === null
                ? EntryWords::of($entry)
                : LeftWords::of($supply, $amount).' for '.$entry->machine->name.($for === '' ? '' : ": {$for}"),
            'machine_id' => $entry->machine_id,
            'note' => $entry->note,
            'at' => $entry->happened_at->toAtomString(),
            'by' => $entry->person?->name,
        ];
    }
}
