<?php

declare(strict_types=1);

namespace Core\Machine;

/**
 * Which spots a task's words probably mean, while somebody types it or pastes a chart. The keeper confirms: nothing
 * else is ever told from words.
 */
final class SpotWords
{
    private const SAME = [
        'air filter' => 'air cleaner',
        'air element' => 'air cleaner',
        'gearbox' => 'gear case',
        'differential' => 'axle',
        'radiator fluid' => 'coolant',
        'antifreeze' => 'coolant',
        'hydro ' => 'hydrostatic ',
        'fan belt' => 'alternator belt',
        'nipples' => 'points',
        'tires' => 'tyres',
    ];

    private const IDLE = [
        'the',
        'a',
        'of',
        'all',
        'and',
        'with',
        'its',
        'both',
        'new',
        'replace',
        'change',
        'check',
        'inspect',
        'clean',
        'adjust',
        'grease',
        'lubricate',
        'level',
    ];

    /** The least share of its words that a spot must answer. */
    private const LIKELY = 0.6;

    /** Words by which a new spot is known to be about something, the more telling first. */
    private const SUBJECTS = [
        'air|pre-?cleaner' => Subject::AirCleaner,
        'brake' => Subject::Brakes,
        'fuel|separator' => Subject::Fuel,
        'hydro|hydraulic' => Subject::Hydraulics,
        'gear|axle|differential|drive oil|transmission|transfer' => Subject::GearOil,
        'coolant|radiator|cooling|fins' => Subject::Cooling,
        'spark|plug|ignition' => Subject::Ignition,
        'belt|chain' => Subject::Belts,
        'battery|terminal' => Subject::Battery,
        'grease|spindle|caster|pivot|bearing|nipple' => Subject::Grease,
        'blade|deck|tine' => Subject::Cutting,
        'tyre|wheel|track' => Subject::Wheels,
        'exhaust|muffler' => Subject::Exhaust,
        'switch|guard|belt lock' => Subject::Safety,
        'oil|strainer' => Subject::EngineOil,
    ];

    /** Whether every grease point is meant. */
    public static function meanAllPoints(string $words, TaskKind $kind): bool
    {
        return $kind === TaskKind::Lubricate
            && preg_match(
                '/\b(all|every|points|nipples|chassis)\b|^\s*(grease|lubricate|lubrication|greasing)\s*$/i',
                $words,
            ) === 1;
    }

    /**
     * The likeliest spots, in their order on the machine.
     *
     * @param  list<Spot>  $spots
     * @return list<Spot> none where no spot answers
     */
    public static function likeliest(string $words, TaskKind $kind, array $spots): array
    {
        $exact = array_values(
            array_filter(
                $spots,
                fn (Spot $spot): bool => self::plain($spot->name) === self::plain($words) && self::suits($kind, $spot),
            ),
        );
        if ($exact !== []) {
            return $exact;
        }
        $found = [];
        $before = [];
        foreach (preg_split('~\s+(?:and|with)\s+|[,;/+&]~i', self::plain($words)) ?: [] as $phrase) {
            $own = self::tokens($phrase);
            $best = self::best([...$before, ...$own], $kind, $spots, $own) ?: self::best($own, $kind, $spots, $own);
            $found = [...$found, ...$best];
            $before = array_slice($own, 0, -1) ?: $own;
        }

        return array_values(array_filter($spots, fn (Spot $spot): bool => in_array($spot, $found, true)));
    }

    public static function subject(string $words, TaskKind $kind): Subject
    {
        foreach (self::SUBJECTS as $pattern => $subject) {
            if (preg_match("/\\b(?:{$pattern})/i", $words)) {
                return $subject;
            }
        }

        return $kind === TaskKind::Lubricate ? Subject::Grease : Subject::Other;
    }

    /** What a new spot of such a task probably is. */
    public static function kind(string $words, TaskKind $kind): SpotKind
    {
        return match (true) {
            $kind === TaskKind::Lubricate => SpotKind::GreasePoint,
            $kind === TaskKind::CheckLevel, $kind === TaskKind::Sample => SpotKind::Compartment,
            $kind === TaskKind::Replace => preg_match('/\b(oil|fluid|coolant|water)s?$/i', trim($words)) === 1
                ? SpotKind::Compartment
                : SpotKind::Part,
            default => SpotKind::Plain,
        };
    }

    /**
     * @param  list<string>  $tokens
     * @param  list<Spot>  $spots
     * @param  list<string>  $needed  of which a spot answers the last
     * @return list<Spot> those that answer best, alike
     */
    private static function best(array $tokens, TaskKind $kind, array $spots, array $needed): array
    {
        $last = $needed === [] ? null : $needed[array_key_last($needed)];
        $best = [];
        $most = 0.0;
        foreach ($spots as $spot) {
            $named = self::tokens(self::plain($spot->name));
            if ($last === null || ! in_array($last, $named, true) || ! self::suits($kind, $spot)) {
                continue;
            }
            $answered = count(array_intersect(array_unique($tokens), $named)) / count(array_unique($tokens));
            $score = $answered - 0.02 * count(array_diff($named, $tokens));
            if ($answered >= self::LIKELY && $score > $most - 1e-9) {
                $best = $score > $most + 1e-9 ? [$spot] : [...$best, $spot];
                $most = $score;
            }
        }

        return $best;
    }

    private static function suits(TaskKind $kind, Spot $spot): bool
    {
        return match ($kind) {
            TaskKind::Lubricate => $spot->kind === SpotKind::GreasePoint,
            TaskKind::CheckLevel, TaskKind::Sample => $spot->kind === SpotKind::Compartment,
            TaskKind::Replace => $spot->kind === SpotKind::Compartment || $spot->kind === SpotKind::Part,
            default => $spot->kind !== SpotKind::GreasePoint && $spot->kind !== SpotKind::Opening,
        };
    }

    private static function plain(string $words): string
    {
        return str_replace(array_keys(self::SAME), array_values(self::SAME), mb_strtolower(trim($words)));
    }

    /** @return list<string> */
    private static function tokens(string $words): array
    {
        $tokens = array_map(
            fn (string $word): string => strlen($word) > 3 ? rtrim($word, 's') : $word,
            preg_split('/[^\p{L}\p{N}-]+/u', $words, flags: PREG_SPLIT_NO_EMPTY) ?: [],
        );

        return array_values(array_diff($tokens, self::IDLE));
    }
}
