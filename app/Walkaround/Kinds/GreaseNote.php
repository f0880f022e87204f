<?php

declare(strict_types=1);

namespace App\Walkaround\Kinds;

use App\Contract\Refusal;
use App\Logbook\Acts\Greasing;
use App\Logbook\Acts\WriteActs;
use App\Logbook\EntryKind;
use App\Logbook\OccasionOf;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\Written;
use Core\Inspect\RoundKind;
use Core\Machine\SpotKind;

/** A point was greased, or the grease did not go in. */
final readonly class GreaseNote implements NoteKind
{
    private const MOST_STROKES = 500;

    public function __construct(private OccasionOf $occasion, private WriteActs $writeActs)
    {
    }

    public function rules(?Machine $machine): array
    {
        return [
            'spot' => ['required', 'string', 'max:40'],
            'did_not_go_in' => ['sometimes', 'boolean'],
            'strokes' => ['required_unless:did_not_go_in,true', 'nullable', 'integer', 'between:1,'.self::MOST_STROKES],
            'sign_seen' => ['sometimes', 'boolean'],
        ];
    }

    public function messages(): array
    {
        return [
            'strokes.between' => 'From 1 to '.self::MOST_STROKES.' strokes.',
            'strokes.required_unless' => 'Say how many strokes, or that it did not go in.',
        ];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): Written
    {
        $machine = $note->machine();
        $given = $note->given;
        $spot = Spot::query()->where(
            ['machine_id' => $machine->id, 'key' => $given['spot'], 'kind' => SpotKind::GreasePoint],
        )
            ->with('grease')
            ->first()
            ?? throw Refusal::field('spot', "{$machine->name} has no such grease point.");
        $act = Greasing::act(
            $spot,
            ($given['did_not_go_in'] ?? false) !== true,
            $given['strokes'] ?? null,
            $given['sign_seen'] ?? false,
            note: $note->circumstances->note,
            uuid: $note->id,
            replaces: $note->replaces,
        );
        $entry = $this->occasion->entry($note, EntryKind::Round, $note->job === null ? RoundKind::Grease : null);
        ($this->writeActs)($machine, $entry, [$act], $note->circumstances);

        return new Written($entry->id);
    }
}
