<?php

declare(strict_types=1);

namespace App\Logbook\Line;

use App\Logbook\EntryKind;
use App\Logbook\Fluids\OpenContainers;
use App\Logbook\Fluids\RecordFluid;
use App\Logbook\Stock\Container;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Notes\Note;
use App\Notes\Written;
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

    public function __construct(private RecordFluid $recordFluid, private OpenContainers $openContainers)
    {
    }

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

        return new LinePreview(
            $pour->isOut
                ? "{$amount} drained from {$machine->name}'s {$name}{$day}."
                : "{$machine->name}'s {$name} topped up with {$amount}{$day}".$this->fromWhere($machine, $compartment),
        );
    }

    public function write(LogLine $line, Note $note): Written
    {
        $pour = self::pourOf($line);
        $machine = $note->machine();
        $compartment = $this->compartment($line, $pour, $machine);
        $container = $pour->isOut ? null : $this->container($machine, $compartment);
        $written = ($this->recordFluid)(
            $note->with([
                'spot' => $compartment->key,
                'amount' => $pour->typed,
                'container' => $container?->id,
            ]),
            $pour->isOut ? ActKind::Drained : ActKind::ToppedUp,
            $pour->isOut ? EntryKind::Fluid : EntryKind::ToppedUp,
        );
        event(new FactsChanged([$machine->id]));

        return $written;
    }

    /** The one open container that will do, else none. */
    private function container(Machine $machine, Spot $compartment): ?Container
    {
        $open = $this->openContainers->thatWillDo($machine, $compartment);

        return count($open) === 1 ? $open[0] : null;
    }

    private function fromWhere(Machine $machine, Spot $compartment): string
    {
        $open = $this->openContainers->thatWillDo($machine, $compartment);

        return match (count($open)) {
            0 => $this->openContainers->isShelfKept() ? ', from no container: none that is open will do.' : '.',
            1 => ", out of the open {$open[0]->size} {$open[0]->supply->name}.",
            default => ', from no container: '.Plain::either(array_map(
                fn (Container $one): string => "the {$one->size} {$one->supply->name}",
                $open,
            )).' would do. Choose on its page which.',
        };
    }

    /**
     * The compartment that a pour's words mean.
     *
     * @throws NotUnderstood if there is none, or more than one
     */
    private function compartment(LogLine $line, LoggedPour $pour, Machine $machine): Spot
    {
        $compartments = $machine->spots()->where('kind', SpotKind::Compartment)->get();
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
