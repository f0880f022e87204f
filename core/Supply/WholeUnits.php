<?php

declare(strict_types=1);

namespace Core\Supply;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Core\Measure\Quantity;

/** Amounts as whole numbers of the largest unit that goes into all of them, exactly. */
final readonly class WholeUnits
{
    private function __construct(private BigRational $unit) {}

    /** @param  list<Quantity>  $quantities */
    public static function of(array $quantities): self
    {
        return self::ofNumbers(array_map(fn (Quantity $quantity): BigRational => $quantity->si(), $quantities));
    }

    /** @param  array<BigRational>  $numbers  not below nothing */
    public static function ofNumbers(array $numbers): self
    {
        $denominator = BigInteger::one();
        foreach ($numbers as $number) {
            $of = $number->simplified()->getDenominator();
            $denominator = $denominator->multipliedBy($of)->quotient($denominator->gcd($of));
        }
        $common = BigInteger::zero();
        foreach ($numbers as $number) {
            $common = $common->gcd($number->multipliedBy($denominator)->toBigInteger());
        }

        return new self($common->isZero() ? BigRational::one() : BigRational::nd($common, $denominator));
    }

    /** @throws \OverflowException where there are more than a machine can count */
    public function count(BigRational $number): int
    {
        return self::small($number->dividedBy($this->unit)->toBigInteger());
    }

    /**
     * As many whole units as go into any number.
     *
     * @throws \OverflowException where there are more than a machine can count
     */
    public function floor(BigRational $number): int
    {
        return self::small($number->dividedBy($this->unit)->toScale(0, RoundingMode::FLOOR)->toBigInteger());
    }

    private static function small(BigInteger $count): int
    {
        // Sums of containers must stay within what a machine counts exactly.
        if ($count->isGreaterThan(PHP_INT_MAX >> 12)) {
            throw new \OverflowException('These amounts are written too finely to be reckoned together.');
        }

        return $count->toInt();
    }
}
