<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Machines\Machine;
use App\Notes\Circumstances;
use Core\Schedule\Anchor;

/** From where the next point of some tasks is counted, chosen when they were done. */
final class CountFromNowOn
{
    /** @param  list<array{rule_id: int, anchor: string}>  $choices */
    public function __invoke(Machine $machine, array $choices, Circumstances $circumstances): void
    {
        foreach ($choices as $choice) {
            $rule = $machine->rules()->find($choice['rule_id']);
            if ($rule !== null && $rule->anchor->value !== $choice['anchor']) {
                $rule->update(['anchor' => $choice['anchor'], 'version' => $rule->version + 1]);
                $words = $rule->anchor === Anchor::Chart ? 'by the chart' : 'from the day it was done';
                Entry::write(
                    $machine,
                    EntryKind::RuleChanged,
                    $circumstances,
                    ['note' => "{$rule->task->name}: counted {$words} from now on."],
                );
            }
        }
        $machine->unsetRelation('rules');
    }
}
