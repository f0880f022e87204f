<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Subject;
use Core\Measure\Plain;
use Core\Supply\PartKind;

/** The steps by which one part comes off and goes on again, or a new one in its place. */
final readonly class PartSteps
{
    private const LED_PAST_SOMETHING = [PartKind::Filter, PartKind::Belt, PartKind::Strainer];

    public function __construct(private Draft $draft, private ServicedMachine $machine) {}

    /** @param  bool  $isNew  whether another goes on, and not the same one cleaned */
    public function add(Part $part, bool $isNew, bool $prefill): void
    {
        $this->off($part);
        $before = $this->between($part, $isNew, $prefill);
        $this->on($part, $isNew, $before);
    }

    private function off(Part $part): void
    {
        $count = $part->fitting->loose === [] ? '' : '; count what comes off: '.implode(', ', $part->fitting->loose);
        $this->step(StepVerb::Remove, $part, implode('. ', array_filter([
            "Take off {$part->name}{$count}",
            rtrim($part->hint, '.'),
        ])).'.');
        $this->draft->needs(StepVerb::Remove->at($part->key), StepVerb::CleanRound->at());
        $this->step(StepVerb::Look, $part, match (true) {
            $part->isSparkPlug() => "Read {$part->name}: tan is fine, white lean, black rich, oily worn; every cylinder alike",
            $part->isFilter() => "Look at the seat of {$part->name}: the old gasket came off with it, and it is wiped clean",
            default => "Look at {$part->name} and where it sat: wear, dirt, what should not be there",
        }.'.');
        $this->draft->needs(StepVerb::Look->at($part->key), StepVerb::Remove->at($part->key));
        if ($part->fitting->loose !== []) {
            $this->step(StepVerb::CountOff, $part, self::counted('Lay out and count what came off', $part), $part->fitting->loose);
            $this->draft->needs(StepVerb::CountOff->at($part->key), StepVerb::Remove->at($part->key));
        }
    }

    /** @return list<string> the steps between off and on */
    private function between(Part $part, bool $isNew, bool $prefill): array
    {
        $between = [StepVerb::Look->at($part->key)];
        if ($isNew) {
            $this->step(StepVerb::Compare, $part, $this->comparing($part));
            $between[] = StepVerb::Compare->at($part->key);
        } else {
            $this->step(StepVerb::Clean, $part, $this->cleaning($part));
            $between[] = StepVerb::Clean->at($part->key);
        }
        $this->draft->needs($between[1], StepVerb::Remove->at($part->key));
        if ($prefill) {
            $this->step(StepVerb::Prefill, $part, "Fill {$part->name} to about half, let the paper soak it up, and write down how much.");
            $this->draft->needs(StepVerb::Prefill->at($part->key), StepVerb::Compare->at($part->key));
            $between[] = StepVerb::Prefill->at($part->key);
        }

        return [...$between, StepVerb::CountOff->at($part->key)];
    }

    private function comparing(Part $part): string
    {
        $number = $part->number === '' ? '' : " ({$part->number})";

        return "Hold the new {$part->name}{$number} beside the old: ".match (true) {
            $part->isSparkPlug() => "thread, reach, seat; the gap {$this->machine->schools->says(School::PlugGap)}.",
            $part->isFilter() => 'height, thread, gasket, flow arrow.',
            default => 'size, fit, which way round.',
        };
    }

    private function cleaning(Part $part): string
    {
        return "Clean {$part->name}".match (true) {
            $part->isSparkPlug() => ' and set the gap as the book says; round edges, a crack or oil call for new ones.',
            $part->subject === Subject::AirCleaner => ": {$this->machine->schools->airCleaner()}.",
            default => ', and look through it.',
        };
    }

    /** @param  list<string>  $between */
    private function on(Part $part, bool $isNew, array $between): void
    {
        $which = $isNew ? 'the new ' : '';
        $this->step(StepVerb::Fit, $part, implode(', ', array_filter([
            "Fit {$which}{$part->name}",
            $part->fitting->orientation,
            $part->fitting->seal === '' ? '' : $this->machine->schools->seal($part->fitting->seal),
            ...$this->seated($part, $isNew),
        ])).'.');
        $fit = StepVerb::Fit->at($part->key);
        $this->draft->onlyIf($fit, StepVerb::Remove->at($part->key));
        $this->draft->needs($fit, array_values(array_diff($between, [StepVerb::Prefill->at($part->key)])));
        $this->draft->waits($fit, StepVerb::Prefill->at($part->key));
        if ($part->fitting->loose !== []) {
            $this->step(StepVerb::CountOn, $part, self::counted('Count again: all on, nothing left in the pan', $part), $part->fitting->loose);
            $this->draft->onlyIf(StepVerb::CountOn->at($part->key), $fit);
        }
        if ($part->fitting->torque() !== '') {
            $this->step(StepVerb::Torque, $part, "Tighten {$part->name} to {$part->fitting->torque()}.");
            $this->draft->onlyIf(StepVerb::Torque->at($part->key), $fit);
            $this->draft->waits(StepVerb::Torque->at($part->key), StepVerb::CountOn->at($part->key));
        }
        if (in_array($part->kind, self::LED_PAST_SOMETHING, true)) {
            $this->step(StepVerb::LookOver, $part, "Look over {$part->name} and the lines beside it: nothing touches a hot part, no line is nicked, every clamp holds.");
            $this->draft->onlyIf(StepVerb::LookOver->at($part->key), $fit);
        }
    }

    private static function counted(string $what, Part $part): string
    {
        return "{$what}: ".implode(', ', $part->fitting->loose).'.';
    }

    /** @return list<string> how it goes on: as its book says, else as this machine's keeper does it */
    private function seated(Part $part, bool $isNew): array
    {
        $schools = $this->machine->schools;
        $tight = Plain::within($part->fitting->inWords());
        $byHand = $tight !== '' ? $tight : 'by hand first';

        return match (true) {
            $part->isSparkPlug() => [
                "the thread {$schools->says(School::PlugThread)}",
                match (true) {
                    $tight !== '', $part->fitting->torque() !== '' => $byHand,
                    $isNew => 'by hand to its seat, then about half a turn until its washer gives',
                    default => 'by hand to its seat, then much less than half a turn: its washer has given already',
                },
            ],
            $part->subject === Subject::AirCleaner => ["its seat {$schools->says(School::ElementSeat)}", $tight],
            $part->isFilter() => [
                $isNew && $part->subject === Subject::Fuel ? $schools->says(School::FuelFilter) : '',
                "its gasket {$schools->says(School::Gasket)}",
                $tight === '' && $part->fitting->torque() === '' ? $schools->says(School::SpinOn) : $byHand,
            ],
            default => [$byHand],
        };
    }

    /** @param  list<string>  $pieces */
    private function step(StepVerb $verb, Part $part, string $says, array $pieces = []): void
    {
        $this->draft->step(new StepKey($verb, $part->key), $says, new Workpiece($part->key, pieces: $pieces), subject: $part->subject);
    }
}
