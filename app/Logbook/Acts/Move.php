<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use Illuminate\Database\Eloquent\Model;

/**
 * Fluid that went into a compartment or out of it.
 *
 * @property int $id
 * @property int $entry_id
 * @property int|null $act_id
 * @property int|null $from_id the compartment that it ran out of
 * @property int|null $to_id the compartment that it was poured into
 * @property string $litres
 * @property string $typed
 */
final class Move extends Model
{
    protected $table = 'moves';

    public $timestamps = false;

    protected $guarded = [];
}
