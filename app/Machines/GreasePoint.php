<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Record;
use Core\Grease\EndSign;
use Core\Grease\GreasePoint as CorePoint;
use Core\Measure\TooMuch;

/**
 * What a nipple takes.
 *
 * @property int $spot_id
 * @property string $grease
 * @property int $strokes
 * @property int|null $most
 * @property EndSign $end_sign
 * @property bool $about whether nobody has counted its strokes yet
 */
final class GreasePoint extends Record
{
    protected $primaryKey = 'spot_id';

    public $incrementing = false;

    protected $attributes = ['grease' => CorePoint::USUAL_GREASE, 'about' => false];

    protected function casts(): array
    {
        return ['end_sign' => EndSign::class, 'strokes' => 'integer', 'most' => 'integer', 'about' => 'boolean'];
    }

    public function toCore(): CorePoint
    {
        return new CorePoint($this->strokes, $this->end_sign, $this->most, $this->grease, $this->about);
    }

    /** @return array<string, mixed> */
    public function toRecord(): array
    {
        return [
            ...$this->only('grease', 'strokes', 'most', 'about'),
            'asks_over' => TooMuch::strokesAskedOver($this->strokes),
            'end_sign' => $this->end_sign->value,
            'end_in_words' => $this->end_sign->label(),
        ];
    }
}
