<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Part;

/** A breather: washed until air goes through, and put back dry. */
final readonly class Breather extends OffAndOn
{
    protected function off(Part $part): string
    {
        return "Wipe round it and take {$part->name} out; a clean rag into the hole";
    }

    protected function looks(Part $part): string
    {
        return "Look at {$part->name}: blocked, oily, its valve free.";
    }

    protected function cleans(Part $part): string
    {
        return "Wash {$part->name}, let it dry, and blow through: air goes freely.";
    }
}
