<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Fluid\Chemistry;
use Core\Fluid\FluidKind;
use Core\Fluid\Grade\SaeGrade;
use Core\Fluid\SeasonalGrade;
use Core\Fluid\Specification;

/** Reads what a book says of a fluid in one cell: `SAE 10W-30, API SJ`, `80W-90 GL-4`, `HOAT coolant`, `Wader Hydro 5`. */
final class FluidText
{
    private const GRADES = '~\b(?:\d{1,2}\s?W(?:\s?[-/]\s?\d{2,3})?(?![\w-])|SAE\s*\d{2,3}(?!\s?W)|ISO\s*(?:VG\s*)?\d{1,4}|VG\s*\d{1,4})~i';

    private const DESIGNATIONS = '~\b(?:API\s+)?(?:GL-?[1-6]|MT-?1|GF-?\d[AB]?|DOT\s?\d(?:\.\d)?|S[A-HJL-NPQ](?:\s?PLUS)?|C[A-E](?!\w)|C[F-K]-?[24](?:\s?PLUS)?|CF|FA-?4|HVLP|HLP|HV|HM)(?![\w-])~';

    /** The more telling first. */
    private const KINDS = [
        'brake fluid|^DOT\b' => FluidKind::BrakeFluid,
        'wet.?brake' => FluidKind::WetBrakeOil,
        'coolant|antifreeze|glycol|[^a-z]?h?oat\b|\biat\b' => FluidKind::Coolant,
        'distilled' => FluidKind::DistilledWater,
        'tractor (hydraulic )?(fluid|oil)|transmission.hydraulic|UTTO|STOU' => FluidKind::TractorFluid,
        'hydrostatic' => FluidKind::HydrostaticOil,
        'hydraulic|\bHV?LP\b|\bH[MV]\b|ISO\s*VG' => FluidKind::HydraulicOil,
        'gear|\bGL-?[1-6]\b|hypoid' => FluidKind::GearOil,
        'diesel|petrol|gasoline|\bfuel\b' => FluidKind::Fuel,
        'engine|motor oil|\bAPI\s+[SC]' => FluidKind::EngineOil,
    ];

    private const CHEMISTRIES = [
        '\bhoat\b|hybrid' => Chemistry::Hybrid,
        '\boat\b|organic acid' => Chemistry::Organic,
        '\biat\b|inorganic|conventional' => Chemistry::Inorganic,
        'silicone' => Chemistry::Silicone,
    ];

    private const IDLE = 'and|or|the|higher|better|newer|service|class|grade|type|use|quality|multigrade|oil|fluid|sae|api|engine|motor|gear|hydraulic|hydrostatic|coolant|antifreeze|brake|wet|transmission|tractor|ethylene|propylene|glycol|mix|distilled|water|hypoid|all|season|diesel|petrol|gasoline|fuel|unleaded|hoat|oat|iat|organic|inorganic|hybrid|acid|silicone|dot|iso|vg';

    /** @return array{Specification, string} and what of it says nothing known, empty where all is understood */
    public static function read(string $text): array
    {
        // How strong a mix is stands beside the fluid and is no name of it.
        $rest = ' '.preg_replace('~\b\d{1,3}\s*(?:/\s*\d{1,3}|%)~u', ' ', $text).' ';
        $grades = self::take(self::GRADES, $rest);
        $designations = self::take(self::DESIGNATIONS, $rest);
        preg_match_all('~[\p{L}\p{N}]+~u', preg_replace('~\b(?:'.self::IDLE.')\b~iu', ' ', $rest) ?? '', $left);
        $unknown = $left[0] === []
            ? ''
            : trim(preg_replace(['~^[\s,;/()]+|[\s,;/()]+$~u', '/\s+/u'], ['', ' '], $rest) ?? '');
        $kind = self::first(self::KINDS, $text);

        return [new Specification(
            $kind ?? self::kindOf($grades),
            array_map(fn (string $grade): SeasonalGrade => new SeasonalGrade(self::grade($grade)), $grades),
            array_map(fn (string $one): string => preg_replace('/^API\s+/i', '', $one) ?? $one, $designations),
            self::first(self::CHEMISTRIES, $text),
            $unknown === '' ? null : $unknown,
        ), $unknown];
    }

    /** @return list<string> what matches, and is no longer in the rest */
    private static function take(string $pattern, string &$rest): array
    {
        preg_match_all($pattern, $rest, $found);
        $rest = preg_replace($pattern, ' ', $rest) ?? $rest;

        return array_values(array_unique(array_map(trim(...), $found[0])));
    }

    private static function grade(string $written): string
    {
        $grade = SaeGrade::read($written);

        return $grade === null ? mb_strtoupper($written) : SaeGrade::write(...$grade);
    }

    /**
     * Where nothing but the grade tells: the numbers of gear oils are higher.
     *
     * @param  list<string>  $grades
     */
    private static function kindOf(array $grades): ?FluidKind
    {
        $grade = $grades === [] ? null : SaeGrade::read($grades[0]);

        return match (true) {
            $grade === null => null,
            max($grade[0] ?? 0, $grade[1] ?? 0) >= 75 => FluidKind::GearOil,
            default => FluidKind::EngineOil,
        };
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $patterns
     * @return T|null
     */
    private static function first(array $patterns, string $text): mixed
    {
        foreach ($patterns as $pattern => $meaning) {
            if (preg_match("~{$pattern}~i", $text)) {
                return $meaning;
            }
        }

        return null;
    }
}
