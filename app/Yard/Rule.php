<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Versioned;
use Brick\Math\BigDecimal;
use Core\Machine\Subject;
use Core\Machine\Task;
use Core\Machine\TaskKind;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Rule as CoreRule;
use Core\Schedule\RulebookLine;
use Core\Schedule\Source;
use Core\Schedule\YearWindow;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * When a task of one machine is due. Intervals are kept as the keeper wrote them.
 *
 * @property int $id
 * @property int $machine_id
 * @property string $task
 * @property TaskKind $kind
 * @property list<array<string, mixed>> $first
 * @property array<string, mixed> $every
 * @property array<string, mixed>|null $book
 * @property list<array{name: string, from: string, to: string}>|null $windows parts of the year in which it comes
 * @property string|null $condition what a check must say for it to fall due
 * @property int|null $contained_in_id the bigger task that counts as this one
 * @property int|null $goes_with_id the task in whose course it is done
 * @property bool $keeps_fluid the filter alone: the fluid stays in
 * @property string|null $top_up what runs out with it and is poured back, as typed
 * @property Subject|null $subject what it is about, where its words do not tell
 * @property bool $dealer_only the dealer's, while the extended warranty runs
 * @property string|null $loosened_because why it is looser than the book under warranty
 * @property string|null $shared_key the rule of the shared rulebook that it follows
 * @property Anchor $anchor
 * @property string $early
 * @property string $late
 * @property Source $source
 * @property bool $common_practice
 * @property bool $counts_from_beginning
 * @property string|null $note
 * @property bool $retired
 * @property int $version
 * @property-read Machine $machine
 */
final class Rule extends Model
{
    use Versioned;

    protected $guarded = [];

    protected $attributes = [
        'version' => 1, 'first' => '[]', 'every' => '{}', 'windows' => '[]', 'anchor' => 'from_done', 'early' => CoreRule::USUAL_WINDOW, 'late' => CoreRule::USUAL_WINDOW,
        'source' => 'keeper', 'common_practice' => false, 'counts_from_beginning' => false, 'keeps_fluid' => false, 'dealer_only' => false, 'retired' => false,
    ];

    protected function casts(): array
    {
        return [
            'kind' => TaskKind::class, 'anchor' => Anchor::class, 'source' => Source::class, 'subject' => Subject::class,
            'first' => 'array', 'every' => 'array', 'book' => 'array', 'windows' => 'array',
            'common_practice' => 'boolean', 'counts_from_beginning' => 'boolean', 'keeps_fluid' => 'boolean', 'dealer_only' => 'boolean', 'retired' => 'boolean',
        ];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /**
     * The rule as the rulebook has it, or null where the task only ever goes with another.
     *
     * @throws \InvalidArgumentException if the rule could never fall due
     */
    public function toCore(): ?CoreRule
    {
        $every = WrittenInterval::toCore($this->every) ?? new Interval;
        $first = array_values(array_filter(array_map(WrittenInterval::toCore(...), $this->first)));
        if ($this->goes_with_id !== null && $every->isEmpty() && $first === [] && ($this->windows ?? []) === [] && $this->condition === null) {
            return null;
        }

        return new CoreRule(
            every: $every,
            first: $first,
            anchor: $this->anchor,
            early: BigDecimal::of($this->early),
            late: BigDecimal::of($this->late),
            source: $this->source,
            book: WrittenInterval::toCore($this->book),
            windows: array_map(fn (array $window): YearWindow => YearWindow::between($window['from'], $window['to'], $window['name']), $this->windows ?? []),
            condition: $this->condition,
        );
    }

    public function toTask(): Task
    {
        return new Task((string) $this->id, $this->task, $this->kind);
    }

    /** @param  \Closure(CoreRule): CoreRule  $asItHolds */
    public function toLine(\Closure $asItHolds): RulebookLine
    {
        $rule = $this->toCore();
        $id = fn (?int $other): ?string => $other === null ? null : (string) $other;

        return new RulebookLine($this->toTask(), $rule === null ? null : $asItHolds($rule), $id($this->contained_in_id), $id($this->goes_with_id));
    }

    public function subject(): Subject
    {
        return $this->subject ?? Subject::of($this->task, $this->kind);
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
            'task' => $this->task,
            'kind' => $this->kind->value,
            'first' => $this->first,
            'every' => (object) $this->every,
            'book' => $this->book === null ? null : (object) $this->book,
            'windows' => $this->windows ?? [],
            'condition' => $this->condition,
            'contained_in' => $this->contained_in_id,
            'goes_with' => $this->goes_with_id,
            'keeps_fluid' => $this->keeps_fluid,
            'top_up' => $this->top_up,
            'subject' => $this->subject?->value,
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
