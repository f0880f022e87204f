<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

/** How a compartment is drained, which decides the order of the work. */
enum DrainWay: string
{
    case Plug = 'plug';
    case Tap = 'tap';
    case Filter = 'filter';
    case Hose = 'hose';
    case Suction = 'suction';
    /** A hub that is turned until its plug is lowest, and filled with its marks level. */
    case Hub = 'hub';
    /** A cup that comes off whole, is emptied, washed and filled. */
    case Cup = 'cup';
    /** At a screen, strainer or sensor below the level. */
    case Catch = 'catch';
    /** New pushes the old through, and it is never empty. */
    case BledThrough = 'bled_through';
    /** Sealed for life, or only topped up. */
    case None = 'none';

    public function label(): string
    {
        return match ($this) {
            self::Plug => 'by its plug',
            self::Tap => 'by its tap',
            self::Filter => 'by taking the filter off',
            self::Hose => 'by taking a hose off',
            self::Suction => 'by suction through the stick or filler',
            self::Hub => 'by its plug, the hub turned until it is lowest',
            self::Cup => 'by taking its cup off',
            self::Catch => 'at its screen or strainer',
            self::BledThrough => 'bled through, never emptied',
            self::None => 'never: sealed, or only topped up',
        };
    }
}
