<?php

declare(strict_types=1);

namespace Core\Supply;

/** What sort of part sits at a place. */
enum PartKind: string
{
    case Filter = 'filter';
    case Strainer = 'strainer';
    case Ring = 'ring';
    case Washer = 'washer';
    case Gasket = 'gasket';
    case Plug = 'plug';
    case Belt = 'belt';
    case Blade = 'blade';
    case Impeller = 'impeller';
    case Other = 'other';

    /** Whether the old one itself may be used again, counted. Handbook section 12. */
    public function isUsedAgain(): bool
    {
        return in_array($this, [self::Ring, self::Washer, self::Gasket, self::Plug], true);
    }
}
