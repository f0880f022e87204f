<?php

declare(strict_types=1);

namespace Core\Measure;

use Brick\Math\BigRational;

/**
 * A unit a keeper reads or pours in.
 *
 * Factors are exact where the unit is defined exactly: NIST Special Publication 811 (2008), appendix B.8 and its
 * footnotes
 * (inch 25.4 mm, pound 0.453 592 37 kg, standard gravity 9.806 65 m/s², US gallon 231 in³, imperial gallon 4.546 09 L).
 */
enum Unit: string
{
    case Litre = 'L';
    case Decilitre = 'dL';
    case Centilitre = 'cL';
    case Millilitre = 'mL';
    case UsGallon = 'us_gal';
    case UsQuart = 'us_qt';
    case UsPint = 'us_pt';
    case UsFluidOunce = 'us_floz';
    case ImperialGallon = 'imp_gal';
    case ImperialQuart = 'imp_qt';
    case ImperialPint = 'imp_pt';
    case ImperialFluidOunce = 'imp_floz';
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Metre = 'm';
    case Inch = 'in';
    case Thou = 'thou';
    case Foot = 'ft';
    case Kilometre = 'km';
    case Mile = 'mi';
    case Kilopascal = 'kPa';
    case Megapascal = 'MPa';
    case Bar = 'bar';
    case PoundPerSquareInch = 'psi';
    case KilogramForcePerSquareCentimetre = 'kgf_cm2';
    case NewtonMetre = 'N_m';
    case NewtonCentimetre = 'N_cm';
    case FootPound = 'ft_lbf';
    case InchPound = 'in_lbf';
    case KilogramForceMetre = 'kgf_m';
    case Newton = 'N';
    case PoundForce = 'lbf';
    case KilogramForce = 'kgf';
    case DegreeCelsius = 'degC';
    case DegreeFahrenheit = 'degF';
    case Volt = 'V';
    case Ampere = 'A';
    case Gram = 'g';
    case Kilogram = 'kg';
    case Ounce = 'oz';
    case Pound = 'lb';
    case Hour = 'h';
    case Minute = 'min';
    case Second = 's';
    case Day = 'd';

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Litre,
            self::Decilitre,
            self::Centilitre,
            self::Millilitre,
            self::UsGallon,
            self::UsQuart,
            self::UsPint,
            self::UsFluidOunce,
            self::ImperialGallon,
            self::ImperialQuart,
            self::ImperialPint,
            self::ImperialFluidOunce => Dimension::Volume,
            self::Millimetre,
            self::Centimetre,
            self::Metre,
            self::Inch,
            self::Thou,
            self::Foot,
            self::Kilometre,
            self::Mile => Dimension::Length,
            self::Kilopascal,
            self::Megapascal,
            self::Bar,
            self::PoundPerSquareInch,
            self::KilogramForcePerSquareCentimetre => Dimension::Pressure,
            self::NewtonMetre,
            self::NewtonCentimetre,
            self::FootPound,
            self::InchPound,
            self::KilogramForceMetre => Dimension::Torque,
            self::Newton, self::PoundForce, self::KilogramForce => Dimension::Force,
            self::DegreeCelsius, self::DegreeFahrenheit => Dimension::Temperature,
            self::Volt => Dimension::Voltage,
            self::Ampere => Dimension::Current,
            self::Gram, self::Kilogram, self::Ounce, self::Pound => Dimension::Mass,
            self::Hour, self::Minute, self::Second, self::Day => Dimension::Time,
        };
    }

    /** SI units (m³, m, Pa, N·m, N, K, V, A, kg, s) in one of this unit, exactly. */
    public function factor(): BigRational
    {
        return BigRational::of(match ($this) {
            self::Litre => '1/1000',
            self::Decilitre => '1/10000',
            self::Centilitre => '1/100000',
            self::Millilitre => '1/1000000',
            self::UsGallon => '3785411784/1000000000000',
            self::UsQuart => '946352946/1000000000000',
            self::UsPint => '473176473/1000000000000',
            self::UsFluidOunce => '295735295625/10000000000000000',
            self::ImperialGallon => '454609/100000000',
            self::ImperialQuart => '454609/400000000',
            self::ImperialPint => '454609/800000000',
            self::ImperialFluidOunce => '454609/16000000000',
            self::Millimetre => '1/1000',
            self::Centimetre, self::NewtonCentimetre => '1/100',
            self::Inch => '254/10000',
            self::Thou => '254/10000000',
            self::Foot => '3048/10000',
            self::Kilometre => '1000',
            self::Mile => '1609344/1000',
            self::Kilopascal => '1000',
            self::Megapascal => '1000000',
            self::Bar => '100000',
            self::PoundPerSquareInch => '44482216152605/6451600000',
            self::KilogramForcePerSquareCentimetre => '980665/10',
            self::FootPound => '13558179483314004/10000000000000000',
            self::InchPound => '1129848290276167/10000000000000000',
            self::KilogramForceMetre, self::KilogramForce => '980665/100000',
            self::PoundForce => '44482216152605/10000000000000',
            self::DegreeFahrenheit => '5/9',
            self::Gram => '1/1000',
            self::Ounce => '45359237/1600000000',
            self::Pound => '45359237/100000000',
            self::Hour => '3600',
            self::Minute => '60',
            self::Day => '86400',
            self::Metre,
            self::NewtonMetre,
            self::Newton,
            self::DegreeCelsius,
            self::Volt,
            self::Ampere,
            self::Kilogram,
            self::Second => '1',
        });
    }

    /** The SI value at this unit's zero: kelvins for temperatures, nothing for all others. */
    public function zero(): BigRational
    {
        return match ($this) {
            self::DegreeCelsius => BigRational::of('27315/100'),
            self::DegreeFahrenheit => BigRational::of('45967/180'),
            default => BigRational::zero(),
        };
    }

    public function symbol(): string
    {
        return match ($this) {
            self::UsGallon => 'gal',
            self::UsQuart => 'qt',
            self::UsPint => 'pt',
            self::UsFluidOunce => 'fl oz',
            self::ImperialGallon => 'imp gal',
            self::ImperialQuart => 'imp qt',
            self::ImperialPint => 'imp pt',
            self::ImperialFluidOunce => 'imp fl oz',
            self::NewtonMetre => 'N·m',
            self::NewtonCentimetre => 'N·cm',
            self::KilogramForcePerSquareCentimetre => 'kgf/cm²',
            self::FootPound => 'ft·lbf',
            self::InchPound => 'in·lbf',
            self::KilogramForceMetre => 'kgf·m',
            self::DegreeCelsius => '°C',
            self::DegreeFahrenheit => '°F',
            default => $this->value,
        };
    }

    /** Decimals that mean something on this unit's gauges and cans. */
    public function places(): int
    {
        return match ($this) {
            self::Millilitre,
            self::Centilitre,
            self::Thou,
            self::NewtonCentimetre,
            self::Kilopascal,
            self::InchPound,
            self::Newton,
            self::Gram,
            self::Second,
            self::DegreeFahrenheit,
            self::DegreeCelsius => 0,
            self::Decilitre,
            self::Millimetre,
            self::Centimetre,
            self::PoundPerSquareInch,
            self::NewtonMetre,
            self::FootPound,
            self::PoundForce,
            self::Kilometre,
            self::Mile,
            self::Hour,
            self::Minute,
            self::Ounce,
            self::UsFluidOunce,
            self::ImperialFluidOunce => 1,
            self::Inch => 3,
            default => 2,
        };
    }

    /** The unit of the other system that is put in small print beside it. */
    public function counterpart(): ?self
    {
        return match ($this) {
            self::Litre => self::UsQuart,
            self::Decilitre, self::Centilitre, self::Millilitre => self::UsFluidOunce,
            self::UsGallon,
            self::UsQuart,
            self::UsPint,
            self::ImperialGallon,
            self::ImperialQuart,
            self::ImperialPint => self::Litre,
            self::UsFluidOunce, self::ImperialFluidOunce => self::Millilitre,
            self::Millimetre => self::Inch,
            self::Centimetre => self::Inch,
            self::Inch, self::Thou => self::Millimetre,
            self::Metre => self::Foot,
            self::Foot => self::Metre,
            self::Kilometre => self::Mile,
            self::Mile => self::Kilometre,
            self::Kilopascal,
            self::Megapascal,
            self::Bar,
            self::KilogramForcePerSquareCentimetre => self::PoundPerSquareInch,
            self::PoundPerSquareInch => self::Kilopascal,
            self::NewtonMetre, self::KilogramForceMetre => self::FootPound,
            self::NewtonCentimetre => self::InchPound,
            self::FootPound, self::InchPound => self::NewtonMetre,
            self::Newton, self::KilogramForce => self::PoundForce,
            self::PoundForce => self::Newton,
            self::DegreeCelsius => self::DegreeFahrenheit,
            self::DegreeFahrenheit => self::DegreeCelsius,
            self::Gram => self::Ounce,
            self::Kilogram => self::Pound,
            self::Ounce => self::Gram,
            self::Pound => self::Kilogram,
            default => null,
        };
    }

    /**
     * The unit a person means by a word.
     *
     * @throws Unreadable if the word is no unit, or more than one
     */
    public static function named(string $word): self
    {
        return self::fromWord($word)
            ?? throw new Unreadable(UnitWords::whichIs($word) ?? Plain::quoted($word).' is not a unit known here.');
    }

    /**
     * The unit a person means by a word, or null where the word is none. US measures unless "imp" or "imperial" stands
     * before them.
     */
    public static function fromWord(string $word): ?self
    {
        $plain = preg_replace('/[\s.\-·_*⋅]+/u', '', $word) ?? '';
        $exact = ['mL' => self::Millilitre, 'L' => self::Litre, 'K' => null];

        $lower = mb_strtolower($plain);

        return $exact[$plain] ?? self::tryFrom((string) UnitWords::find($lower)) ?? self::ofId($lower);
    }

    private static function ofId(string $word): ?self
    {
        foreach (self::cases() as $unit) {
            if (mb_strtolower(str_replace('_', '', $unit->value)) === $word) {
                return $unit;
            }
        }

        return null;
    }
}
