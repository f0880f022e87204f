<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

/** How a compartment is drained, which decides the order of the work. */
enum DrainWay: string
{
    case Plug = 'plug';
    case Filter = 'filter';
    case Hose = 'hose';
    case Suction = 'suction';
    /** A hub that is turned until its plug is lowest, and filled with its marks level. */
    case Hub = 'hub';

    public function label(): string
    {
        return match ($this) {
            self::Plug => 'by its plug',
            self::Filter => 'by taking the filter off',
            self::Hose => 'by taking a hose off',
            self::Suction => 'by suction through the stick or filler',
            self::Hub => 'by its plug, the hub turned until it is lowest',
        };
    }
}
