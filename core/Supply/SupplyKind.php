<?php

declare(strict_types=1);

namespace Core\Supply;

/** What sort of thing is bought and kept. */
enum SupplyKind: string
{
    /** In containers, by volume. */
    case Fluid = 'fluid';
    /** By the piece. */
    case Part = 'part';
}
