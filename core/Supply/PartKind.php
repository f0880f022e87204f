<?php

declare(strict_types=1);

namespace Core\Supply;

/** What sort of part sits at a place. */
enum PartKind: string
{
    case SpinOn = 'spin_on';
    case Cartridge = 'cartridge';
    case Canister = 'canister';
    case InLine = 'in_line';
    case AirElement = 'air_element';
    /** Of no sort that anybody said. */
    case Filter = 'filter';
    case Screen = 'screen';
    case Strainer = 'strainer';
    case Breather = 'breather';
    case Ring = 'ring';
    case Washer = 'washer';
    case Gasket = 'gasket';
    case SparkPlug = 'spark_plug';
    case Plug = 'plug';
    case VBelt = 'v_belt';
    case CvtBelt = 'cvt_belt';
    case DeckBelt = 'deck_belt';
    case Belt = 'belt';
    case Blade = 'blade';
    case Impeller = 'impeller';
    case Pads = 'pads';
    case Battery = 'battery';
    case Wheel = 'wheel';
    case PivotShaft = 'pivot_shaft';
    case Other = 'other';

    private const FILTERS = [self::SpinOn, self::Cartridge, self::Canister, self::InLine, self::AirElement, self::Filter];

    /** Whether the old one itself may be used again, counted. Handbook section 12. */
    public function isUsedAgain(): bool
    {
        return in_array($this, [self::Ring, self::Washer, self::Gasket, self::SparkPlug, self::Plug], true);
    }

    public function isFilter(): bool
    {
        return in_array($this, self::FILTERS, true);
    }

    /** @return list<string> what the work at it takes besides. Common practice, no source. */
    public function takes(): array
    {
        return match ($this) {
            self::Blade => ['block of wood to hold the blade'],
            self::Impeller => ['jelly for the vanes'],
            self::InLine => ['line clamp, where there is no valve'],
            self::Battery => ['soda for the tray, grease for the posts'],
            default => [],
        };
    }

    /** @return list<string> all that a filter can be written down as */
    public static function filters(): array
    {
        return array_column(self::FILTERS, 'value');
    }
}
