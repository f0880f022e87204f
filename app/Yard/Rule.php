<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Versioned;
use Brick\Math\BigDecimal;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Rule as CoreRule;
use Core\Schedule\Source;
use Core\Schedule\Task;
use Core\Schedule\TaskKind;
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
        'version' => 1, 'first' => '[]', 'every' => '{}', 'anchor' => 'from_done', 'early' => CoreRule::USUAL_WINDOW, 'late' => CoreRule::USUAL_WINDOW,
        'source' => 'keeper', 'common_practice' => false, 'counts_from_beginning' => false, 'retired' => false,
    ];

    protected function casts(): array
    {
        return [
            'kind' => TaskKind::class, 'anchor' => Anchor::class, 'source' => Source::class,
            'first' => 'array', 'every' => 'array', 'book' => 'array',
            'common_practice' => 'boolean', 'counts_from_beginning' => 'boolean', 'retired' => 'boolean',
        ];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @throws \InvalidArgumentException if the rule could never fall due */
    public function toCore(): CoreRule
    {
        return new CoreRule(
            every: WrittenInterval::toCore($this->every) ?? new Interval,
            first: array_values(array_filter(array_map(WrittenInterval::toCore(...), $this->first))),
            anchor: $this->anchor,
            early: BigDecimal::of($this->early),
            late: BigDecimal::of($this->late),
            source: $this->source,
            book: WrittenInterval::toCore($this->book),
        );
    }

    public function toTask(): Task
    {
        return new Task((string) $this->id, $this->task, $this->kind);
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
