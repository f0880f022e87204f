<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;

/**
 * A viscosity grade of gear oil: `80W-90`, `SAE 90`, `75W`.
 *
 * Source: SAE J306, automotive gear lubricant viscosity classification; values from memory.
 */
final readonly class GearGrade implements Grade
{
    /** By winter number: °C down to which it stays under 150,000 mPa·s, least mm²/s at 100 °C. */
    private const WINTER = [
        70 => [-55, '3.8'],
        75 => [-40, '3.8'],
        80 => [-26, '8.5'],
        85 => [-12, '11.0'],
    ];

    /** By number: mm²/s at 100 °C, from, to below; null for no end. */
    private const HOT = [
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
            'gear oil',
            '80W-90 or SAE 90',
            array_map(fn (array $row): string => $row[1], self::WINTER),
            array_map(fn (array $row): ?string => $row[1], self::HOT),
        );

        return new self(...$grades->read($written));
    }

    /** Down to where it still flows to the gears; null of a grade without W, which is promised nothing in the cold. */
    public function lowest(): ?Quantity
    {
        return $this->winter === null ? null : Quantity::of(self::WINTER[$this->winter][0], Unit::DegreeCelsius);
    }

    /** @return array<int, array{int, string}> */
    public static function winterTable(): array
    {
        return self::WINTER;
    }

    /** @return array<int, array{string, string|null}> */
    public static function hotTable(): array
    {
        return self::HOT;
    }

    public function table(): string
    {
        return 'SAE J306';
    }

    public function written(): string
    {
        return Multigrade::written($this->winter, $this->hot);
    }
}
