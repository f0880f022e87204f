<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

/** Whose book says so: where both exist they are kept side by side. */
enum Book: string
{
    case Machine = 'machine';
    case Component = 'component';

    public function label(): string
    {
        return match ($this) {
            self::Machine => 'the machine\'s book',
            self::Component => 'the component maker\'s book',
        };
    }
}
