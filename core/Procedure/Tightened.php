<?php

declare(strict_types=1);

namespace Core\Procedure;

/** When a drain plug is tightened, on which keepers differ. */
enum Tightened: string
{
    case AtOnce = 'at_once';
    /** Seated by hand until the level is right. */
    case WhenLevelIsRight = 'when_level_is_right';
}
