<?php

declare(strict_types=1);

namespace App\Logbook;

use Core\Machine\TaskKind;
use Illuminate\Database\Eloquent\Model;

/**
 * A task that was done, by the name it had then.
 *
 * @property int $entry_id
 * @property int|null $rule_id
 * @property string $task
 * @property TaskKind $kind
 */
final class EntryTask extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => TaskKind::class];
    }
}
