<?php

declare(strict_types=1);

namespace Core\Fluid\Level;

/** How far up its stick a compartment is filled: keepers differ where an engine blows oil into its air box. Handbook section 12. */
enum FillTo: string
{
    case Full = 'full';
    case ThreeQuarters = 'three_quarters';

    /** Of the way from the add mark to the full mark, in hundredths. */
    public function hundredths(): int
    {
        return match ($this) {
            self::Full => 100,
            self::ThreeQuarters => 75,
        };
    }
}
