<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;

/**
 * A viscosity grade of engine oil: `5W-30`, `30`, `SAE 10W`.
 *
 * Source: SAE J300, engine oil viscosity classification; values from memory.
 */
final readonly class EngineGrade implements Grade
{
    /**
     * By winter number: °C at which it must still let the engine be cranked, °C at which it must still be pumped, least
     * mm²/s at 100 °C.
     */
    private const WINTER = [
        0 => [-35, -40, '3.8'],
        5 => [-30, -35, '3.8'],
        10 => [-25, -30, '4.1'],
        15 => [-20, -25, '5.6'],
        20 => [-15, -20, '5.6'],
        25 => [-10, -15, '9.3'],
    ];

    /** By number: mm²/s at 100 °C, from, to below. */
    private const HOT = [
        8 => ['4.0', '6.1'],
        12 => ['5.0', '7.1'],
        16 => ['6.1', '8.2'],
        20 => ['6.9', '9.3'],
        30 => ['9.3', '12.5'],
        40 => ['12.5', '16.3'],
        50 => ['16.3', '21.9'],
        60 => ['21.9', '26.1'],
    ];

    private function __construct(
        public ?int $winter,
        public ?int $hot,
    ) {
    }

    /** @throws Unreadable if there is no such grade */
    public static function parse(string $written): self
    {
        $grades = new Viscosities(
            'engine oil',
            '10W-30 or SAE 30',
            array_map(fn (array $row): string => $row[2], self::WINTER),
            array_map(fn (array $row): string => $row[1], self::HOT),
        );

        return new self(...$grades->read($written));
    }

    /**
     * Down to where it lets the engine be cranked; null of a grade without W, which is promised nothing in the cold.
     */
    public function lowest(): ?Quantity
    {
        return $this->winter === null ? null : Quantity::of(self::WINTER[$this->winter][0], Unit::DegreeCelsius);
    }

    /** @return array<int, array{int, int, string}> */
    public static function winterTable(): array
    {
        return self::WINTER;
    }

    /** @return array<int, array{string, string}> */
    public static function hotTable(): array
    {
        return self::HOT;
    }

    public function table(): string
    {
        return 'SAE J300';
    }

    public function written(): string
    {
        return Multigrade::written($this->winter, $this->hot);
    }
}
