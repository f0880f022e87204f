<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Versioned;
use App\Yard\WrittenInterval;
use Core\Grease\EndSign;
use Core\Grease\GreasePoint as CorePoint;
use Illuminate\Database\Eloquent\Model;

/**
 * A grease point of one machine.
 *
 * @property int $id
 * @property int $machine_id
 * @property float $position in walking order
 * @property string $name
 * @property string $place
 * @property string $reach
 * @property string $grease
 * @property int $strokes
 * @property int|null $most
 * @property array<string, mixed> $every
 * @property EndSign $end_sign
 * @property string|null $job the job in whose course it is reached
 * @property int $x
 * @property int $y
 * @property bool $retired
 * @property int $version
 */
final class GreasePoint extends Model
{
    use Versioned;

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['version' => 1, 'retired' => false];

    protected function casts(): array
    {
        return ['every' => 'array', 'end_sign' => EndSign::class, 'retired' => 'boolean', 'position' => 'float', 'strokes' => 'integer', 'most' => 'integer', 'x' => 'integer', 'y' => 'integer'];
    }

    public function toCore(): CorePoint
    {
        return new CorePoint($this->name, $this->place, $this->strokes, WrittenInterval::toCore($this->every), [$this->x, $this->y], $this->end_sign, $this->most, $this->reach, $this->job, $this->grease);
    }

    /** @return array<string, mixed> its columns */
    public static function columnsOf(CorePoint $point): array
    {
        return [
            'name' => $point->name, 'place' => $point->place, 'reach' => $point->reach, 'grease' => $point->grease, 'strokes' => $point->strokes, 'most' => $point->most,
            'every' => WrittenInterval::fromCore($point->every), 'end_sign' => $point->endSign, 'job' => $point->job, 'x' => $point->spot[0], 'y' => $point->spot[1],
        ];
    }

    /** @return array<string, mixed> */
    public function toRecord(): array
    {
        return [
            ...$this->only('id', 'name', 'place', 'reach', 'grease', 'strokes', 'most', 'job', 'x', 'y', 'position', 'retired', 'version'),
            'every' => (object) $this->every,
            'every_in_words' => $this->toCore()->every->inWords(),
            'end_sign' => $this->end_sign->value,
            'end_in_words' => $this->end_sign->label(),
        ];
    }
}
