<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;

/**
 * A viscosity grade of hydraulic and other industrial oil: `ISO VG 46`, its middle in mm²/s at 40 °C, ten per cent either
 * way.
 *
 * Source: ISO 3448, industrial liquid lubricants, ISO viscosity classification; values from memory.
 */
final readonly class IsoGrade implements Grade
{
    private const NUMBERS = [2, 3, 5, 7, 10, 15, 22, 32, 46, 68, 100, 150, 220, 320, 460, 680, 1000, 1500, 2200, 3200];

    private function __construct(private int $number) {}

    /** @throws Unreadable if there is no such grade */
    public static function parse(string $written): self
    {
        preg_match('~^(?:ISO\s*)?(?:VG\s*)?(\d{1,4})$~iD', trim($written), $part);
        $number = (int) ($part[1] ?? 0);

        return in_array($number, self::NUMBERS, true)
            ? new self($number)
            : throw new Unreadable(Plain::quoted($written).' is no grade of ISO 3448. They are written like ISO VG 46.');
    }

    public function written(): string
    {
        return "ISO VG {$this->number}";
    }

    public function lowest(): ?Quantity
    {
        return null;
    }

    public function table(): string
    {
        return 'ISO 3448';
    }
}
