<?php

declare(strict_types=1);

namespace Core\Procedure;

/** A question on which keepers differ, answered for each machine. Handbook section 12; the first school is the default. */
enum School: string
{
    case SpinOn = 'spin_on';
    case Gasket = 'gasket';
    case FuelFilter = 'fuel_filter';
    case FilterAlone = 'filter_alone';
    case Seals = 'seals';
    case LastOfOil = 'last_of_oil';
    case Coolant = 'coolant';
    case SparkPlug = 'spark_plug';
    case PlugGap = 'plug_gap';
    case PlugThread = 'plug_thread';
    case PreCleaner = 'pre_cleaner';
    case AirElement = 'air_element';
    case ElementSeat = 'element_seat';
    case PivotShaft = 'pivot_shaft';
    case Deck = 'deck';

    public function asks(): string
    {
        return match ($this) {
            self::SpinOn => 'How tight a spin-on filter',
            self::Gasket => 'The gasket of a new filter',
            self::FuelFilter => 'A new fuel filter',
            self::FilterAlone => 'A filter alone, the oil stays',
            self::Seals => 'Washers, rings and gaskets',
            self::LastOfOil => 'The last of the old engine oil',
            self::Coolant => 'Coolant',
            self::SparkPlug => 'A spark plug',
            self::PlugGap => 'The gap of a new plug',
            self::PlugThread => 'A plug\'s thread in aluminium',
            self::PreCleaner => 'A foam pre-cleaner',
            self::AirElement => 'A paper air element',
            self::ElementSeat => 'The seat of an air element',
            self::PivotShaft => 'Pivot shafts',
            self::Deck => 'The deck underside',
        };
    }

    /** @return non-empty-array<string, string> what each school says, by its key */
    public function ways(): array
    {
        return match ($this) {
            self::SpinOn => [
                'printed' => 'by hand, as far as is printed on it',
                'hand' => 'hand tight only',
                'three_quarters' => 'until its gasket touches, then up to 3/4 turn',
                'from_hand_tight' => 'hand tight, then up to 3/4 turn',
            ],
            self::Gasket => [
                'fresh_oil' => 'wetted with fresh oil',
                'old_oil' => 'wetted with the old oil',
                'grease' => 'given a film of grease',
            ],
            self::FuelFilter => [
                'dry' => 'fitted dry, then bled',
                'filled' => 'filled with clean fuel first',
            ],
            self::FilterAlone => [
                'quick' => 'changed quickly, the new one in hand',
                'vacuum' => 'a vacuum on the tank meanwhile',
            ],
            self::Seals => [
                'new' => 'new each time',
                'reuse' => 'used again two or three times if sound',
            ],
            self::LastOfOil => [
                'drip' => 'left to drip',
                'turned' => 'engine turned over slowly by hand, plugs out',
            ],
            self::Coolant => [
                'concentrate' => 'concentrate with distilled water',
                'premix' => 'premix of the right chemistry',
            ],
            self::SparkPlug => [
                'replaced' => 'replaced at its service',
                'regapped' => 'looked at, cleaned and regapped',
            ],
            self::PlugGap => [
                'set' => 'set as the book says',
                'delivered' => 'left as delivered',
            ],
            self::PlugThread => [
                'makers' => 'as the plug\'s maker says',
                'anti_seize' => 'a thin film of anti-seize, and less torque for it',
            ],
            self::PreCleaner => [
                'oiled' => 'washed, dried and lightly oiled',
                'dry' => 'washed and fitted dry',
            ],
            self::AirElement => [
                'replaced' => 'never cleaned, replaced',
                'blown' => 'tapped or blown out from inside when the dirt is light',
            ],
            self::ElementSeat => [
                'greased' => 'greased',
                'dry' => 'dry',
            ],
            self::PivotShaft => [
                'oil' => 'oil, as new',
                'grease' => 'grease, as on older ones',
            ],
            self::Deck => [
                'coated' => 'scraped and coated',
                'dry' => 'scraped and left dry',
                'hosed' => 'hosed off',
            ],
        };
    }
}
