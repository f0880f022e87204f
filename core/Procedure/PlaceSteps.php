<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

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
            TaskKind::Clean => [$this->clean($work)],
            TaskKind::Lubricate => $this->lubricate($work),
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

    /**
     * What is undone to get at something is done up again, once for all that needed it.
     *
     * @param  string  $back  how it is when it is back
     * @param  list<string>  $before  the steps that it makes way for
     * @param  list<string>  $until  those after which it is done up
     */
    public function pair(string $back, string $at, array $before, array $until): void
    {
        $slug = trim(preg_replace('/[^\p{L}\p{N}]+/u', '_', mb_strtolower($back)) ?? '', '_');
        [$undo, $couple] = [StepVerb::Undo->at($slug), StepVerb::Couple->at($slug)];
        if (! $this->draft->has($undo)) {
            $words = ucfirst(rtrim($back, '.'));
            $this->draft->step(new StepKey(StepVerb::Undo, $slug), "Undo what is in the way, as far as it has to be. It goes back afterwards, in a step of its own: {$back}.", new Workpiece($at, thing: "Make way: {$back}"));
            $this->draft->step(new StepKey(StepVerb::Couple, $slug), "{$words}: back as it was, before anything runs.", new Workpiece($at, thing: $words));
            $this->draft->onlyIf($couple, $undo);
            $this->draft->pair($undo, $couple);
        }
        foreach ($before as $step) {
            $this->draft->needs($step, $undo);
        }
        $this->draft->waits($couple, $until);
    }

    /** A deck is scraped while its blades are off. */
    private function clean(Work $work): string
    {
        $at = $work->at;
        $schools = $this->machine->schools;
        $isDeck = $at instanceof Place && $at->subject === Subject::Cutting;
        $isAirCleaner = ! $at instanceof Compartment && $at->subject === Subject::AirCleaner;
        $clean = $this->step(StepVerb::Clean, $work, "Clean {$at->name}".match (true) {
            $isAirCleaner => ": {$schools->airCleaner()}.",
            $isDeck => ": {$schools->says(School::Deck)}.",
            default => '.',
        });
        if (! $at instanceof Compartment && $at->subject === Subject::Battery) {
            $this->deadPosts($at->key, $at->name, $clean);
        }
        foreach ($this->scope->parts as $part) {
            if ($isDeck && $part->kind === PartKind::Blade) {
                $this->draft->waits($clean, StepVerb::Remove->at($part->key));
                $this->draft->waits(StepVerb::Fit->at($part->key), $clean);
                $this->draft->block($part->key, $clean);
            }
        }

        return $clean;
    }

    /** Posts are cleaned dead: negative off first, on last. */
    private function deadPosts(string $at, string $name, string $clean): void
    {
        if ($this->draft->has(StepVerb::Undo->at($at))) {
            return;
        }
        $off = $this->draft->step(
            new StepKey(StepVerb::Undo, $at),
            "Take the negative cable off first, and tie it away, before a tool comes near {$name}; then the positive.",
            cautions: [Caution::Battery],
        );
        $on = $this->draft->step(new StepKey(StepVerb::Couple, $at), 'Positive on first, the negative last; both tight, a film of grease on them, covers over.');
        $this->draft->needs($clean, $off);
        $this->draft->onlyIf($on, $off);
        $this->draft->waits($on, $clean);
        $this->draft->pair($off, $on);
        $this->draft->posts($off, $on, isOffMeanwhile: false);
    }

    /** @return list<string> */
    private function lubricate(Work $work): array
    {
        $at = $work->at;
        if (! $work->isThroughAPlug) {
            return [$this->step(StepVerb::Lubricate, $work, "Wipe the nipple and grease {$at->name}.")];
        }
        $out = $this->draft->step(new StepKey(StepVerb::Undo, $at->key), "Clean round the plug of {$at->name}, take it out, and turn the adapter in by hand.");
        $grease = $this->step(StepVerb::Lubricate, $work, "Grease {$at->name} through the adapter.");
        $in = $this->draft->step(new StepKey(StepVerb::Couple, $at->key), "Adapter out of {$at->name}, plug in by hand, then snug plus an eighth of a turn.");
        $this->draft->needs($grease, $out);
        $this->draft->onlyIf($in, $out);
        $this->draft->waits($in, $grease);
        $this->draft->pair($out, $in);

        return [$grease];
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
            $this->draft->step(
                $name,
                $says.($hint === '' ? '' : " {$hint}."),
                new Workpiece($work->at->key),
                $phase,
                cautions: $this->isFirstAt($work->at->key) && $work->kind !== TaskKind::Inspect ? Cautions::reachingIn($subject) : [],
            );
        }
        if ($work->answers !== []) {
            $this->draft->answers((string) $name, $work->answers);
        }
        $this->draft->waits((string) $name, $this->comesFirst($work));

        return (string) $name;
    }

    private function isFirstAt(string $key): bool
    {
        return $this->draft->those(fn (Step $step): bool => $step->on->at === $key) === [];
    }

    /** @return list<string> what is fitted new is looked at when it sits */
    private function comesFirst(Work $work): array
    {
        return $work->at instanceof Part && isset($this->scope->parts[$work->at->key]) ? [StepVerb::Fit->at($work->at->key)] : [];
    }
}
