<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Subject;
use Core\Machine\TaskKind;

/** The steps of what is looked at, measured, adjusted, cleaned, greased or run, and of what is undone to get there. */
final readonly class PlaceSteps
{
    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope)
    {
    }

    public function add(Work $work): void
    {
        $at = $work->at;
        $key = $at->key.($work->check === null ? '' : ":{$work->check}");
        $by = $work->check === null ? '' : " by {$work->check}";
        $steps = match ($work->kind) {
            TaskKind::Inspect => $work->check === null
                ? [$this->step("inspect:{$key}", StepAct::Look, $work, "Look {$at->name} over.")]
                : [$this->step("measure:{$key}", StepAct::Measure, $work, "Measure {$at->name}{$by}.")],
            TaskKind::Adjust => $this->adjust($work, $key, $by),
            TaskKind::Clean => [$this->step("clean:{$key}", StepAct::Clean, $work, $this->cleaning($at))],
            TaskKind::Lubricate => [
                $this->step("lubricate:{$key}", StepAct::Lubricate, $work, "Wipe the nipple and grease {$at->name}."),
            ],
            TaskKind::Sample => [
                $this->step("sample:{$key}", StepAct::Look, $work, "Draw a sample of {$at->name} while it is warm, into a clean bottle, and mark it."),
            ],
            TaskKind::Run => [
                $this->step("run:{$key}", StepAct::Run, $work, "Run {$at->name}, as far as its book says under load.", Phase::Try),
            ],
            TaskKind::CheckLevel => [$this->step("inspect:{$key}", StepAct::Look, $work, "Look how high {$at->name} stands.")],
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
        if (! $this->draft->has("undo:{$slug}")) {
            $words = ucfirst($undone);
            $this->draft->add(Phase::Reach, new Step(
                "undo:{$slug}",
                StepAct::Loosen,
                $at,
                "{$words}: undo it to get there.",
                StepAct::Loosen->minutes(),
                object: $words,
            ));
            $this->draft->add(Phase::Reach, new Step(
                "couple:{$slug}",
                StepAct::Couple,
                $at,
                "{$words}: do it up again, before anything runs.",
                StepAct::Couple->minutes(),
                object: $words,
            ));
            $this->draft->onlyIf("couple:{$slug}", "undo:{$slug}");
        }
        foreach ($before as $step) {
            $this->draft->needs($step, "undo:{$slug}");
        }
        $this->draft->waits("couple:{$slug}", $until);
    }

    /** @return list<string> */
    private function adjust(Work $work, string $key, string $by): array
    {
        $at = $work->at;
        if ($work->check === null) {
            return [
                $this->step("adjust:{$key}", StepAct::Adjust, $work, "Adjust {$at->name} in small turns, and look how it stands after."),
            ];
        }
        $steps = [
            $this->step("measure:{$key}", StepAct::Measure, $work, "Measure {$at->name}{$by} before anything is turned."),
            $this->step("adjust:{$key}", StepAct::Adjust, $work, "Adjust {$at->name} in small turns, left and right alike, and lock it."),
            $this->step("measure_again:{$key}", StepAct::Measure, $work, "Measure {$at->name}{$by} again."),
        ];
        $this->draft->waits($steps[1], $steps[0]);
        $this->draft->needs($steps[2], $steps[1]);

        return $steps;
    }

    /** Two tasks that do the same at one spot share its step. */
    private function step(string $key, StepAct $act, Work $work, string $says, Phase $phase = Phase::Reach): string
    {
        if (! $this->draft->has($key)) {
            $hint = rtrim($work->at instanceof Compartment ? '' : $work->at->hint, '.');
            $subject = $work->at instanceof Compartment ? $work->at->kind->subject() : $work->at->subject;
            $this->draft->add($phase, new Step(
                $key,
                $act,
                $work->at->key,
                $says.($hint === '' ? '' : " {$hint}."),
                $act->minutes(),
                cautions: Cautions::atStep($act, $this->machine->class, $subject),
            ));
        }
        $this->draft->waits($key, $this->comesFirst($work));

        return $key;
    }

    /** @return list<string> what is fitted new is looked at when it sits */
    private function comesFirst(Work $work): array
    {
        return $work->at instanceof Part && isset($this->scope->parts[$work->at->key]) ? ["fit:{$work->at->key}"] : [];
    }
}
