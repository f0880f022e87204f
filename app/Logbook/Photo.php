<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Record;

/**
 * A picture of what was seen. The file lies outside the web root, made anew from its pixels alone.
 *
 * @property int $id
 * @property string $uuid
 * @property int $machine_id
 * @property string $act uuid of what was said
 * @property int $person_id
 * @property int $width
 * @property int $height
 * @property int $bytes
 */
final class Photo extends Record
{
    public function path(): string
    {
        return storage_path('photos/'.substr($this->uuid, 0, 2)."/{$this->uuid}.jpg");
    }
}
