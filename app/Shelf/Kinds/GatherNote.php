<?php

declare(strict_types=1);

namespace App\Shelf\Kinds;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use App\Shelf\Ready\GatheringList;
use Illuminate\Support\Facades\DB;

/** A line of a list was got together, or put back. */
final readonly class GatherNote implements NoteKind
{
    public function __construct(private Yard $yard) {}

    public function rules(?Machine $machine): array
    {
        return [
            'list' => ['required', 'integer'],
            'item' => ['required', 'string', 'max:160'],
            'got' => ['required', 'boolean'],
        ];
    }

    public function messages(): array
    {
        return ['list.required' => 'Say which list.', 'item.required' => 'Say what was got.'];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $list = GatheringList::query()->lockForUpdate()->find((int) $note->given['list'])
            ?? throw Refusal::field('list', 'There is no such list any more.');
        $entry = $this->entry($note, $list);
        DB::table('gathered')->insert([
            'entry_id' => $entry->id,
            'gathering_list_id' => $list->id,
            'item' => $note->given['item'],
            'got' => $note->given['got'],
            'happened_at' => $note->circumstances->when->end,
        ]);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /** One line of the logbook for what one person gathers for one list on one day. */
    private function entry(Note $note, GatheringList $list): Entry
    {
        $circumstances = $note->circumstances;
        $day = $this->yard->dayOf($circumstances->when->at)->format('Y-m-d');

        return Entry::query()->where([
            'kind' => EntryKind::Gathered,
            'person_id' => $circumstances->by?->id,
            'device' => $circumstances->device,
            'detail->list' => $list->id,
            'detail->day' => $day,
        ])->whereNull('struck_at')->first()
            ?? Entry::write(null, EntryKind::Gathered, $circumstances, [
                'detail' => ['list' => $list->id, 'day' => $day, 'words' => "Gathered for {$list->name}"],
            ]);
    }
}
