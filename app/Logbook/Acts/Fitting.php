<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Contract\Record;

/**
 * A part that was fitted, or how an opening was closed.
 *
 * @property int $act_id
 * @property string|null $number
 * @property string|null $found how the old one looked
 * @property string|null $seal
 * @property bool $reused whether the old seal was used again
 * @property string|null $torque as typed
 * @property bool $by_feel
 * @property string|null $wrench what it was tightened with
 */
final class Fitting extends Record
{
    protected $primaryKey = 'act_id';

    public $incrementing = false;

    protected function casts(): array
    {
        return ['reused' => 'boolean', 'by_feel' => 'boolean'];
    }
}
