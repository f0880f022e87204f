<?php

declare(strict_types=1);

namespace Core\Meter;

/** What on a used machine speaks for or against the hours its meter shows. Common practice, no source. */
enum MeterSign: string
{
    case Shims = 'shims';
    case Pins = 'pins';
    case Adjusters = 'adjusters';
    case Tread = 'tread';
    case Pads = 'pads';
    case DateCodes = 'date_codes';

    public function label(): string
    {
        return match ($this) {
            self::Shims => 'The original shims',
            self::Pins => 'Pins and bushes',
            self::Adjusters => 'Thread left on the adjusters',
            self::Tread => 'Tread of the tyres or tracks',
            self::Pads => 'Pads, pedals and the seat',
            self::DateCodes => 'Date codes of belts and hoses',
        };
    }

    /** What is seen where the hours may be right. */
    public function speaksFor(): string
    {
        return match ($this) {
            self::Shims => 'still in',
            self::Pins => 'tight',
            self::Adjusters => 'plenty left',
            self::Tread => 'worn as the hours say',
            self::Pads => 'worn as the hours say',
            self::DateCodes => 'as old as the machine, and the hours could have left them',
        };
    }

    /** What is seen where it has probably run longer. */
    public function speaksAgainst(): string
    {
        return match ($this) {
            self::Shims => 'taken out',
            self::Pins => 'loose, or bushed anew',
            self::Adjusters => 'used up',
            self::Tread => 'worn further, or renewed',
            self::Pads => 'worn further, or renewed',
            self::DateCodes => 'renewed more often than the hours explain',
        };
    }
}
