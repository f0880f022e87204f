<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

/** A classification of oils by how stiff they are in the cold and when hot. Values from memory. */
enum ViscosityTable: string
{
    /** Engine oil viscosity classification. */
    case Engine = 'SAE J300';
    /** Automotive gear lubricant viscosity classification. */
    case Gear = 'SAE J306';

    public function oil(): string
    {
        return $this === self::Engine ? 'engine oil' : 'gear oil';
    }

    /** How its grades are written. */
    public function like(): string
    {
        return $this === self::Engine ? '10W-30 or SAE 30' : '80W-90 or SAE 90';
    }

    /**
     * By winter number: °C down to which it does its work (an engine is cranked; gear oil stays under 150,000 mPa·s),
     * least mm²/s at 100 °C.
     *
     * @return array<int, array{int, string}>
     */
    public function winter(): array
    {
        return match ($this) {
            self::Engine => [
                0 => [-35, '3.8'],
                5 => [-30, '3.8'],
                10 => [-25, '4.1'],
                15 => [-20, '5.6'],
                20 => [-15, '5.6'],
                25 => [-10, '9.3'],
            ],
            self::Gear => [
                70 => [-55, '3.8'],
                75 => [-40, '3.8'],
                80 => [-26, '8.5'],
                85 => [-12, '11.0'],
            ],
        };
    }

    /**
     * By number: mm²/s at 100 °C, from, to below; null for no end.
     *
     * @return array<int, array{string, string|null}>
     */
    public function hot(): array
    {
        return match ($this) {
            self::Engine => [
                8 => ['4.0', '6.1'],
                12 => ['5.0', '7.1'],
                16 => ['6.1', '8.2'],
                20 => ['6.9', '9.3'],
                30 => ['9.3', '12.5'],
                40 => ['12.5', '16.3'],
                50 => ['16.3', '21.9'],
                60 => ['21.9', '26.1'],
            ],
            self::Gear => [
                65 => ['3.8', '5.0'],
                70 => ['5.0', '6.5'],
                75 => ['6.5', '8.5'],
                80 => ['8.5', '11.0'],
                85 => ['11.0', '13.5'],
                90 => ['13.5', '18.5'],
                110 => ['18.5', '24.0'],
                140 => ['24.0', '32.5'],
                190 => ['32.5', '41.0'],
                250 => ['41.0', null],
            ],
        };
    }
}
