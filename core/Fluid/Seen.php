<?php

declare(strict_types=1);

namespace Core\Fluid;

/** What can be seen of a fluid and of the magnet in it. */
enum Seen: string
{
    case Clear = 'clear';
    case Dark = 'dark';
    case Black = 'black';
    case Grey = 'grey';
    case Milky = 'milky';
    case WaterDrops = 'water_drops';
    case Foam = 'foam';
    case BurntSmell = 'burnt_smell';
    case FuelSmell = 'fuel_smell';
    case Fuzz = 'fuzz';
    case Slivers = 'slivers';
    case Chips = 'chips';
    case Overfull = 'overfull';
    case Low = 'low';

    public function label(): string
    {
        return match ($this) {
            self::Clear => 'clear, amber to brown',
            self::Dark => 'dark',
            self::Black => 'black',
            self::Grey => 'grey shimmer',
            self::Milky => 'milky',
            self::WaterDrops => 'drops of water',
            self::Foam => 'beige foam',
            self::BurntSmell => 'burnt smell',
            self::FuelSmell => 'smells of fuel',
            self::Fuzz => 'fine fuzz on the magnet',
            self::Slivers => 'slivers',
            self::Chips => 'chips or flakes',
            self::Overfull => 'far over full',
            self::Low => 'low',
        };
    }
}
