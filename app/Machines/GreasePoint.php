<?php

declare(strict_types=1);

namespace App\Machines;

use Core\Grease\EndSign;
use Core\Grease\GreasePoint as CorePoint;
use Illuminate\Database\Eloquent\Model;

/**
 * What a nipple takes.
 *
 * @property int $spot_id
 * @property string $grease
 * @property int $strokes
 * @property int|null $most
 * @property EndSign $end_sign
 */
final class GreasePoint extends Model
{
    protected $table = 'grease_points';

    protected $primaryKey = 'spot_id';

    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['grease' => CorePoint::USUAL_GREASE];

    protected function casts(): array
    {
        return ['end_sign' => EndSign::class, 'strokes' => 'integer', 'most' => 'integer'];
    }

    public function toCore(): CorePoint
    {
        return new CorePoint($this->strokes, $this->end_sign, $this->most, $this->grease);
    }

    /** @return array<string, mixed> */
    public function toRecord(): array
    {
        return [
            ...$this->only('grease', 'strokes', 'most'),
            'end_sign' => $this->end_sign->value,
            'end_in_words' => $this->end_sign->label(),
        ];
    }
}
