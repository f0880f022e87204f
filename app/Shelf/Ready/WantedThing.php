<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Contract\Record;

/**
 * Something that somebody put on a list by hand.
 *
 * @property int $id
 * @property string $name
 * @property int $count
 */
final class WantedThing extends Record
{
    /** @return array{key: string, id: int, name: string, count: int} */
    public function toRecord(): array
    {
        return ['key' => "wanted {$this->id}", 'id' => $this->id, 'name' => $this->name, 'count' => $this->count];
    }
}
