<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Subject;
use Core\Machine\TaskKind;

/** The steps of what is looked at, measured, adjusted, cleaned, greased or run, and of what is undone to get there. */
final readonly class PlaceSteps
{
    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope) {}

    public function add(Work $work): void
    {
        $at = $work->at;
        $by = $work->check === null ? '' : " by {$work->check}";
        $steps = match ($work->kind) {
            TaskKind::Inspect => $work->check === null
                ? [$this->step(StepVerb::Inspect, $work, "Look {$at->name} over.")]
                : [$this->step(StepVerb::Measure, $work, "Measure {$at->name}{$by}.")],
            TaskKind::Adjust => $this->adjust($work, $by),
            TaskKind::Clean => [$this->step(StepVerb::Clean, $work, $this->cleaning($at))],
            TaskKind::Lubricate => [$this->step(StepVerb::Lubricate, $work, "Wipe the nipple and grease {$at->name}.")],
            TaskKind::Sample => [
                $this->step(StepVerb::Sample, $work, "Draw a sample of {$at->name} while it is warm, into a clean bottle, and mark it."),
            ],
            TaskKind::Run => [
                $this->step(StepVerb::RunLoaded, $work, "Run {$at->name}, as far as its book says under load.", Phase::Try),
            ],
            TaskKind::CheckLevel => [$this->step(StepVerb::Inspect, $work, "Look how high {$at->name} stands.")],
            TaskKind::Replace => throw new \LogicException("Where {$at->name} comes off, nothing is only looked at."),
        };
        foreach (array_unique(array_filter($steps)) as $step) {
            foreach ($work->undoes as $undone) {
                $this->pair($undone, $at->key, [$step], [$step]);
            }
        }
    }

    private function cleaning(Compartment|Opening|Part|Place $at): string
    {
        $schools = $this->machine->schools;

        return "Clean {$at->name}".match (true) {
            $at instanceof Compartment => '.',
            $at->subject === Subject::AirCleaner => ": {$schools->airCleaner()}.",
            $at instanceof Place && $at->subject === Subject::Cutting => ": {$schools->says(School::Deck)}.",
            default => '.',
        };
    }

    /**
     * What is undone to get at something is done up again, once for all that needed it.
     *
     * @param  list<string>  $before  the steps that it makes way for
     * @param  list<string>  $until  those after which it is done up
     */
    public function pair(string $undone, string $at, array $before, array $until): void
    {
        $slug = trim(preg_replace('/[^\p{L}\p{N}]+/u', '_', mb_strtolower($undone)) ?? '', '_');
        [$undo, $couple] = [StepVerb::Undo->at($slug), StepVerb::Couple->at($slug)];
        if (! $this->draft->has($undo)) {
            $words = ucfirst($undone);
            $on = new Workpiece($at, thing: $words);
            $this->draft->step(new StepKey(StepVerb::Undo, $slug), "{$words}: undo it to get there.", $on);
            $this->draft->step(new StepKey(StepVerb::Couple, $slug), "{$words}: do it up again, before anything runs.", $on);
            $this->draft->onlyIf($couple, $undo);
        }
        foreach ($before as $step) {
            $this->draft->needs($step, $undo);
        }
        $this->draft->waits($couple, $until);
    }

    /** @return list<string> */
    private function adjust(Work $work, string $by): array
    {
        $at = $work->at;
        if ($work->check === null) {
            return [$this->step(StepVerb::Adjust, $work, "Adjust {$at->name} in small turns, and look how it stands after.")];
        }
        $steps = [
            $this->step(StepVerb::Measure, $work, "Measure {$at->name}{$by} before anything is turned."),
            $this->step(StepVerb::Adjust, $work, "Adjust {$at->name} in small turns, left and right alike, and lock it."),
            $this->step(StepVerb::MeasureAgain, $work, "Measure {$at->name}{$by} again."),
        ];
        $this->draft->waits($steps[1], $steps[0]);
        $this->draft->needs($steps[2], $steps[1]);

        return $steps;
    }

    /** Two tasks that do the same at one spot share its step. */
    private function step(StepVerb $verb, Work $work, string $says, Phase $phase = Phase::Reach): string
    {
        $name = new StepKey($verb, $work->at->key, $work->check ?? '');
        if (! $this->draft->has((string) $name)) {
            $hint = rtrim($work->at instanceof Compartment ? '' : $work->at->hint, '.');
            $subject = $work->at instanceof Compartment ? $work->at->kind->subject() : $work->at->subject;
            $this->draft->step($name, $says.($hint === '' ? '' : " {$hint}."), phase: $phase, subject: $subject);
        }
        $this->draft->waits((string) $name, $this->comesFirst($work));

        return (string) $name;
    }

    /** @return list<string> what is fitted new is looked at when it sits */
    private function comesFirst(Work $work): array
    {
        return $work->at instanceof Part && isset($this->scope->parts[$work->at->key]) ? [StepVerb::Fit->at($work->at->key)] : [];
    }
}
