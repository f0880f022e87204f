<?php

declare(strict_types=1);

namespace Core\Fluid;

/** Whether something will do. */
enum Suitability: string
{
    case Yes = 'yes';
    /** What would decide is not given. */
    case Ask = 'ask';
    case No = 'no';

    public function hardness(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
