<?php

declare(strict_types=1);

namespace Core\Grease;

/** How one knows that a grease point has had enough. */
enum EndSign: string
{
    case Strokes = 'strokes';
    case Shows = 'shows';
    case Resistance = 'resistance';

    public function label(): string
    {
        return match ($this) {
            self::Strokes => 'by strokes counted',
            self::Shows => 'until clean grease shows at the seal',
            self::Resistance => 'until it resists',
        };
    }
}
