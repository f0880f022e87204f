<?php

declare(strict_types=1);

namespace App\Shelf\Stock;

use App\Logbook\EntryWords;
use App\Logbook\Stock\StockMove;
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
        $entries = StockMove::query()->where('supply_id', $supply->id)
            ->whereHas('entry', fn ($entries) => $entries->whereNull('struck_at'))
            ->whereDoesntHave('act', fn ($acts) => $acts->whereNotNull('struck_at'))
            ->orderByDesc('happened_at')->orderByDesc('id')->limit(self::LATELY * 4)
            ->with('entry.machine:id,name', 'entry.person:id,name', 'act:id,title,kind')
            ->get()->toBase()->groupBy('entry_id')->take(self::LATELY);

        return array_values($entries->map(fn (Collection $moves): array => self::told($supply, $moves))->all());
    }

    /**
     * @param  Collection<int, StockMove>  $moves  of one entry
     * @return array<string, mixed>
     */
    private static function told(Supply $supply, Collection $moves): array
    {
        $first = $moves->firstOrFail();
        $amount = BigDecimal::sum(...$moves->map(fn (StockMove $move): BigDecimal => BigDecimal::of($move->amount))->all());
        $entry = $first->entry;
        $for = $moves->map(fn (StockMove $move): ?string => $move->act?->title)->filter()->unique()->implode(', ');

        return [
            'id' => $first->id,
            'kind' => $first->kind->value,
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
