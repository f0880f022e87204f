<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Record;
use Carbon\CarbonImmutable;

/**
 * What was decided about a task without anything being done: passed over, or called for.
 *
 * @property int $id
 * @property int $entry_id
 * @property int $task_id
 * @property string $task what it was called then
 * @property DecisionKind $kind
 * @property string|null $hours
 * @property string|null $km
 * @property CarbonImmutable|null $date
 */
final class Decision extends Record
{
    protected function casts(): array
    {
        return ['kind' => DecisionKind::class, 'date' => 'immutable_date'];
    }
}
