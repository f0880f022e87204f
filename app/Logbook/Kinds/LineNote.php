<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\LineRead;
use App\Logbook\Readings\LogReading;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\When;
use App\Notes\Written;
use Core\LogLine\NotUnderstood;
use Illuminate\Support\Facades\Gate;

/** One line that names a machine and what its meter shows. */
final readonly class LineNote implements NoteKind
{
    public function __construct(private LineRead $lineRead, private LogReading $logReading, private Yard $yard)
    {
    }

    public function rules(?Machine $machine): array
    {
        return ['text' => ['required', 'string', 'max:200']];
    }

    public function messages(): array
    {
        return [];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): Written
    {
        try {
            $line = $this->lineRead->parse($note->given['text']);
        } catch (NotUnderstood $not) {
            throw Refusal::field('text', $not->getMessage());
        }
        $machine = Machine::lockForWriting((int) $line->machineId);
        Gate::forUser($note->by())->authorize('log', $machine);
        $told = $note->circumstances;
        $circumstances = $line->day === null ? $told
            : new Circumstances(
                $told->by,
                When::read($line->day->format('Y-m-d'), $this->yard, 'text'),
                $told->device,
                $told->note,
                $told->confirmedBecause,
            );
        $entry = Entry::write($machine, EntryKind::Reading, $circumstances, ['uuid' => $note->id]);
        foreach ($this->lineRead->readings($line, $machine) as [, $given]) {
            ($this->logReading)($machine, $given, $entry, $circumstances, 'text');
        }
        event(new FactsChanged([$machine->id], byReadingAlone: true));

        return new Written($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
