<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Record;

/**
 * What the keeper wrote down of a spot: of a compartment, an opening, or a place where a part sits.
 *
 * @property int $spot_id
 * @property array<string, mixed> $written as typed, in the fields of the kind of spot
 */
final class Sheet extends Record
{
    protected $primaryKey = 'spot_id';

    public $incrementing = false;

    protected function casts(): array
    {
        return ['written' => 'array'];
    }
}
