<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;

/**
 * A viscosity grade of hydraulic and other industrial oil: `ISO VG 46`, its middle in mm²/s at 40 °C, ten per cent
 * either way.
 *
 * Source: ISO 3448, industrial liquid lubricants, ISO viscosity classification; values from memory.
 */
final readonly class IsoGrade implements Grade
{
    private const MIDDLES = [
        '2.2',
        '3.2',
        '4.6',
        '6.8',
        '10',
        '15',
        '22',
        '32',
        '46',
        '68',
        '100',
        '150',
        '220',
        '320',
        '460',
        '680',
        '1000',
        '1500',
        '2200', '3200',
    ];

    private const HALF_WIDTH = '0.1';

    private function __construct(public BigDecimal $middle)
    {
    }

    /** @throws Unreadable if there is no such grade */
    public static function parse(string $written): self
    {
        preg_match('~^(?:ISO\s*)?(?:VG\s*)?(\d{1,4})$~iD', trim($written), $part);
        foreach (self::MIDDLES as $middle) {
            if (($part[1] ?? '') === (string) BigDecimal::of($middle)->toScale(0, \Brick\Math\RoundingMode::HALF_UP)) {
                return new self(BigDecimal::of($middle));
            }
        }
        throw new Unreadable(Plain::quoted($written).' is no grade of ISO 3448. They are written like ISO VG 46.');
    }

    public function written(): string
    {
        return "ISO VG {$this->middle}";
    }

    public function lowest(): ?Quantity
    {
        return null;
    }

    public function table(): string
    {
        return 'ISO 3448';
    }

    /** @return array{BigDecimal, BigDecimal} mm²/s at 40 °C, from and to */
    public function range(): array
    {
        $half = $this->middle->multipliedBy(self::HALF_WIDTH);

        return [$this->middle->minus($half), $this->middle->plus($half)];
    }
}
