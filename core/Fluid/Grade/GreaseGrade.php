<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;

/**
 * How stiff a grease is: tenths of a millimetre by which a cone sinks into it, worked, at 25 °C.
 *
 * Source: NLGI consistency numbers by worked penetration (ASTM D217); values from memory.
 */
enum GreaseGrade: string implements Grade
{
    case Fluid = '000';
    case AlmostFluid = '00';
    case ExtremelySoft = '0';
    case VerySoft = '1';
    case Soft = '2';
    case Medium = '3';
    case Hard = '4';
    case VeryHard = '5';
    case Block = '6';

    /** @throws Unreadable if there is no such grade */
    public static function parse(string $written): self
    {
        preg_match('~^NLGI\s*(?:grade\s*)?(?:no\.?\s*)?(\d{1,3})$~iD', trim($written), $part);

        return self::tryFrom($part[1] ?? '')
            ?? throw new Unreadable(Plain::quoted($written).' is no consistency of grease. They are written like NLGI 2.');
    }

    public function written(): string
    {
        return "NLGI {$this->value}";
    }

    public function lowest(): ?Quantity
    {
        return null;
    }

    public function table(): string
    {
        return 'NLGI';
    }

    /** @return array{int, int} from, to */
    public function penetration(): array
    {
        return match ($this) {
            self::Fluid => [445, 475],
            self::AlmostFluid => [400, 430],
            self::ExtremelySoft => [355, 385],
            self::VerySoft => [310, 340],
            self::Soft => [265, 295],
            self::Medium => [220, 250],
            self::Hard => [175, 205],
            self::VeryHard => [130, 160],
            self::Block => [85, 115],
        };
    }
}
