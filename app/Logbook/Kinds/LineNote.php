<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Logbook\Line\LineRead;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use App\Notes\When;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;

/** One line of words: of a machine or several what the meter shows, what went in or out, or what was done; or what came to the shelf. */
final readonly class LineNote implements NoteKind
{
    public function __construct(private LineRead $lineRead, private Yard $yard) {}

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

    public function write(Note $note): NoteOutcome
    {
        try {
            $lines = $this->lineRead->lines($note->given['text']);
            $machines = self::locked($lines);
            $written = [];
            foreach ($lines as $index => [$line, $said]) {
                $machine = $machines[(int) $line->machineId] ?? null;
                Gate::forUser($note->by())->authorize($said->ability($line), $machine ?? Machine::class);
                $written[] = $said->write($line, new Note(
                    $index === 0 ? $note->id : (string) Str::uuid(),
                    $machine,
                    $this->circumstances($note->circumstances, $line),
                    [],
                ));
            }
        } catch (NotUnderstood $not) {
            throw Refusal::field('text', $not->getMessage());
        }
        [$first, $others] = [$written[0], array_slice($written, 1)];

        return new NoteOutcome($first->entryId, [
            ...$first->more,
            ...$others === []
                ? []
                : ['others' => array_map(fn (NoteOutcome $other): array => $other->more['entry'], $others)],
        ]);
    }

    /**
     * All at once and in one order, so that two devices never wait for each other.
     *
     * @param  non-empty-list<array{LogLine, mixed}>  $lines
     * @return array<int, Machine> by id
     */
    private static function locked(array $lines): array
    {
        $ids = array_unique(array_filter(array_map(fn (array $said): int => (int) $said[0]->machineId, $lines)));
        sort($ids);

        return array_combine($ids, array_map(fn (int $id): Machine => Machine::lockForWriting($id), $ids));
    }

    private function circumstances(Circumstances $told, LogLine $line): Circumstances
    {
        return $line->day === null ? $told : $told->at(When::read($line->day->format('Y-m-d'), $this->yard, 'text'));
    }
}
