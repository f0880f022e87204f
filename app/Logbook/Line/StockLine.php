<?php

declare(strict_types=1);

namespace App\Logbook\Line;

use App\Logbook\Stock\PutOnShelf;
use App\Logbook\Stock\Supply;
use App\Notes\Note;
use App\Notes\NoteOutcome;
use Core\LogLine\LoggedStock;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\Measure\Plain;
use Core\Supply\PartNumber;
use Core\Supply\SupplyKind;
use Illuminate\Database\Eloquent\Collection;

/** Something that came to the shelf. */
final readonly class StockLine implements SaidLine
{
    private const MOST_ASKED = 6;

    public function __construct(private PutOnShelf $putOnShelf) {}

    public function ability(LogLine $line): string
    {
        return 'service';
    }

    public function preview(LogLine $line): LinePreview
    {
        $stock = self::stockOf($line);
        $supply = $this->supply($line, $stock);
        $day = $line->day === null ? '' : ' on '.Plain::day($line->day);

        return new LinePreview(
            "{$stock->count} × ".($stock->size === null ? '' : "{$stock->size} ")."{$supply->name} came to the shelf{$day}.",
        );
    }

    public function write(LogLine $line, Note $note): NoteOutcome
    {
        $stock = self::stockOf($line);

        return ($this->putOnShelf)($note, $this->supply($line, $stock), $stock->count, $stock->size);
    }

    /** @throws NotUnderstood if nothing that is kept is called so, or more than one */
    private function supply(LogLine $line, LoggedStock $stock): Supply
    {
        $kind = $stock->size === null ? SupplyKind::Part : SupplyKind::Fluid;
        $all = Supply::query()->where('retired', false)->orderBy('name')->get();
        $named = self::named($stock->what, $all);
        $fitting = $named->where('kind', $kind);
        if ($fitting->count() === 1) {
            return $fitting->firstOrFail();
        }
        if ($fitting->isEmpty() && $named->isNotEmpty()) {
            throw new NotUnderstood($kind === SupplyKind::Part
                ? "{$named->firstOrFail()->name} comes in containers. Add their size, like shelf +2 x 5 L ".mb_strtolower($stock->what).'.'
                : "{$named->firstOrFail()->name} comes by the piece.");
        }
        $lines = fn (Supply $supply): string => implode(' ', array_filter([
            'shelf',
            "+{$stock->count}".($stock->size === null ? '' : " x {$stock->size}"),
            $supply->name,
            $line->dayWords,
        ]));
        throw new NotUnderstood(
            Plain::quoted($stock->what).($fitting->isEmpty() ? ' is nothing that is kept on the shelf.' : ' may be several things.'),
            array_values($fitting->take(self::MOST_ASKED)->map($lines)->all()),
        );
    }

    /**
     * Those of that name or number; else those whose name, number or label has every word.
     *
     * @param  Collection<int, Supply>  $all
     * @return Collection<int, Supply>
     */
    private static function named(string $words, Collection $all): Collection
    {
        $exact = $all->filter(
            fn (Supply $supply): bool => mb_strtolower($supply->name) === mb_strtolower($words)
                || PartNumber::same((string) $supply->number, $words),
        );
        $tokens = preg_split('/\s+/u', mb_strtolower($words), flags: PREG_SPLIT_NO_EMPTY) ?: [];

        return $exact->isNotEmpty() ? $exact : $all->filter(function (Supply $supply) use ($tokens): bool {
            $told = mb_strtolower("{$supply->name} {$supply->number} {$supply->toRecord()['in_words']}");

            return array_filter($tokens, fn (string $token): bool => ! str_contains($told, $token)) === [];
        });
    }

    private static function stockOf(LogLine $line): LoggedStock
    {
        return $line->stock ?? throw new \LogicException('The line tells of nothing that came.');
    }
}
