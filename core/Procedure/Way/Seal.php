<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Part;

/** A ring, washer or gasket of its own: the old one off whole, the seat clean. */
final readonly class Seal extends OffAndOn
{
    protected function off(Part $part): string
    {
        return "Take {$part->name} off, whole";
    }

    protected function looks(Part $part): string
    {
        return "Look at {$part->name} and its seat: nothing of the old one left, no score across the face.";
    }

    protected function compares(): string
    {
        return 'width, thickness, what it is made of';
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['dry unless its book says otherwise', 'no twist, no pinch'];
    }

    protected function isTightened(Part $part): bool
    {
        return false;
    }
}
