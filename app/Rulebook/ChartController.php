<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\SpotRequest;
use App\Notes\Circumstances;
use Core\Chart\ChartCsv;
use Core\Chart\ChartGrid;
use Core\Chart\ChartHeadings;
use Core\Chart\ChartRow;
use Core\Machine\TaskKind;
use Core\Meter\MeterUnit;
use Core\Schedule\Interval;
use Core\Schedule\Rule as CoreRule;
use Core\Schedule\RuleSource;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule as Among;

/** A machine's rulebook as a column chart: tasks down, hours or kilometres across. */
final readonly class ChartController
{
    public function __construct(private RulebookCheck $check, private WriteTask $writeTask) {}

    public function show(Machine $machine): JsonResponse
    {
        return new JsonResponse($this->chart($machine->load('meters', 'rules', 'sharedRulebook')));
    }

    /** The chart as a CSV file that can be pasted back. */
    public function csv(Machine $machine): Response
    {
        $rules = $this->charted($machine->load('meters', 'rules'));
        $rows = $rules->map(function (Rule $rule): ChartRow {
            $core = $this->comes($rule);

            return new ChartRow(
                $rule->task->name,
                $rule->task->kind,
                $core->first,
                $core->every,
                $core->anchor,
                $core->windows,
            );
        });
        $name = preg_replace('/[^a-z0-9]+/', '-', mb_strtolower($machine->name));

        return new Response(
            ChartCsv::write(array_values($rows->all()), $machine->distanceUnit()),
            200,
            [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => "attachment; filename=\"{$name}-rulebook.csv\"",
            ],
        );
    }

    /** Writes rows of a chart: new ones, changed ones, and those to be taken out, all or none. */
    public function update(Request $request, Machine $machine, AddRule $addRule): JsonResponse
    {
        $given = $request->validate([
            ...Circumstances::rules(),
            ...RuleRequest::ruleFields('rows.*.', new: false),
            'rows' => ['present', 'array', 'list', 'max:200'],
            'rows.*.rule_id' => ['sometimes', 'nullable', 'integer'],
            'rows.*.task' => ['required', 'string', 'max:80'],
            'rows.*.kind' => ['required_without:rows.*.rule_id', Among::enum(TaskKind::class)],
            'remove' => ['sometimes', 'array', 'max:200'],
            'remove.*' => ['integer'],
            'loosened_because' => ['sometimes', 'nullable', 'string', 'max:500'],
        ], SpotRequest::words('rows.*.new_spots.*.'));
        $machine = Machine::lockForWriting($machine->id);
        $circumstances = Circumstances::of($request);
        $known = Rule::query()->where('machine_id', $machine->id)->with('task.spots')->get();
        $counts = [
            'added' => 0,
            'changed' => 0,
            'taken out' => $this->takeOut($known->whereIn('id', $given['remove'] ?? [])),
        ];
        $written = [];
        foreach ($given['rows'] as $index => $row) {
            $rule = $this->ruleOf($row, $known, "rows.{$index}.");
            if ($rule === null) {
                $written[] = $addRule(
                    $machine,
                    [...$row, 'counts_from' => $row['counts_from'] ?? null],
                    $circumstances,
                    "rows.{$index}.",
                );
                $counts['added']++;
            } else {
                $written[] = $this->change($machine, $rule, $row, $given['loosened_because'] ?? null, "rows.{$index}.");
                $counts['changed']++;
            }
        }
        $this->tieTogether($machine, $given['rows'], $written);
        foreach ($known->whereIn('id', $given['remove'] ?? []) as $gone) {
            $this->check->refuse($machine, $gone, 'remove.');
        }
        $told = implode(
            ', ',
            array_map(fn (string $what, int $count): string => "{$count} {$what}", array_keys($counts), $counts),
        );
        Entry::write($machine, EntryKind::RuleChanged, $circumstances, ['note' => "Chart: {$told}."]);
        $machine->unsetRelation('rules');
        foreach ($written as $rule) {
            event(new RuleChanged($rule));
        }
        event(new FactsChanged([$machine->id]));

        return new JsonResponse($this->chart($machine->load('meters', 'rules', 'sharedRulebook')));
    }

    /** @param  iterable<Rule>  $rules */
    private function takeOut(iterable $rules): int
    {
        $count = 0;
        foreach ($rules as $rule) {
            $rule->update(['retired' => true, 'version' => $rule->version + 1]);
            $count++;
        }

        return $count;
    }

    /**
     * @param  array<string, mixed>  $row
     * @param  Collection<int, Rule>  $known
     */
    private function ruleOf(array $row, Collection $known, string $path): ?Rule
    {
        if (isset($row['rule_id'])) {
            return $known->find((int) $row['rule_id'])
                ?? throw Refusal::field("{$path}rule_id", 'This rule is not in the rulebook.');
        }

        return $known->where('retired', false)->first(
            fn (Rule $rule): bool => mb_strtolower($rule->task->name) === mb_strtolower($row['task'])
                && $rule->task->kind->value === $row['kind'],
        );
    }

    /**
     * What the maker's book said stays on record where the keeper's marks say otherwise.
     *
     * @param  array<string, mixed>  $row
     */
    private function change(Machine $machine, Rule $rule, array $row, ?string $because, string $path): Rule
    {
        $book = $rule->source === RuleSource::Book ? $rule->every : null;
        ($this->writeTask)($machine, $rule->task, $row, $path);
        $rule->fill([...RuleRequest::columns($row), 'retired' => false]);
        if ($book !== null && $rule->every != $book && ! isset($row['source'])) {
            $rule->fill(['source' => RuleSource::Keeper, 'book' => $book]);
        }
        $rule->loosened_because = $because ?? $rule->loosened_because;
        $this->check->refuse($machine, $rule, $path);
        $rule->version++;
        $rule->save();

        return $rule;
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  list<Rule>  $written
     */
    private function tieTogether(Machine $machine, array $rows, array $written): void
    {
        foreach ($rows as $index => $row) {
            if (isset($row['goes_with_row'])) {
                $written[$index]->goes_with_id = ($written[$row['goes_with_row']] ?? null)?->id;
                $this->check->refuse($machine, $written[$index], "rows.{$index}.");
                $written[$index]->save();
            }
        }
    }

    /** @return array<string, mixed> */
    private function chart(Machine $machine): array
    {
        $unit = ($machine->currentMeters()[0] ?? null)->unit ?? MeterUnit::Hours;
        $rules = $this->charted($machine);
        $grid = ChartGrid::of(array_values($rules->map($this->comes(...))->all()), $unit);
        $keys = RuleCopy::keys($machine);

        return [
            'unit' => $unit->value,
            'headings' => $grid->headings,
            'points' => ChartHeadings::points($grid->headings, $unit),
            'rows' => $rules->values()->map(fn (Rule $rule, int $row): array => [
                'rule_id' => $rule->id,
                'task' => $rule->task->name,
                'kind' => $rule->task->kind->value,
                'marks' => $grid->marks[$row],
                'in_words' => $rule->inWords(),
                'common_practice' => $rule->common_practice,
                'shared' => $machine->sharedRulebook?->standOf($rule, $keys),
                'record' => $rule->toRecord(),
            ])->all(),
            'beside' => $machine->rules->diff($rules)
                ->map(fn (Rule $rule): array => ['rule_id' => $rule->id, 'task' => $rule->task->name, 'kind' => $rule->task->kind->value,
                    'in_words' => $rule->toCore() === null
                        ? 'with '.$machine->rules->find($rule->goes_with_id)?->task->name
                        : $rule->inWords()])->values()->all(),
            'shared_rulebook' => $machine->sharedRulebook?->toRecord(),
            'left_out' => $machine->sharedRulebook?->leftOutBy($machine) ?? [],
        ];
    }

    /** @return Collection<int, Rule> the rules that fall due by themselves, and so have marks */
    private function charted(Machine $machine): Collection
    {
        return $machine->rules->each(fn (Rule $rule) => $rule->setRelation('machine', $machine))
            ->filter(fn (Rule $rule): bool => $rule->toCore()?->comesByItself() === true)
            ->values();
    }

    private function comes(Rule $rule): CoreRule
    {
        return $rule->toCore() ?? new CoreRule(new Interval, condition: '');
    }
}
