<?php

declare(strict_types=1);

namespace Core\Machine;

/** What a compartment is opened for at one place. */
enum OpeningRole: string
{
    case Fill = 'fill';
    case Drain = 'drain';
    case Level = 'level';
    case Vent = 'vent';
    case FilterCover = 'filter_cover';
    case Strainer = 'strainer';
    /** Where the fluid is sucked out: through the stick or the filler. */
    case Draw = 'draw';
}
