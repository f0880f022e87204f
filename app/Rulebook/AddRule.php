<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Logbook\Told\WriteTold;
use App\Machines\History;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\When;

/** Enters a rule in a machine's rulebook, with its task and what is known of when that was last done. */
final readonly class AddRule
{
    private const TAKEN_OVER = 'Taken over from earlier records.';

    public function __construct(
        private WriteTask $writeTask,
        private RulebookCheck $check,
        private RecordService $recordService,
        private LogReading $logReading,
        private WriteTold $writeTold,
        private Yard $yard,
    ) {}

    /**
     * @param  array<string, mixed>  $given  as {@see RuleRequest} validates it
     * @param  string  $path  of the rule's fields in the request
     */
    public function __invoke(Machine $machine, array $given, Circumstances $circumstances, string $path = ''): Rule
    {
        $countsFrom = CountsFrom::tryFrom($given['counts_from'] ?? '')
            ?? ($machine->history === History::New ? CountsFrom::Beginning : CountsFrom::Unknown);
        if ($countsFrom === CountsFrom::Beginning && $machine->history !== History::New) {
            throw Refusal::field(
                "{$path}counts_from",
                'Nobody knows this machine\'s beginning. Say when it was last done, or leave it unknown.',
            );
        }
        $task = ($this->writeTask)($machine, new Task, $given, $path);
        $rule = new Rule(
            [
                ...RuleRequest::columns($given),
                'machine_id' => $machine->id,
                'task_id' => $task->id,
                'counts_from_beginning' => $countsFrom === CountsFrom::Beginning,
            ],
        );
        $this->check->refuse($machine, $rule->setRelation('task', $task), $path);
        $rule->save();
        $machine->unsetRelation('rules');
        if ($countsFrom === CountsFrom::LastDone) {
            $this->recordLastDone($machine, $task, $given['last_done'] ?? [], $circumstances, $path);
        }

        return $rule;
    }

    /** @param  array{date?: string|null, hours?: string|int|float|null, distance?: string|int|float|null}  $lastDone */
    private function recordLastDone(
        Machine $machine,
        Task $task,
        array $lastDone,
        Circumstances $told,
        string $path,
    ): void {
        $day = $lastDone['date']
            ?? throw Refusal::field("{$path}last_done.date", 'Say on which day, at least roughly.');
        $then = $told->at(When::read($day, $this->yard, "{$path}last_done.date"), self::TAKEN_OVER);
        $done = $this->recordService->told($machine, ['tasks' => [$task->id]]);
        $entry = Entry::write($machine, EntryKind::Service, $then);
        foreach (GivenReading::each($lastDone) as $reading) {
            ($this->logReading)(
                $machine,
                $reading,
                $entry,
                $then,
                "{$path}last_done.{$reading->field()}",
            );
        }
        ($this->writeTold)($machine, $entry, $done, $then);
    }
}
