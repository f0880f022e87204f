<?php

declare(strict_types=1);

namespace Core\Procedure;

/** A question on which keepers differ, answered for each machine. Handbook section 12; the first school is the default. */
enum School: string
{
    case SpinOn = 'spin_on';
    case Seals = 'seals';
    case PreCleaner = 'pre_cleaner';
    case AirElement = 'air_element';
    case Deck = 'deck';

    public function asks(): string
    {
        return match ($this) {
            self::SpinOn => 'How tight a spin-on filter',
            self::Seals => 'Washers, rings and gaskets',
            self::PreCleaner => 'A foam pre-cleaner',
            self::AirElement => 'A paper air element',
            self::Deck => 'The deck underside',
        };
    }

    /** @return non-empty-array<string, string> what each school says, by its key */
    public function ways(): array
    {
        return match ($this) {
            self::SpinOn => [
                'printed' => 'by hand, as far as is printed on it',
                'hand' => 'hand tight only',
                'three_quarters' => 'until its gasket touches, then up to 3/4 turn',
            ],
            self::Seals => [
                'new' => 'new each time',
                'reuse' => 'used again two or three times if sound',
            ],
            self::PreCleaner => [
                'oiled' => 'washed, dried and lightly oiled',
                'dry' => 'washed and fitted dry',
            ],
            self::AirElement => [
                'replaced' => 'never cleaned, replaced',
                'blown' => 'tapped or blown out from inside when the dirt is light',
            ],
            self::Deck => [
                'coated' => 'scraped and coated',
                'dry' => 'scraped and left dry',
            ],
        };
    }
}
