<?php

declare(strict_types=1);

namespace Core\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\BigNumber;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** An exact amount of something in a unit. Immutable; arithmetic is rational, so nothing is lost until it is shown. */
final readonly class Quantity
{
    private const IN_FRACTIONS = [Unit::Inch, Unit::UsGallon, Unit::UsQuart, Unit::UsPint, Unit::UsFluidOunce];

    /** Denominators that people say aloud. */
    private const SPOKEN = ['2', '3', '4', '6', '8', '12', '16', '24', '32', '64'];

    private function __construct(
        public BigRational $value,
        public Unit $unit,
    ) {}

    /** @throws Unreadable if the amount cannot exist (see {@see self::refuseImpossible()}) */
    public static function of(BigNumber|int|string $value, Unit $unit): self
    {
        $quantity = new self(BigRational::of($value), $unit);
        $quantity->refuseImpossible();

        return $quantity;
    }

    /**
     * Reads a number with its unit in any order of spacing: `1 3/4 qt`, `350ml`, `-12 °C`, `180 in-lb`.
     *
     * @param  Unit|null  $assumed  the unit where none is written; without it a bare number is refused
     *
     * @throws Unreadable
     */
    public static function parse(string $written, ?Unit $assumed = null): self
    {
        $written = strtr($written, ['’' => "'", '”' => '"']);
        $together = self::twoUnits($written);
        if ($together !== null) {
            return $together;
        }
        if (! preg_match('~^\s*([+\-−–]?[\d.,½⅓⅔¼¾⅛⅜⅝⅞](?:[\d\s.,/⁄½⅓⅔¼¾⅛⅜⅝⅞\x{00A0}\x{202F}\']|-(?=\d))*)(.*?)\s*$~u', $written, $part)) {
            throw new Unreadable(
                trim($written) === ''
                    ? 'An amount is missing.'
                    : Plain::quoted($written).' is not an amount. Write a number and a unit, like 1 3/4 qt.',
            );
        }
        [, $number, $word] = $part;
        if (preg_match("/('+)\s*$/u", $number, $marks)) {
            [$number, $word] = [rtrim($number, " '"), $marks[1].$word];
        }
        $unit = $word === '' ? $assumed : Unit::named($word);
        if ($unit === null) {
            throw new Unreadable(
                'The unit is missing after '.trim(Plain::quoted($number), '"').'. Write it like 1 3/4 qt.',
            );
        }

        return self::of(WrittenNumber::parse($number), $unit);
    }

    /** `6 ft 2 in`, `1'6"`, `1 h 30 min`: so much in one unit and less than one of it in a smaller. */
    private static function twoUnits(string $written): ?self
    {
        $number = '\d[\d.,]*(?:[ -]?(?:\d+/\d+|[½⅓⅔¼¾⅛⅜⅝⅞]))?';
        if (! preg_match("~^\s*({$number})\s*(\p{L}+\.?|'|′)\s*({$number})\s*(\p{L}+\.?|''|\"|″)\s*$~u", $written, $part)) {
            return null;
        }
        [$large, $small] = [Unit::fromWord($part[2]), Unit::fromWord($part[4])];
        if ($large === null || $small === null || $large->dimension() !== $small->dimension()) {
            return null;
        }
        [$much, $rest] = [
            self::of(WrittenNumber::parse($part[1]), $large),
            self::of(WrittenNumber::parse($part[3]), $small),
        ];

        return $rest->compareTo(self::of(1, $large)) < 0 ? $much->plus($rest) : null;
    }

    /** @throws Unreadable if the units measure different things */
    public function to(Unit $unit): self
    {
        if ($unit === $this->unit) {
            return $this;
        }
        $this->refuseOtherThan($unit->dimension());

        return new self($this->si()->minus($unit->zero())->dividedBy($unit->factor()), $unit);
    }

    /** The exact value in SI units: m³, m, Pa, N·m, N, K, V, A, kg or s. */
    public function si(): BigRational
    {
        return $this->value->multipliedBy($this->unit->factor())->plus($this->unit->zero());
    }

    /** @throws Unreadable if the other measures something else */
    public function plus(self $other): self
    {
        return self::of($this->value->plus($other->to($this->unit)->value), $this->unit);
    }

    /** @throws Unreadable if the other measures something else, or more is taken than there is */
    public function minus(self $other): self
    {
        return self::of($this->value->minus($other->to($this->unit)->value), $this->unit);
    }

    public function times(int|BigRational $count): self
    {
        return new self($this->value->multipliedBy($count), $this->unit);
    }

    /** @throws Unreadable if the other measures something else */
    public function compareTo(self $other): int
    {
        return $this->value->compareTo($other->to($this->unit)->value);
    }

    /** What a device without signal adds, subtracts and compares. */
    public function wholeMillilitres(): int
    {
        return $this->to(Unit::Millilitre)->value->toScale(0, RoundingMode::HALF_UP)->toInt();
    }

    /** The value as a decimal, rounded half up, without trailing zeros. */
    public function rounded(int $places = 6): BigDecimal
    {
        return $this->value->toScale($places, RoundingMode::HALF_UP)->stripTrailingZeros();
    }

    /** As it is read aloud, the other system in brackets: `1.89 L (2 qt)`. */
    public function display(): string
    {
        $counterpart = $this->unit->counterpart();

        return $this->inOwnUnit().($counterpart === null ? '' : " ({$this->to($counterpart)->inOwnUnit()})");
    }

    /** As a keeper says it, in fractions where inches and US measures come out even: `1 3/8 in`. */
    public function inWords(): string
    {
        $value = $this->value->simplified();
        $denominator = (string) $value->getDenominator();
        if (! in_array($this->unit, self::IN_FRACTIONS, true) || ! in_array($denominator, self::SPOKEN, true)) {
            return $this->inOwnUnit();
        }
        [$whole, $rest] = $value->getNumerator()->quotientAndRemainder($value->getDenominator());

        return ($whole->isZero() ? '' : "{$whole} ")."{$rest}/{$denominator} {$this->unit->symbol()}";
    }

    /** In its own unit alone: `1.89 L`. A value written so finely is shown so; what comes of reckoning has at least two digits that tell. */
    public function inOwnUnit(): string
    {
        $places = $this->unit->places();
        $size = $this->value->abs();
        while ($places < 6 && $size->isPositive() && $size->isLessThan(BigRational::nd(10, 10 ** $places))) {
            $places++;
        }
        $finer = $this->rounded($this->unit->places() + 1);

        return ($this->value->isEqualTo($finer) ? $finer : $this->rounded($places)).' '.$this->unit->symbol();
    }

    /** @throws Unreadable */
    private function refuseOtherThan(Dimension $dimension): void
    {
        if ($this->unit->dimension() !== $dimension) {
            throw new Unreadable(
                sprintf(
                    '%s is a %s, not a %s.',
                    $this->inOwnUnit(),
                    $this->unit->dimension()->value,
                    $dimension->value,
                ),
            );
        }
    }

    /** @throws Unreadable below nothing, or below absolute zero */
    private function refuseImpossible(): void
    {
        if ($this->si()->isNegative()) {
            throw new Unreadable($this->unit->dimension() === Dimension::Temperature
                ? "{$this->inOwnUnit()} is below absolute zero."
                : "{$this->inOwnUnit()} is less than nothing.");
        }
    }
}
