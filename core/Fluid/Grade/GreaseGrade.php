<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;

/** How stiff a grease is. Source: NLGI consistency numbers, by worked penetration (ASTM D217); values from memory. */
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
}
