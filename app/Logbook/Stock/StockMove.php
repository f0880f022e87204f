<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

use App\Logbook\Acts\Act;
use App\Logbook\Entry;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something came to the shelf, went from it, or was counted there.
 *
 * @property int $id
 * @property int $entry_id
 * @property int|null $act_id what it was used for
 * @property int $supply_id
 * @property int|null $container_id of a fluid: null where it came from none that is known
 * @property StockKind $kind
 * @property string $amount litres of a fluid, pieces of a part
 * @property string|null $typed
 * @property-read Entry $entry
 * @property-read Act|null $act
 * @property-read Supply $supply
 * @property-read Container|null $container
 */
final class StockMove extends Model
{
    protected $table = 'stock_moves';

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => StockKind::class, 'happened_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Entry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(Entry::class);
    }

    /** @return BelongsTo<Act, $this> */
    public function act(): BelongsTo
    {
        return $this->belongsTo(Act::class);
    }

    /** @return BelongsTo<Supply, $this> */
    public function supply(): BelongsTo
    {
        return $this->belongsTo(Supply::class);
    }

    /** @return BelongsTo<Container, $this> */
    public function container(): BelongsTo
    {
        return $this->belongsTo(Container::class);
    }
}
