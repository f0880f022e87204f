<?php

declare(strict_types=1);

namespace App\Rulebook\Kinds;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Logbook\Readings\Reading;
use App\Logbook\Told\WriteTold;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use App\Rulebook\CountFromNowOn;
use App\Rulebook\RecordService;
use App\Rulebook\ServiceFields;

/** A service: the tasks done, what else was done, and what the meters showed. */
final readonly class ServiceNote implements NoteKind
{
    public function __construct(
        private RecordService $recordService,
        private LogReading $logReading,
        private WriteTold $writeTold,
        private CountFromNowOn $countFromNowOn,
    ) {}

    public function rules(?Machine $machine): array
    {
        return ServiceFields::rules($machine);
    }

    public function messages(): array
    {
        return ServiceFields::messages();
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $told = $this->recordService->told($machine, $note->given);
        $entry = Entry::write(
            $machine,
            EntryKind::Service,
            $note->circumstances,
            ['uuid' => $note->id, 'job_id' => $note->job],
        );
        foreach (GivenReading::each([...$note->given, ...self::unread($note)]) as $reading) {
            ($this->logReading)($machine, $reading, $entry, $note->circumstances, $reading->field());
        }
        ($this->writeTold)($machine, $entry, $told, $note->circumstances);
        ($this->countFromNowOn)($machine, $note->given['anchors'] ?? [], $note->circumstances);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /** @return array<string, string> what the meters showed then that nobody read, by their fields */
    private static function unread(Note $note): array
    {
        $shown = [];
        foreach ($note->machine()->currentMeters() as $meter) {
            $field = (string) array_search($meter->unit->limit(), GivenReading::FIELDS, true);
            if (! isset($note->given[$field])) {
                $shown[$field] = (string) Reading::lastShown($meter, $note->circumstances->when->at);
            }
        }

        return $shown;
    }
}
