<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Contract\Record;

/**
 * The measured value of a part that wears, with the limit it nears.
 *
 * @property int $act_id
 * @property string $value
 * @property string $unit
 * @property string $limit
 * @property string $resolution one step of the last digit that was written
 * @property bool $falls whether it wears down to the limit
 */
final class Measure extends Record
{
    protected $primaryKey = 'act_id';

    public $incrementing = false;

    protected function casts(): array
    {
        return ['falls' => 'boolean'];
    }
}
