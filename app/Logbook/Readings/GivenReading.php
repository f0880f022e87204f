<?php

declare(strict_types=1);

namespace App\Logbook\Readings;

use App\Contract\Input\TypedNumber;
use Brick\Math\BigDecimal;
use Core\Meter\Limit;

/** A meter value as somebody gave it. */
final readonly class GivenReading
{
    /** The fields in which meters are told, as the contract names them. */
    public const FIELDS = ['hours' => Limit::Hours, 'distance' => Limit::Distance];

    public function __construct(public BigDecimal $value, public string $typed, public Limit $along) {}

    public static function of(string|int|float $typed, Limit $along): self
    {
        return new self(TypedNumber::read($typed), (string) $typed, $along);
    }

    /** The field in which it is told. */
    public function field(): string
    {
        return (string) array_search($this->along, self::FIELDS, true);
    }

    /**
     * What was read for a service.
     *
     * @param  array<string, mixed>  $given  by the name of their meter
     * @return list<self>
     */
    public static function each(array $given): array
    {
        $read = [];
        foreach (self::FIELDS as $field => $along) {
            if (isset($given[$field])) {
                $read[] = self::of($given[$field], $along);
            }
        }

        return $read;
    }
}
