<?php

declare(strict_types=1);

namespace App\Logbook\Line;

use App\Logbook\EntryKind;
use App\Logbook\Fluids\GivenFluid;
use App\Logbook\Fluids\Source;
use App\Logbook\Fluids\Sources;
use App\Logbook\Kinds\FluidNote;
use App\Logbook\Told\Drained;
use App\Logbook\Told\Poured;
use App\Logbook\Told\Telling;
use App\Logbook\Told\Told;
use App\Logbook\Told\WriteTold;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Notes\Note;
use App\Notes\NoteOutcome;
use Core\LogLine\LoggedPour;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\Machine\ActKind;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\SpotKind;
use Core\Machine\SpotWords;
use Core\Machine\TaskKind;
use Core\Measure\Plain;

/** Fluid that went into a compartment, or out of it. */
final readonly class PourLine implements SaidLine
{
    /** Of several compartments, how many are offered. */
    private const MOST_ASKED = 6;

    public function __construct(private FluidNote $fluid, private Sources $sources, private WriteTold $writeTold) {}

    public function ability(LogLine $line): string
    {
        return $line->pour?->isOut === true ? 'service' : 'log';
    }

    public function preview(LogLine $line): LinePreview
    {
        $machine = Machine::query()->findOrFail($line->machineId);
        $pour = self::pourOf($line);
        $compartment = $this->compartment($line, $pour, $machine);
        $name = Plain::within($compartment->name);
        $day = $line->day === null ? '' : ' on '.Plain::day($line->day);
        $amount = $pour->amount->display();

        $asked = $this->writeTold->questions($machine, self::told($pour, $compartment));

        return new LinePreview(
            implode(' ', [
                $pour->isOut
                    ? "{$amount} drained from {$machine->name}'s {$name}{$day}."
                    : "{$machine->name}'s {$name} topped up with {$amount}{$day}"
                        .$this->sources->of($machine, $compartment, Source::told())->inWords(),
                ...$asked,
            ]),
            asks: $asked !== [],
        );
    }

    public function write(LogLine $line, Note $note): NoteOutcome
    {
        $pour = self::pourOf($line);
        $machine = $note->machine();
        $compartment = $this->compartment($line, $pour, $machine);
        $kind = self::kind($pour);
        $written = $this->fluid->record(
            $note,
            FluidNote::told($note->with(['spot' => $compartment->key, 'amount' => $pour->typed]), $kind),
            $pour->isOut ? EntryKind::Fluid : EntryKind::ToppedUp,
        );
        event(new FactsChanged([$machine->id]));

        return $written;
    }

    private static function kind(LoggedPour $pour): ActKind
    {
        return $pour->isOut ? ActKind::Drained : ActKind::ToppedUp;
    }

    private static function told(LoggedPour $pour, Spot $compartment): Told
    {
        $given = new GivenFluid($pour->typed);

        return $pour->isOut
            ? Drained::of($compartment, self::kind($pour), $given, new Telling)
            : Poured::of($compartment, self::kind($pour), $given, new Telling);
    }

    /**
     * The compartment that a pour's words mean.
     *
     * @throws NotUnderstood if there is none, or more than one
     */
    private function compartment(LogLine $line, LoggedPour $pour, Machine $machine): Spot
    {
        $compartments = $machine->spots()->where('kind', SpotKind::Compartment)->with('sheet', 'holder.sheet')->get();
        $likely = SpotWords::likeliest(
            $pour->where,
            TaskKind::CheckLevel,
            array_values($compartments->map(fn (Spot $spot): CoreSpot => $spot->toCore())->all()),
        );
        if ($likely === []) {
            $likely = array_values($compartments->filter(
                fn (Spot $spot): bool => str_contains(mb_strtolower($spot->name), mb_strtolower($pour->where)),
            )->map(fn (Spot $spot): CoreSpot => $spot->toCore())->all());
        }
        if (count($likely) === 1) {
            return $compartments->firstOrFail(fn (Spot $spot): bool => $spot->key === $likely[0]->key);
        }
        $asked = array_column($likely === [] ? $compartments->all() : $likely, 'name');
        throw new NotUnderstood(
            $likely === []
                ? Plain::quoted($pour->where)." is no fluid of {$machine->name}."
                : Plain::quoted($pour->where).' may be '.Plain::either(array_map(Plain::within(...), $asked)).'.',
            array_map(fn (string $name): string => implode(' ', array_filter([
                mb_strtolower($machine->name),
                ($pour->isOut ? '-' : '+').$pour->typed,
                Plain::within($name),
                $line->dayWords,
            ])), array_slice($asked, 0, self::MOST_ASKED)),
        );
    }

    private static function pourOf(LogLine $line): LoggedPour
    {
        return $line->pour ?? throw new \LogicException('The line tells of no fluid.');
    }
}
