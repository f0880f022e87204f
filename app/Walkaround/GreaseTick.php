<?php

declare(strict_types=1);

namespace App\Walkaround;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * One time that a grease point got grease.
 *
 * @property int $id
 * @property string $uuid
 * @property int $machine_id
 * @property int $entry_id
 * @property int $grease_point_id
 * @property int $strokes
 * @property string|null $note
 * @property CarbonImmutable $happened_at
 * @property int $person_id
 * @property string|null $replaces
 * @property CarbonImmutable|null $struck_at
 */
final class GreaseTick extends Model
{
    /** By these a stroke count is known to stand for another: who, at which point, in which round. */
    public const SAID_OF = ['person_id', 'grease_point_id', 'entry_id'];

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['happened_at' => 'immutable_datetime', 'struck_at' => 'immutable_datetime'];
    }
}
