<?php

declare(strict_types=1);

namespace Core\Fluid;

use Brick\Math\BigRational;

/**
 * Down to which temperature a mix of glycol and water stays free of ice, between the points of the handbook's table by
 * volume (ASHRAE Handbook, Fundamentals, physical properties of secondary coolants; values from memory).
 */
enum Glycol: string
{
    case Ethylene = 'ethylene';
    case Propylene = 'propylene';

    /** The table ends here: more glycol protects less again. */
    public const MOST = '60';

    /** @return list<array{string, string}> per cent by volume, °C */
    public function table(): array
    {
        return match ($this) {
            self::Ethylene => [
                ['0', '0'],
                ['4.4', '-1.4'],
                ['8.9', '-3.2'],
                ['13.6', '-5.4'],
                ['18.1', '-7.8'],
                ['22.9', '-10.7'],
                ['27.7', '-14.1'],
                ['32.6', '-17.9'],
                ['37.5', '-22.3'],
                ['42.5', '-27.5'],
                ['47.5', '-33.8'],
                ['52.7', '-41.1'],
                ['57.8', '-48.3'],
                ['60', '-51.5'],
            ],
            self::Propylene => [
                ['0', '0'],
                ['4.8', '-1.6'],
                ['9.6', '-3.3'],
                ['14.5', '-5.1'],
                ['19.4', '-7.1'],
                ['24.4', '-9.6'],
                ['29.4', '-12.7'],
                ['34.4', '-16.4'],
                ['39.6', '-21.1'],
                ['44.7', '-26.7'],
                ['49.9', '-33.5'],
                ['55', '-41.6'],
                ['60', '-51.1'],
            ],
        };
    }

    /**
     * @param  BigRational  $percent  of glycol by volume, 0 to {@see self::MOST}
     * @return BigRational °C
     *
     * @throws \DomainException beyond the table
     */
    public function freezesAt(BigRational $percent): BigRational
    {
        $before = ['0', '0'];
        foreach ($this->table() as $point) {
            if ($percent->isLessThanOrEqualTo($point[0]) && ! $percent->isNegative()) {
                $span = BigRational::of($point[0])->minus($before[0]);

                return $span->isZero() ? BigRational::zero()
                    : $percent->minus($before[0])->dividedBy($span)->multipliedBy(
                        BigRational::of($point[1])->minus($before[1]),
                    )->plus($before[1]);
            }
            $before = $point;
        }
        throw new \DomainException(
            'Glycol is reckoned from 0 to '.self::MOST.' % by volume; beyond that it protects less again.',
        );
    }
}
