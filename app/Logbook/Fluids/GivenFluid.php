<?php

declare(strict_types=1);

namespace App\Logbook\Fluids;

use App\Contract\Input\TypedVolume;
use App\Contract\Refusal;
use App\Logbook\Stock\Container;
use App\Logbook\Stock\Supply;
use Core\Fluid\Seen;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Supply\SupplyKind;
use Illuminate\Validation\Rule;

/** What is told of a fluid that went in or out: how much, which, out of which container, and what it looked like. */
final readonly class GivenFluid
{
    /** @param  list<Seen>  $seen */
    public function __construct(
        public ?string $amount = null,
        public ?int $supply = null,
        public ?int $container = null,
        public array $seen = [],
        public bool $firstService = false,
    ) {}

    /** @param  array<string, mixed>  $given  as {@see self::rules()} validates it */
    public static function of(array $given): self
    {
        return new self(
            $given['amount'] ?? null,
            $given['fluid'] ?? null,
            $given['container'] ?? null,
            array_values(array_map(Seen::from(...), $given['seen'] ?? [])),
            $given['first_service'] ?? false,
        );
    }

    public function quantity(): ?Quantity
    {
        return $this->amount === null ? null : Quantity::parse($this->amount, Unit::Litre);
    }

    /** @throws Refusal if there is no such fluid */
    public function supplyNamed(string $field): ?Supply
    {
        return $this->supply === null
            ? null
            : Supply::query()->where('kind', SupplyKind::Fluid)->find($this->supply)
            ?? throw Refusal::field($field, 'Nobody has written down such a fluid.');
    }

    /** @throws Refusal if there is no such container, or another fluid is in it */
    public function containerNamed(string $field): ?Container
    {
        if ($this->container === null) {
            return null;
        }
        $container = Container::query()->standing()->with('supply')->find($this->container)
            ?? throw Refusal::field($field, 'There is no such container on the shelf.');
        if ($this->supply !== null && $this->supply !== $container->supply_id) {
            throw Refusal::field($field, "That container holds {$container->supply->name}.");
        }

        return $container;
    }

    /**
     * @param  string  $path  before each field's name, as in `other.*.`
     * @return array<string, array<mixed>>
     */
    public static function rules(string $path = ''): array
    {
        return [
            "{$path}amount" => ['sometimes', 'nullable', 'string', 'max:40', new TypedVolume],
            "{$path}fluid" => ['sometimes', 'nullable', 'integer'],
            "{$path}container" => ['sometimes', 'nullable', 'integer'],
            "{$path}seen" => ['sometimes', 'array', 'list', 'max:14'],
            "{$path}seen.*" => ['distinct', Rule::enum(Seen::class)],
            "{$path}first_service" => ['sometimes', 'boolean'],
        ];
    }
}
