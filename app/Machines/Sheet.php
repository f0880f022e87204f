<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Database\Eloquent\Model;

/**
 * What the keeper wrote down of a spot: of a compartment, an opening, or a place where a part sits.
 *
 * @property int $spot_id
 * @property array<string, mixed> $written as typed, in the fields of the kind of spot
 */
final class Sheet extends Model
{
    protected $primaryKey = 'spot_id';

    public $incrementing = false;

    public $timestamps = false;

    protected function casts(): array
    {
        return ['written' => 'array'];
    }
}
