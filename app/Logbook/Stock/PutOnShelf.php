<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Notes\Note;
use App\Notes\NoteOutcome;
use Brick\Math\BigDecimal;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Supply\SoldIn;

/** Writes down that containers or pieces of something came to the shelf. */
final readonly class PutOnShelf
{
    /**
     * @param  string|null  $size  of one container, as typed; null of a part
     * @param  BigDecimal|null  $price  of one, kept with the supply
     * @param  string|null  $useBy  the day printed on them
     * @param  bool  $wasThere  whether they stood there already and were never written down
     */
    public function __invoke(
        Note $note,
        Supply $supply,
        int $count,
        ?string $size,
        ?BigDecimal $price = null,
        ?string $useBy = null,
        bool $wasThere = false,
    ): NoteOutcome {
        $words = "{$count} × ".($size === null ? '' : "{$size} ").$supply->name;
        $entry = Entry::write(null, EntryKind::Bought, $note->circumstances, [
            'uuid' => $note->id,
            'detail' => ['words' => ($wasThere ? 'Stood on the shelf already: ' : 'Came to the shelf: ').$words],
        ]);
        $litres = $size === null ? null : (string) Quantity::parse($size)->to(Unit::Litre)->rounded();
        foreach (range(1, $litres === null ? 1 : $count) as $ignored) {
            Move::query()->create([
                'entry_id' => $entry->id,
                'supply_id' => $supply->id,
                'to_container_id' => $litres === null ? null : Container::query()->create([
                    'supply_id' => $supply->id,
                    'entry_id' => $entry->id,
                    'size' => $size,
                    'litres' => $litres,
                    'use_by' => $useBy,
                ])->id,
                'kind' => MoveKind::Came,
                'amount' => $litres ?? (string) $count,
                'typed' => $size,
                'happened_at' => $entry->happened_at,
            ]);
        }
        if ($price !== null) {
            self::learnPrice($supply, $size, SoldIn::price($price));
        }

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /** What was paid last is what it costs. */
    private static function learnPrice(Supply $supply, ?string $size, string $price): void
    {
        $rows = [];
        $isNew = true;
        foreach ($supply->sold_in as $row) {
            $isSame = $size === null || Quantity::parse($row['size'] ?? '')->compareTo(Quantity::parse($size)) === 0;
            $isNew = $isNew && ! $isSame;
            $rows[] = $isSame ? [...$row, 'price' => $price] : $row;
        }
        if ($isNew) {
            $rows[] = ($size === null ? [] : ['size' => $size]) + ['price' => $price];
        }
        $supply->update(['sold_in' => $rows, 'version' => $supply->version + 1]);
    }
}
