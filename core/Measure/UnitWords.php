<?php

declare(strict_types=1);

namespace Core\Measure;

/** The words and abbreviations that people write for units, lower case, without spaces, dots and dashes. */
final class UnitWords
{
    /** @var array<string, list<string>> unit id => words */
    private const WORDS = [
        'L' => ['l', 'lt', 'ltr', 'litre', 'litres', 'liter', 'liters'],
        'dL' => ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters'],
        'cL' => ['cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters'],
        'mL' => ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc'],
        'us_gal' => ['gal', 'gals', 'gallon', 'gallons'],
        'us_qt' => ['qt', 'qts', 'quart', 'quarts'],
        'us_pt' => ['pt', 'pts', 'pint', 'pints'],
        'us_floz' => ['floz', 'fluidounce', 'fluidounces'],
        'mm' => ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
        'cm' => ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
        'm' => ['m', 'metre', 'metres', 'meter', 'meters'],
        'in' => ['in', 'inch', 'inches', '"', '″', "''"],
        'thou' => ['thou', 'thous', 'mil', 'mils'],
        'ft' => ['ft', 'foot', 'feet', "'", '′'],
        'km' => ['km', 'kms', 'kilometre', 'kilometres', 'kilometer', 'kilometers'],
        'mi' => ['mi', 'mile', 'miles'],
        'kPa' => ['kpa', 'kilopascal', 'kilopascals'],
        'MPa' => ['mpa', 'megapascal', 'megapascals'],
        'bar' => ['bar', 'bars'],
        'psi' => ['psi', 'lb/in2', 'lbf/in2', 'lb/in²', 'lbf/in²'],
        'kgf_cm2' => ['kgf/cm2', 'kgf/cm²', 'kg/cm2', 'kg/cm²'],
        'N_cm' => ['ncm', 'newtoncentimetre', 'newtoncentimetres', 'newtoncentimeter', 'newtoncentimeters'],
        'N_m' => ['nm', 'newtonmetre', 'newtonmetres', 'newtonmeter', 'newtonmeters'],
        'ft_lbf' => ['ftlb', 'ftlbs', 'ftlbf', 'lbft', 'lbfft', 'footpound', 'footpounds'],
        'in_lbf' => ['inlb', 'inlbs', 'inlbf', 'lbin', 'lbfin', 'inchpound', 'inchpounds'],
        'kgf_m' => ['kgfm', 'kgm', 'mkgf', 'mkg'],
        'N' => ['n', 'newton', 'newtons'],
        'lbf' => ['lbf', 'lbsf', 'poundforce', 'poundsforce'],
        'kgf' => ['kgf', 'kp', 'kilogramforce'],
        'degC' => ['°c', 'c', 'degc', 'celsius', '℃'],
        'degF' => ['°f', 'f', 'degf', 'fahrenheit', '℉'],
        'V' => ['v', 'volt', 'volts'],
        'A' => ['a', 'amp', 'amps', 'ampere', 'amperes'],
        'g' => ['g', 'gram', 'grams', 'gramme', 'grammes'],
        'kg' => ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'],
        'oz' => ['oz', 'ounce', 'ounces'],
        'lb' => ['lb', 'lbs', 'pound', 'pounds'],
        'h' => ['h', 'hr', 'hrs', 'hour', 'hours'],
        'min' => ['min', 'mins', 'minute', 'minutes'],
        's' => ['s', 'sec', 'secs', 'second', 'seconds'],
        'd' => ['d', 'day', 'days'],
    ];

    /** Words that stand for more than one unit. */
    private const UNSURE = ['gr' => 'may be grams or grains. Write g for grams.'];

    private const IMPERIAL = ['us_gal' => 'imp_gal', 'us_qt' => 'imp_qt', 'us_pt' => 'imp_pt', 'us_floz' => 'imp_floz'];

    /** @var array<string, string>|null */
    private static ?array $units = null;

    /** @return string|null the id of the unit that a word means */
    public static function find(string $word): ?string
    {
        self::$units ??= self::index();

        return self::$units[$word] ?? null;
    }

    /** What to ask about a word that stands for more than one unit; null where it does not. */
    public static function whichIs(string $word): ?string
    {
        $asked = self::UNSURE[mb_strtolower(rtrim($word, '.'))] ?? null;

        return $asked === null ? null : "\"{$word}\" {$asked}";
    }

    /** @return array<string, string> unit ids by word */
    private static function index(): array
    {
        $index = [];
        foreach (self::WORDS as $id => $words) {
            foreach ($words as $word) {
                $index[$word] = $id;
            }
        }
        foreach (self::IMPERIAL as $us => $imperial) {
            foreach (self::WORDS[$us] as $word) {
                $index['us'.$word] = $us;
                $index['imp'.$word] = $index['imperial'.$word] = $index['uk'.$word] = $imperial;
            }
        }

        return $index;
    }
}
