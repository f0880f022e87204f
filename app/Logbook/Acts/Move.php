<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Logbook\Fluids\Supply;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Fluid that went into a compartment or out of it.
 *
 * @property int $id
 * @property int $entry_id
 * @property int|null $act_id
 * @property int|null $from_id the compartment that it ran out of
 * @property int|null $to_id the compartment that it was poured into
 * @property string|null $litres null where nobody measured it
 * @property string|null $typed
 * @property int|null $supply_id
 * @property string|null $fluid what it was called then
 * @property-read Supply|null $supply
 */
final class Move extends Model
{
    protected $table = 'moves';

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Supply, $this> */
    public function supply(): BelongsTo
    {
        return $this->belongsTo(Supply::class);
    }
}
