<?php

declare(strict_types=1);

namespace App\Logbook\Line;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\OccasionOf;
use App\Logbook\Told\DoneAt;
use App\Logbook\Told\Told;
use App\Logbook\Told\WriteTold;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\Notes\Note;
use App\Notes\NoteOutcome;
use Core\Inspect\RoundKind;
use Core\LogLine\LoggedWork;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\SpotKind;
use Core\Machine\SpotWords;
use Core\Machine\TaskKind;
use Core\Measure\Plain;
use Illuminate\Database\Eloquent\Collection;

/** Something done at a place: a part replaced or cleaned, a fluid changed, points greased. */
final readonly class WorkLine implements SaidLine
{
    private const MOST_ASKED = 6;

    public function __construct(private OccasionOf $occasion, private WriteTold $writeTold) {}

    public function ability(LogLine $line): string
    {
        return $line->work?->kind === TaskKind::Lubricate ? 'log' : 'service';
    }

    public function preview(LogLine $line): LinePreview
    {
        $machine = Machine::query()->findOrFail($line->machineId);
        $work = self::workOf($line);
        $spots = $this->spots($line, $work, $machine);
        $day = $line->day === null ? '' : ' on '.Plain::day($line->day);
        if ($work->kind === TaskKind::Lubricate) {
            $which = $spots->count() === 1 ? Plain::within($spots->firstOrFail()->name) : "all {$spots->count()} points";

            return new LinePreview("{$machine->name}: {$which} greased, each with its usual strokes{$day}.");
        }

        return new LinePreview("{$machine->name}: ".$spots->map(
            fn (Spot $spot): string => Plain::within($spot->name).' '.$work->kind->actAt($spot->kind)->word()
                .self::withPart($work, $spot),
        )->implode(', ')."{$day}.");
    }

    public function write(LogLine $line, Note $note): NoteOutcome
    {
        $work = self::workOf($line);
        $machine = $note->machine();
        $spots = $this->spots($line, $work, $machine);
        $entry = $work->kind === TaskKind::Lubricate
            ? $this->occasion->entry($note, EntryKind::Round, RoundKind::Grease)
            : Entry::write($machine, EntryKind::Service, $note->circumstances, ['uuid' => $note->id]);
        ($this->writeTold)($machine, $entry, array_values($spots->map(
            fn (Spot $spot): Told => DoneAt::told($spot, $work->kind->actAt($spot->kind), self::part($work, $spot)),
        )->all()), $note->circumstances);
        event(new FactsChanged([$machine->id]));

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry->refresh(), $note->by())]);
    }

    /**
     * The places that the words mean.
     *
     * @return Collection<int, Spot>
     *
     * @throws NotUnderstood if there is none, or more than one
     */
    private function spots(LogLine $line, LoggedWork $work, Machine $machine): Collection
    {
        $spots = $machine->spots()->where('retired', false)->with('grease', 'sheet')->orderBy('position')->get();
        if ($work->kind === TaskKind::Lubricate && self::meansAll($work->where)) {
            $points = $spots->where('kind', SpotKind::GreasePoint);
            if ($points->isEmpty()) {
                throw new NotUnderstood("{$machine->name} has no grease point.");
            }

            return $points;
        }
        $likely = SpotWords::likeliest(
            $work->where,
            $work->kind,
            array_values($spots->map(fn (Spot $spot): CoreSpot => $spot->toCore())->all()),
        );
        if (count($likely) === 1) {
            return $spots->where('key', $likely[0]->key);
        }
        $words = [mb_strtolower($machine->name), $work->kind === TaskKind::Replace ? '' : $work->kind->word()];
        throw new NotUnderstood(
            $likely === []
                ? Plain::quoted($work->where)." is not understood here. {$machine->name} has no such place. After the "
                    .'machine comes what its meter shows, like '.mb_strtolower($machine->name).' 412.6, or what was done.'
                : Plain::quoted($work->where).' may be '.Plain::either(array_map(Plain::within(...), array_column($likely, 'name'))).'.',
            array_map(
                fn (CoreSpot $spot): string => implode(' ', array_filter([...$words, Plain::within($spot->name), $line->dayWords])),
                array_slice($likely, 0, self::MOST_ASKED),
            ),
        );
    }

    private static function meansAll(string $words): bool
    {
        return preg_match('/^\s*(all|everything|every point|all points|points)?\s*$/i', $words) === 1;
    }

    /** @return array<string, mixed> the part that belongs there */
    private static function part(LoggedWork $work, Spot $spot): array
    {
        $number = $work->kind === TaskKind::Replace && $spot->kind === SpotKind::Part ? Sheets::part($spot)->numbers->toBuy() : '';

        return $number === '' ? [] : ['number' => $number];
    }

    private static function withPart(LoggedWork $work, Spot $spot): string
    {
        $number = self::part($work, $spot)['number'] ?? null;

        return $number === null ? '' : " with {$number}";
    }

    private static function workOf(LogLine $line): LoggedWork
    {
        return $line->work ?? throw new \LogicException('The line tells of no work.');
    }
}
