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

    public function __construct(private Draft $draft, private ServicedMachine $machine)
    {
    }

    /** @param  bool  $isNew  whether another goes on, and not the same one cleaned */
    public function add(Part $part, bool $isNew, bool $prefill): void
    {
        $this->off($part);
        $before = $this->between($part, $isNew, $prefill);
        $this->on($part, $isNew, $before);
    }

    private function off(Part $part): void
    {
        $count = $part->loose === [] ? '' : '; count what comes off: '.implode(', ', $part->loose);
        $this->step('remove', StepAct::Remove, $part, implode('. ', array_filter([
            "Take off {$part->name}{$count}",
            rtrim($part->hint, '.'),
        ])).'.');
        $this->draft->needs("remove:{$part->key}", 'clean');
        $this->step('look', StepAct::Look, $part, match (true) {
            $part->isSparkPlug() => "Read {$part->name}: tan is fine, white lean, black rich, oily worn; every cylinder alike",
            $part->isFilter() => "Look at the seat of {$part->name}: the old gasket came off with it, and it is wiped clean",
            default => "Look at {$part->name} and where it sat: wear, dirt, what should not be there",
        }.'.');
        $this->draft->needs("look:{$part->key}", "remove:{$part->key}");
        if ($part->loose !== []) {
            $this->step('count_off', StepAct::Look, $part, self::counted('Lay out and count what came off', $part), $part->loose);
            $this->draft->needs("count_off:{$part->key}", "remove:{$part->key}");
        }
    }

    /** @return list<string> the steps between off and on */
    private function between(Part $part, bool $isNew, bool $prefill): array
    {
        $between = ["look:{$part->key}"];
        if ($isNew) {
            $this->step('compare', StepAct::Compare, $part, $this->comparing($part));
            $between[] = "compare:{$part->key}";
        } else {
            $this->step('clean', StepAct::Clean, $part, $this->cleaning($part));
            $between[] = "clean:{$part->key}";
        }
        $this->draft->needs($between[1], "remove:{$part->key}");
        if ($prefill) {
            $this->step('prefill', StepAct::Prefill, $part, "Fill {$part->name} to about half, let the paper soak it up, and write down how much.");
            $this->draft->needs("prefill:{$part->key}", "compare:{$part->key}");
            $between[] = "prefill:{$part->key}";
        }

        return [...$between, "count_off:{$part->key}"];
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
        $this->step('fit', StepAct::Fit, $part, implode(', ', array_filter([
            "Fit {$which}{$part->name}",
            $part->orientation,
            $part->seal === '' ? '' : $this->machine->schools->seal($part->seal),
            ...$this->seated($part, $isNew),
        ])).'.');
        $fit = "fit:{$part->key}";
        $this->draft->onlyIf($fit, "remove:{$part->key}");
        $this->draft->needs($fit, array_values(array_diff($between, ["prefill:{$part->key}"])));
        $this->draft->waits($fit, "prefill:{$part->key}");
        if ($part->loose !== []) {
            $this->step('count_on', StepAct::Look, $part, self::counted('Count again: all on, nothing left in the pan', $part), $part->loose);
            $this->draft->onlyIf("count_on:{$part->key}", $fit);
        }
        if ($part->torque !== '') {
            $this->step('torque', StepAct::Torque, $part, "Tighten {$part->name} to {$part->torque}.");
            $this->draft->onlyIf("torque:{$part->key}", $fit);
            $this->draft->waits("torque:{$part->key}", "count_on:{$part->key}");
        }
        if (in_array($part->kind, self::LED_PAST_SOMETHING, true)) {
            $this->step('look_over', StepAct::Look, $part, "Look over {$part->name} and the lines beside it: nothing touches a hot part, no line is nicked, every clamp holds.");
            $this->draft->onlyIf("look_over:{$part->key}", $fit);
        }
    }

    private static function counted(string $what, Part $part): string
    {
        return "{$what}: ".implode(', ', $part->loose).'.';
    }

    /** @return list<string> how it goes on: as its book says, else as this machine's keeper does it */
    private function seated(Part $part, bool $isNew): array
    {
        $schools = $this->machine->schools;
        $tight = Plain::within($part->tight);
        $byHand = $tight !== '' ? $tight : 'by hand first';

        return match (true) {
            $part->isSparkPlug() => [
                "the thread {$schools->says(School::PlugThread)}",
                match (true) {
                    $tight !== '', $part->torque !== '' => $byHand,
                    $isNew => 'by hand to its seat, then about half a turn until its washer gives',
                    default => 'by hand to its seat, then much less than half a turn: its washer has given already',
                },
            ],
            $part->subject === Subject::AirCleaner => ["its seat {$schools->says(School::ElementSeat)}", $tight],
            $part->isFilter() => [
                $isNew && $part->subject === Subject::Fuel ? $schools->says(School::FuelFilter) : '',
                "its gasket {$schools->says(School::Gasket)}",
                $tight === '' && $part->torque === '' ? $schools->says(School::SpinOn) : $byHand,
            ],
            default => [$byHand],
        };
    }

    /** @param  list<string>  $pieces */
    private function step(string $verb, StepAct $act, Part $part, string $says, array $pieces = []): void
    {
        $this->draft->add(Phase::Reach, new Step(
            "{$verb}:{$part->key}",
            $act,
            $part->key,
            $says,
            $act->minutes(),
            cautions: Cautions::atStep($act, $this->machine->class, $part->subject),
            pieces: $pieces,
        ));
    }
}
