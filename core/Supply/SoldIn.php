<?php

declare(strict_types=1);

namespace Core\Supply;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Core\Form\Fields;
use Core\Measure\Dimension;
use Core\Measure\Quantity;

/** What a supply is sold in, and what that costs: a fluid in containers of some sizes, a part by the piece. */
final readonly class SoldIn
{
    private const MOST = 12;

    private const PLACES = 2;

    /** @param  list<array{size: Quantity|null, written: string, price: BigDecimal|null}>  $rows  a part has one without a size */
    private function __construct(private array $rows) {}

    public static function read(Fields $given, bool $isFluid): self
    {
        $rows = [];
        $sizes = $given->rows('sold_in', 'what it is sold in', short: $isFluid ? 'size' : 'price');
        foreach ($sizes as $row) {
            $size = $isFluid ? $row->measure('size', 'the size', Dimension::Volume) : null;
            if ($size?->value->isZero()) {
                $row->fault('size', 'A container holds more than nothing.');
            }
            if (! $isFluid && $row->has('size')) {
                $row->fault('size', 'A part is sold by the piece.');
            }
            $price = $row->optionalNumber('price', 'the price');
            if ($price !== null && $price->stripTrailingZeros()->getScale() > self::PLACES) {
                $row->fault('price', 'A price has at most two decimals.');
            }
            foreach ($rows as $other) {
                if ($size !== null && $other['size']?->compareTo($size) === 0) {
                    $row->fault('size', "{$size->inWords()} is there already.");
                }
            }
            $rows[] = ['size' => $size, 'written' => $size === null ? '' : $row->written('size'), 'price' => $price];
        }
        if (count($rows) > ($isFluid ? self::MOST : 1)) {
            $given->fault('sold_in', $isFluid ? 'At most '.self::MOST.' sizes.' : 'A part has one price.');
        }

        return new self($rows);
    }

    /** @return list<array{size?: string, price: string|null}> as {@see self::read()} reads it */
    public function written(): array
    {
        return array_map(fn (array $row): array => [
            ...$row['size'] === null ? [] : ['size' => $row['written']],
            'price' => $row['price'] === null ? null : self::price($row['price']),
        ], $this->rows);
    }

    /** @return list<ContainerSize> prices of all or of none, because half of them cannot be compared */
    public function sizes(): array
    {
        $isPriced = ! in_array(null, array_column($this->rows, 'price'), true);
        $sizes = [];
        foreach ($this->rows as ['size' => $size, 'price' => $price]) {
            if ($size !== null) {
                $sizes[] = new ContainerSize($size, $isPriced ? $price?->toBigRational() : null);
            }
        }

        return $sizes;
    }

    /** Of one piece. */
    public function piece(): ?BigRational
    {
        return ($this->rows[0]['price'] ?? null)?->toBigRational();
    }

    /** `31.50` */
    public static function price(BigDecimal|BigRational $price): string
    {
        return (string) $price->toScale(self::PLACES, RoundingMode::HALF_UP);
    }
}
