<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Fluids\RecordFluid;
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
use Core\LogLine\LoggedPour;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\Machine\ActKind;
use Illuminate\Support\Facades\Gate;

/** One line that names a machine, and what its meter shows or what fluid went in or out. */
final readonly class LineNote implements NoteKind
{
    public function __construct(
        private LineRead $lineRead,
        private LogReading $logReading,
        private RecordFluid $recordFluid,
        private Yard $yard,
    ) {
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
        Gate::forUser($note->by())->authorize($line->pour?->isOut === true ? 'service' : 'log', $machine);
        $told = $note->circumstances;
        $circumstances = $line->day === null ? $told
            : new Circumstances(
                $told->by,
                When::read($line->day->format('Y-m-d'), $this->yard, 'text'),
                $told->device,
                $told->note,
                $told->confirmedBecause,
            );
        if ($line->pour !== null) {
            return $this->pour($line, $line->pour, new Note($note->id, $machine, $circumstances, []));
        }
        $entry = Entry::write($machine, EntryKind::Reading, $circumstances, ['uuid' => $note->id]);
        foreach ($this->lineRead->readings($line, $machine) as [, $given]) {
            ($this->logReading)($machine, $given, $entry, $circumstances, 'text');
        }
        event(new FactsChanged([$machine->id], byReadingAlone: true));

        return new Written($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /** @throws Refusal if no one compartment is meant */
    private function pour(LogLine $line, LoggedPour $pour, Note $note): Written
    {
        try {
            $compartment = $this->lineRead->compartment($line, $pour, $note->machine());
        } catch (NotUnderstood $not) {
            throw Refusal::field('text', $not->getMessage());
        }
        $written = ($this->recordFluid)(
            $note->with(['spot' => $compartment->key, 'amount' => $pour->typed]),
            $pour->isOut ? ActKind::Drained : ActKind::ToppedUp,
            $pour->isOut ? EntryKind::Fluid : EntryKind::ToppedUp,
        );
        event(new FactsChanged([$note->machine()->id]));

        return $written;
    }
}
