<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Logbook\Acts\Act;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Notes\Circumstances;
use Core\Machine\SafetyWord;
use Core\Machine\SafetyWords;
use Core\Machine\Verdict;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** What keeps people off one machine, and what was lifted of it. A stand-down goes by the uuid of its entry, which is that of the act that it comes from. */
final readonly class StandDowns
{
    /** @param  Collection<string, Entry>  $entries  stand-downs and lifts that are not struck, by uuid */
    private function __construct(private Collection $entries, private SafetyWords $words) {}

    /**
     * @param  list<int>|null  $machineIds  none for the whole yard
     * @return Collection<int, self> by machine id, of those that anything was ever said of
     */
    public static function ofAll(?array $machineIds = null): Collection
    {
        return self::said()->with('person:id,name')
            ->when($machineIds !== null, fn ($entries) => $entries->whereIn('machine_id', $machineIds))
            ->orderBy('happened_at')->orderBy('id')->get()->toBase()
            ->groupBy('machine_id')
            ->map(fn (Collection $entries): self => new self(
                $entries->keyBy('uuid'),
                new SafetyWords(array_values($entries->map(self::word(...))->all())),
            ));
    }

    public static function of(Machine $machine): self
    {
        return self::ofAll([$machine->id])[$machine->id] ?? new self(new Collection, new SafetyWords([]));
    }

    /**
     * @param  list<int>|null  $machineIds  none for the whole yard
     * @return Collection<int, self> by machine id, those alone that stand down
     */
    public static function standingOf(?array $machineIds = null): Collection
    {
        return self::ofAll($machineIds)->filter(fn (self $said): bool => $said->words->isDown());
    }

    /** @return Collection<int, Entry> the stand-downs that nobody has lifted, the first one first */
    public function standing(): Collection
    {
        return collect($this->words->standing())->map(fn (SafetyWord $word): ?Entry => $this->entries[$word->id] ?? null)->filter();
    }

    public function find(string $uuid): ?Entry
    {
        $found = $this->entries[$uuid] ?? null;

        return $found?->kind === EntryKind::StoodDown ? $found : null;
    }

    public function stands(string $uuid): bool
    {
        return $this->find($uuid) !== null && $this->words->liftOf($uuid) === null;
    }

    /** The entry that lifted a stand-down, null while it stands. */
    public function liftOf(string $uuid): ?Entry
    {
        $lift = $this->words->liftOf($uuid);

        return $lift === null ? null : $this->entries[$lift->id];
    }

    /** A machine stands down where an act says so. */
    public static function byAct(Machine $machine, Act $act, Circumstances $circumstances): void
    {
        if ($act->verdict === Verdict::StandDown && $act->struck_at === null) {
            $because = implode(' ', array_filter([rtrim("{$act->title}: {$act->words}", ': .').'.', $act->note]));
            Entry::write(
                $machine,
                EntryKind::StoodDown,
                $circumstances,
                ['uuid' => $act->uuid, 'note' => mb_substr($because, 0, 1000), 'detail' => ['act' => $act->uuid]],
            );
        }
    }

    /**
     * Lifts those that are named, and no others.
     *
     * @param  list<string>  $standDowns
     * @param  array<string, mixed>  $columns
     */
    public static function lift(Machine $machine, array $standDowns, Circumstances $circumstances, array $columns = []): Entry
    {
        return Entry::write($machine, EntryKind::Lifted, $circumstances, [...$columns, 'detail' => ['lifts' => $standDowns]]);
    }

    /** @return Builder<Entry> what an entry, or an act of it, keeps people off the machine by */
    public static function saidIn(Entry $entry): Builder
    {
        return Entry::query()
            ->where(['machine_id' => $entry->machine_id, 'kind' => EntryKind::StoodDown])
            ->whereNull('struck_at')
            ->whereIn('uuid', [$entry->uuid, ...$entry->acts->where('verdict', Verdict::StandDown)->pluck('uuid')]);
    }

    /** @return Builder<Entry> */
    public static function said(): Builder
    {
        return Entry::query()->whereIn('kind', [EntryKind::StoodDown, EntryKind::Lifted])->whereNull('struck_at');
    }

    /** @return array<string, mixed>|null as the contract's `StoodDown`: the last that stands, and each of them */
    public static function shape(?self $said, Yard $yard): ?array
    {
        $standing = $said?->standing();
        $last = $standing?->last();

        return $last === null ? null : [
            ...self::wordShape($last, $yard),
            'words' => $standing->map(fn (Entry $entry): array => self::wordShape($entry, $yard))->all(),
        ];
    }

    /** @return array<string, mixed> as the contract's `StandDownWord` */
    private static function wordShape(Entry $entry, Yard $yard): array
    {
        return [
            'id' => $entry->uuid,
            'entry_id' => $entry->id,
            'by' => $entry->person?->name,
            'on' => $yard->dayOf($entry->happened_at)->format('Y-m-d'),
            'because' => $entry->note,
        ];
    }

    private static function word(Entry $entry): SafetyWord
    {
        return $entry->kind === EntryKind::StoodDown
            ? SafetyWord::standDown($entry->uuid, $entry->happened_at)
            : SafetyWord::lift($entry->uuid, $entry->happened_at, $entry->detail['lifts'] ?? []);
    }
}
