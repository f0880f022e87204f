<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Record;
use App\Contract\Versioned;
use Core\Grease\EndSign;
use Core\Grease\GreasePoint as CoreGreasePoint;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\SpotKind;
use Core\Machine\Subject;
use Core\Machine\Whereabouts;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A spot of one machine.
 *
 * @property int $id
 * @property int $machine_id
 * @property string $key
 * @property SpotKind $kind
 * @property Subject $subject
 * @property string $name
 * @property string $place
 * @property string $reach
 * @property string $trick
 * @property int|null $parent_id
 * @property CompartmentKind|null $compartment
 * @property OpeningRole|null $role
 * @property int|null $shares_with_id of a compartment, the one that holds the fluid of both
 * @property int $x
 * @property int $y
 * @property float $position
 * @property bool $retired
 * @property int $version
 * @property-read Machine $machine
 * @property-read Spot|null $parent
 * @property-read GreasePoint|null $grease
 * @property-read Spot|null $holder
 * @property-read Sheet|null $sheet what the keeper wrote down of it
 */
final class Spot extends Record
{
    use Versioned;

    protected $attributes = [
        'version' => 1,
        'retired' => false,
        'place' => '',
        'reach' => '',
        'trick' => '',
        'x' => 50,
        'y' => 50,
    ];

    protected function casts(): array
    {
        return [
            'kind' => SpotKind::class,
            'subject' => Subject::class,
            'compartment' => CompartmentKind::class,
            'role' => OpeningRole::class,
            'x' => 'integer', 'y' => 'integer', 'position' => 'float', 'retired' => 'boolean',
        ];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Spot, $this> */
    public function parent(): BelongsTo
    {
        return $this->belongsTo(self::class);
    }

    /** @return HasOne<GreasePoint, $this> what it takes, where it is a nipple */
    public function grease(): HasOne
    {
        return $this->hasOne(GreasePoint::class);
    }

    /** @return BelongsTo<Spot, $this> the compartment whose fluid this one shares */
    public function holder(): BelongsTo
    {
        return $this->belongsTo(self::class, 'shares_with_id');
    }

    /** @return HasOne<Sheet, $this> */
    public function sheet(): HasOne
    {
        return $this->hasOne(Sheet::class);
    }

    /** @param  string|null  $parent  the key of the compartment that it belongs to, where that matters */
    public function toCore(?string $parent = null): CoreSpot
    {
        return new CoreSpot(
            $this->key,
            $this->kind,
            $this->subject,
            $this->name,
            new Whereabouts($this->place, $this->reach, $this->trick, [$this->x, $this->y]),
            $parent,
            $this->compartment,
            $this->role,
        );
    }

    public function greasePoint(): CoreGreasePoint
    {
        return $this->grease?->toCore() ?? new CoreGreasePoint(1, EndSign::Strokes);
    }

    /** @return array<string, mixed> as the contract's `Spot` */
    public function toRecord(): array
    {
        return [
            ...$this->only(
                'id',
                'machine_id',
                'key',
                'name',
                'place',
                'reach',
                'trick',
                'x',
                'y',
                'position',
                'retired',
                'version',
            ),
            'kind' => $this->kind->value,
            'kind_label' => $this->kind->label(),
            'subject' => $this->subject->value,
            'parent' => $this->parent?->key,
            'compartment' => $this->compartment?->value,
            'role' => $this->role?->value,
            'grease' => $this->grease?->toRecord(),
            'sheet' => $this->sheet?->written,
        ];
    }
}
