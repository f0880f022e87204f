<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Refusal;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Rulebook\Standings\Reckoning;
use Core\Schedule\ComesRound;
use Core\Schedule\NeverDue;
use Core\Schedule\Rulebook;
use Core\Schedule\RulebookLine;

/** Refuses a rule that cannot stand in its machine's rulebook as it is written. */
final readonly class RulebookCheck
{
    public function __construct(private Yard $yard) {}

    /**
     * @param  Rule  $rule  with its task
     * @param  string  $path  of the rule's fields in the request
     *
     * @throws Refusal if it never falls due, hangs together with what is not there or with itself, or is loosened under
     *     warranty without a reason
     */
    public function refuse(Machine $machine, Rule $rule, string $path = ''): void
    {
        try {
            $rule->toCore();
        } catch (NeverDue) {
            throw Refusal::field(
                "{$path}every",
                'When does it come? Give hours, a distance, months, a part of the year, a condition, '
                    .'or the task it goes with.',
            );
        }
        $this->refuseLoose($machine, $rule, $path);
        $rule->loadMissing('task.spots');
        $others = $machine->rules()->whereKeyNot($rule->id ?? 0)->with('task.spots')->get();
        $host = $rule->goes_with_id;
        if ($host !== null && $others->find($host) === null && (! $rule->retired || $rule->isDirty('goes_with_id'))) {
            throw Refusal::field("{$path}goes_with", 'That task is not in this rulebook.');
        }
        $lines = $others->map(fn (Rule $other): RulebookLine => $other->toLine())->all();
        try {
            new Rulebook(array_values($rule->retired ? $lines : [...$lines, $rule->toLine()]));
        } catch (ComesRound) {
            throw Refusal::field("{$path}goes_with", 'These two would each wait for the other.');
        } catch (NeverDue $refused) {
            throw Refusal::field(
                $path.($rule->retired ? 'retired' : 'goes_with'),
                "{$refused->getMessage()} Give it an interval of its own first.",
            );
        }
    }

    private function refuseLoose(Machine $machine, Rule $rule, string $path): void
    {
        $loose = $rule->toCore()?->isLooserThanBook() === true && ! $rule->retired;
        if (! $loose) {
            $rule->loosened_because = null;

            return;
        }
        $warranty = $machine->warranty();
        if (
            trim((string) $rule->loosened_because) === ''
            && $warranty->runs(Reckoning::of($machine, $this->yard)->now())
        ) {
            throw Refusal::field(
                "{$path}loosened_because",
                "Looser than the book while the warranty runs {$warranty->inWords()}: say why. It stays marked.",
            );
        }
    }
}
