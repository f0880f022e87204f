<?php

declare(strict_types=1);

namespace App\Logbook\Fluids;

use App\Contract\Versioned;
use Core\Fluid\Bottle;
use Core\Fluid\FluidFields;
use Core\Form\Fields;
use Illuminate\Database\Eloquent\Model;

/**
 * A fluid that is kept, by what stands on its bottle.
 *
 * @property int $id
 * @property string $name what it is called here
 * @property array<string, mixed> $label
 * @property bool $retired
 * @property int $version
 */
final class Supply extends Model
{
    use Versioned;

    protected $table = 'supplies';

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['retired' => false, 'version' => 1];

    protected function casts(): array
    {
        return ['label' => 'array', 'retired' => 'boolean'];
    }

    public function bottle(): Bottle
    {
        return FluidFields::bottle(new Fields($this->label));
    }

    /** @return array<string, mixed> as the contract's `Supply` */
    public function toRecord(): array
    {
        return [
            ...$this->only('id', 'name', 'label', 'retired', 'version'),
            'in_words' => $this->bottle()->inWords(),
        ];
    }
}
