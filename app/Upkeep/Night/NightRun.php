<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Contract\Record;
use Carbon\CarbonImmutable;

/**
 * One run of a work of the night.
 *
 * @property int $id
 * @property string $work
 * @property CarbonImmutable $began_at
 * @property CarbonImmutable|null $ended_at
 * @property bool|null $succeeded null while it goes on, or where it was cut off
 * @property string|null $says
 */
final class NightRun extends Record
{
    protected $table = 'night_works';

    protected function casts(): array
    {
        return ['began_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime', 'succeeded' => 'boolean'];
    }

    public static function last(string $work): ?self
    {
        return self::query()->where('work', $work)->orderByDesc('id')->first();
    }

    public static function lastDone(string $work): ?self
    {
        return self::query()->where('work', $work)->where('succeeded', true)->orderByDesc('id')->first();
    }
}
