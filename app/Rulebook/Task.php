<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Record;
use App\Machines\Spot;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\TaskKind;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * One act at one or more spots of a machine; greasing without any is of every point that has no task of its own.
 *
 * @property int $id
 * @property int $machine_id
 * @property string $name
 * @property TaskKind $kind
 * @property string|null $check_key the check by which it is done, where only that one will do
 * @property-read Collection<int, Spot> $spots
 */
final class Task extends Record
{
    /** @var array<int, CoreSpot>|null its spots by id, told once however many ask */
    private ?array $places = null;

    protected function casts(): array
    {
        return ['kind' => TaskKind::class];
    }

    /** @return BelongsToMany<Spot, $this> */
    public function spots(): BelongsToMany
    {
        return $this->belongsToMany(Spot::class, 'task_spots')->orderBy('task_spots.position');
    }

    /** Whether it greases every point that has no task of its own. */
    public function isOfAllPoints(): bool
    {
        return $this->kind === TaskKind::Lubricate && $this->places() === [];
    }

    /** @return array<int, CoreSpot> by spot id, in their order */
    public function places(): array
    {
        return $this->places ??= $this->spots
            ->mapWithKeys(fn (Spot $spot): array => [$spot->id => $spot->toCore()])
            ->all();
    }

    /** @param  array<int|string>  $spotIds */
    public function doAt(array $spotIds): void
    {
        $this->spots()->sync(
            collect($spotIds)->unique()
                ->values()
                ->mapWithKeys(fn (int|string $id, int $position): array => [$id => ['position' => $position]])
                ->all(),
        );
        $this->unsetRelation('spots');
        $this->places = null;
    }

    /** @return array<string, mixed> as the contract's `Task` */
    public function toRecord(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'kind' => $this->kind->value,
            'spots' => array_values($this->spots->map(fn (Spot $spot): array => $spot->only('key', 'name'))->all()),
            'check' => $this->check_key,
            'all_points' => $this->isOfAllPoints(),
        ];
    }
}
