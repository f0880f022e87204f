<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Record;
use App\Contract\Versioned;
use App\Machines\Machine;
use App\Rulebook\Written\WrittenRule;
use Brick\Math\BigDecimal;
use Core\Machine\Task as CoreTask;
use Core\Schedule\Anchor;
use Core\Schedule\Leeway;
use Core\Schedule\Rule as CoreRule;
use Core\Schedule\RulebookLine;
use Core\Schedule\RuleSource;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * When a task of one machine is due. Intervals are kept as the keeper wrote them.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $task_id
 * @property list<array<string, mixed>> $first
 * @property array<string, mixed> $every
 * @property array<string, mixed>|null $book
 * @property list<array{name: string, from: string, to: string}>|null $windows parts of the year in which it comes
 * @property string|null $condition what a check must say for it to fall due
 * @property int|null $goes_with_id the task in whose course it is done
 * @property string|null $top_up what runs out with it and is poured back, as typed
 * @property bool $dealer_only the dealer's, while the extended warranty runs
 * @property string|null $loosened_because why it is looser than the book under warranty
 * @property string|null $shared_key the rule of the shared rulebook that it follows
 * @property Anchor $anchor
 * @property string $early
 * @property string $late
 * @property RuleSource $source
 * @property bool $common_practice
 * @property bool $counts_from_beginning
 * @property string|null $note
 * @property bool $retired
 * @property int $version
 * @property-read Machine $machine
 * @property-read Task $task
 */
final class Rule extends Record
{
    use Versioned;

    public $timestamps = true;

    protected $attributes = [
        'version' => 1,
        'first' => '[]',
        'every' => '{}',
        'windows' => '[]',
        'anchor' => 'from_done',
        'early' => Leeway::USUAL,
        'late' => Leeway::USUAL,
        'source' => 'keeper',
        'common_practice' => false,
        'counts_from_beginning' => false,
        'dealer_only' => false,
        'retired' => false,
    ];

    protected function casts(): array
    {
        return [
            'anchor' => Anchor::class, 'source' => RuleSource::class,
            'first' => 'array', 'every' => 'array', 'book' => 'array', 'windows' => 'array',
            'common_practice' => 'boolean',
            'counts_from_beginning' => 'boolean',
            'dealer_only' => 'boolean',
            'retired' => 'boolean',
        ];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Task, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(Task::class);
    }

    /**
     * The rule as the rulebook has it, or null where the task only ever goes with another.
     *
     * @throws \InvalidArgumentException if the rule could never fall due
     */
    public function toCore(): ?CoreRule
    {
        return WrittenRule::toCore(
            $this->every,
            $this->first,
            $this->anchor,
            (string) $this->early,
            (string) $this->late,
            $this->source,
            $this->book,
            $this->windows,
            $this->condition,
            $this->goes_with_id !== null,
        );
    }

    public function toTask(): CoreTask
    {
        return new CoreTask(
            (string) $this->id,
            $this->task->name,
            $this->task->kind,
            array_column($this->task->places(), 'key'),
            $this->task->check_key,
        );
    }

    public function toLine(): RulebookLine
    {
        $goesWith = $this->goes_with_id === null ? null : (string) $this->goes_with_id;

        return new RulebookLine($this->toTask(), $this->toCore(), $goesWith);
    }

    public function inWords(): string
    {
        return $this->toCore()?->inWords($this->machine->distanceUnit()) ?? '';
    }

    /** @return array<string, mixed> */
    public function toRecord(): array
    {
        return [
            'id' => $this->id,
            'machine_id' => $this->machine_id,
            'task' => $this->task->name,
            'kind' => $this->task->kind->value,
            'task_id' => $this->task_id,
            'spots' => $this->task->toRecord()['spots'],
            'all_points' => $this->task->isOfAllPoints(),
            'check' => $this->task->check_key,
            'first' => $this->first,
            'every' => (object) $this->every,
            'book' => $this->book === null ? null : (object) $this->book,
            'windows' => $this->windows ?? [],
            'condition' => $this->condition,
            'goes_with' => $this->goes_with_id,
            'top_up' => $this->top_up,
            'dealer_only' => $this->dealer_only,
            'loosened_because' => $this->loosened_because,
            'anchor' => $this->anchor->value,
            'early' => (string) BigDecimal::of($this->early)->stripTrailingZeros(),
            'late' => (string) BigDecimal::of($this->late)->stripTrailingZeros(),
            'source' => $this->source->value,
            'common_practice' => $this->common_practice,
            'counts_from_beginning' => $this->counts_from_beginning,
            'note' => $this->note,
            'retired' => $this->retired,
            'version' => $this->version,
        ];
    }
}
