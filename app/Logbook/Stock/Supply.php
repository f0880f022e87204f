<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

use App\Contract\Record;
use App\Contract\Versioned;
use Brick\Math\BigDecimal;
use Core\Fluid\Bottle;
use Core\Fluid\FluidFields;
use Core\Form\Fields;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Supply\PartNumber;
use Core\Supply\SoldIn;
use Core\Supply\SupplyKind;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Something that is bought and kept: a fluid by what stands on its bottle, a part by its number.
 *
 * @property int $id
 * @property SupplyKind $kind
 * @property string $name what it is called here
 * @property array<string, mixed>|null $label of a fluid
 * @property string|null $number of a part
 * @property string|null $bare_number the same however its groups are set apart
 * @property string $code what its label on the shelf carries
 * @property string $place where it stands
 * @property list<array{size?: string, price: string|null}> $sold_in as typed
 * @property int|null $delivery_days
 * @property int|null $keeps_months once opened
 * @property bool $retired
 * @property int $version
 * @property-read Collection<int, Container> $containers
 */
final class Supply extends Record
{
    use Versioned;

    /** Letters and digits that are told apart on a greasy label. */
    private const CODE_SIGNS = '23456789ABCDEFGHJKMNPQRSTVWXYZ';

    private const CODE_LENGTH = 6;

    protected $attributes = [
        'kind' => 'fluid',
        'retired' => false,
        'version' => 1,
        'place' => '',
        'sold_in' => '[]',
    ];

    protected function casts(): array
    {
        return [
            'kind' => SupplyKind::class,
            'label' => 'array',
            'sold_in' => 'array',
            'retired' => 'boolean',
        ];
    }

    protected static function booted(): void
    {
        self::creating(function (self $supply): void {
            $supply->code ??= self::newCode();
        });
        self::saving(function (self $supply): void {
            $supply->bare_number = $supply->number === null ? null : PartNumber::bare($supply->number);
        });
    }

    /** @return HasMany<Container, $this> that came with an entry that stands, the oldest first */
    public function containers(): HasMany
    {
        return $this->hasMany(Container::class)->standing()->orderBy('containers.id');
    }

    public static function ofNumber(string $number): ?self
    {
        return self::query()->where(['bare_number' => PartNumber::bare($number), 'retired' => false])->first();
    }

    /**
     * @param  list<string>  $numbers
     * @return Collection<string, self> by bare number
     */
    public static function ofNumbers(array $numbers): Collection
    {
        return self::query()->whereIn('bare_number', array_map(PartNumber::bare(...), $numbers))->where('retired', false)->get()->keyBy('bare_number');
    }

    public static function newCode(): string
    {
        $code = '';
        for ($sign = 0; $sign < self::CODE_LENGTH; $sign++) {
            $code .= self::CODE_SIGNS[random_int(0, strlen(self::CODE_SIGNS) - 1)];
        }

        return $code;
    }

    public function isFluid(): bool
    {
        return $this->kind === SupplyKind::Fluid;
    }

    /** How much of it there is, in words: `3.2 L (3.38 qt)`, `2 pieces`; below nothing it is told as what is lacking. */
    public function inWords(BigDecimal $left): string
    {
        return ($left->isNegative() ? 'less than nothing by ' : '').($this->isFluid()
            ? Quantity::of($left->abs(), Unit::Litre)->display()
            : Plain::count($left->abs()->toInt(), 'piece'));
    }

    public function bottle(): Bottle
    {
        return FluidFields::bottle(new Fields($this->label ?? []));
    }

    public function soldIn(): SoldIn
    {
        return SoldIn::read(new Fields(['sold_in' => $this->sold_in]), $this->isFluid());
    }

    /** @return array<string, mixed> as the contract's `Supply` */
    public function toRecord(): array
    {
        return [
            ...$this->only(
                'id',
                'name',
                'label',
                'number',
                'code',
                'place',
                'sold_in',
                'delivery_days',
                'keeps_months',
                'retired',
                'version',
            ),
            'kind' => $this->kind->value,
            'in_words' => $this->isFluid() ? $this->bottle()->inWords() : (string) $this->number,
        ];
    }
}
