<?php

declare(strict_types=1);

namespace App\Walkaround;

use Core\Inspect\SheetChange;
use Illuminate\Database\Eloquent\Model;

/**
 * What a keeper changed about one check, for a class of machine or for one machine.
 *
 * @property int $id
 * @property string|null $class
 * @property int|null $machine_id
 * @property string $key
 * @property array<string, mixed> $values as the contract's `CheckValues`
 * @property bool $dropped
 * @property float|null $position
 */
final class ChangedCheck extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['values' => 'array', 'dropped' => 'boolean', 'position' => 'float'];
    }

    public function toCore(): SheetChange
    {
        return new SheetChange($this->key, CheckShape::values($this->values), $this->dropped, $this->position);
    }
}
