<?php

declare(strict_types=1);

namespace Core\Schedule;

/** A hard life, in which some intervals are shortened. */
enum Severity: string
{
    case Dust = 'dust';
    case Heat = 'heat';
    case ShortColdRuns = 'short_cold_runs';
    case Water = 'water';
    case HeavyLoad = 'heavy_load';
    case LongIdling = 'long_idling';
    case LightUse = 'light_use';

    public function label(): string
    {
        return match ($this) {
            self::Dust => 'dust',
            self::Heat => 'heat',
            self::ShortColdRuns => 'short cold runs',
            self::Water => 'water and mud',
            self::HeavyLoad => 'towing or heavy load',
            self::LongIdling => 'long idling',
            self::LightUse => 'light use',
        };
    }

    /** Whether it wears by use; standing about wears by the calendar alone. */
    public function wearsByUse(): bool
    {
        return $this !== self::LightUse;
    }
}
