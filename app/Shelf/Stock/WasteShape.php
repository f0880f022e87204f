<?php

declare(strict_types=1);

namespace App\Shelf\Stock;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use Brick\Math\BigDecimal;
use Core\Machine\ActKind;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;
use Core\Supply\PartKind;
use Core\Supply\Waste\Waste;
use Core\Supply\Waste\WasteKind;
use Core\Supply\Waste\WasteTally;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What waits to be taken to the collection point. */
final class WasteShape
{
    /** @return list<array<string, mixed>> as the contract's `Waiting`, what there is any of */
    public static function all(): array
    {
        $collected = Entry::query()->where('kind', EntryKind::Collected)->whereNull('struck_at')
            ->orderBy('happened_at')->orderBy('id')->get()
            ->keyBy(fn (Entry $entry): string => $entry->detail['waste'] ?? '');
        $since = $collected->count() === count(WasteKind::cases()) ? (string) $collected->min('happened_at') : null;
        $waste = [...self::fluids($since), ...self::filters($since)];
        $waiting = [];
        foreach (WasteKind::cases() as $kind) {
            $last = $collected[$kind->value] ?? null;
            $tally = WasteTally::of(
                $kind,
                array_values(array_filter($waste, fn (Waste $one): bool => $one->kind === $kind)),
                $last?->happened_at,
                $last === null ? null : BigDecimal::of($last->detail['left'] ?? '0'),
            );
            if (! $tally->amount->isZero() || $tally->unmeasured > 0) {
                $waiting[] = [
                    'waste' => $kind->value,
                    'label' => $kind->label(),
                    'in_words' => $tally->inWords(),
                    'why' => $tally->why,
                ];
            }
        }

        return $waiting;
    }

    /** @return list<Waste> */
    private static function fluids(?string $since): array
    {
        $rows = self::acts($since, [ActKind::Drained, ActKind::Changed])
            ->leftJoin('spots as housing', 'housing.id', '=', 'spots.parent_id')
            ->leftJoin('moves', 'moves.act_id', '=', 'acts.id')
            ->where(fn (Builder $spots) => $spots->where('spots.kind', SpotKind::Compartment)
                ->orWhereIn('spots.role', [OpeningRole::Drain, OpeningRole::Draw]))
            ->get([
                'acts.kind',
                'acts.happened_at',
                'moves.amount as litres',
                DB::raw('coalesce(entries.job_id, entries.id) as occasion'),
                DB::raw('coalesce(spots.compartment, housing.compartment) as compartment'),
                DB::raw('if(spots.kind = \'compartment\', spots.id, housing.id) as holder'),
            ]);
        $waste = [];
        foreach ($rows as $row) {
            $housing = CompartmentKind::tryFrom((string) $row->compartment) ?? CompartmentKind::Engine;
            $kind = WasteKind::outOf($housing);
            $litres = $row->litres === null ? null : BigDecimal::of($row->litres);
            $isOut = $row->kind === ActKind::Drained->value;
            if ($kind !== null) {
                $waste[] = new Waste(
                    $kind,
                    "{$row->occasion} {$row->holder}",
                    new \DateTimeImmutable($row->happened_at),
                    $isOut ? $litres : null,
                    $isOut ? null : $litres,
                );
            }
        }

        return $waste;
    }

    /** @return list<Waste> those that held fluid, each of them one */
    private static function filters(?string $since): array
    {
        return array_values(self::acts($since, [ActKind::Replaced])
            ->join('sheets', 'sheets.spot_id', '=', 'spots.id')
            ->whereNotNull('spots.parent_id')
            ->whereIn(DB::raw("json_value(sheets.written, '$.kind')"), PartKind::filters())
            ->get(['acts.id', 'acts.happened_at'])
            ->map(fn (\stdClass $row): Waste => new Waste(
                WasteKind::Filters,
                "filter {$row->id}",
                new \DateTimeImmutable($row->happened_at),
                BigDecimal::one(),
            ))->all());
    }

    /** @param  list<ActKind>  $kinds */
    private static function acts(?string $since, array $kinds): Builder
    {
        return DB::table('acts')
            ->join('spots', 'spots.id', '=', 'acts.spot_id')
            ->join('entries', 'entries.id', '=', 'acts.entry_id')
            ->whereNull('acts.struck_at')
            ->whereIn('acts.kind', $kinds)
            ->when($since, fn (Builder $acts, string $moment) => $acts->where('acts.happened_at', '>', $moment));
    }
}
