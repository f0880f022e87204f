<?php

declare(strict_types=1);

namespace Core\Supply\Need;

/** What is bought where both will do. Handbook section 12: keepers differ. */
enum Preference: string
{
    case Makers = 'makers';
    case Equivalents = 'equivalents';

    public function label(): string
    {
        return match ($this) {
            self::Makers => "maker's own",
            self::Equivalents => 'equivalents',
        };
    }
}
