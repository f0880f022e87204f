<?php

declare(strict_types=1);

namespace Tests\Core;

use App\Contract\Input\TypedVolume;
use App\Walkaround\CheckShape;
use Core\Form\BadInput;
use Core\Inspect\Check;
use Core\Inspect\CheckLibrary;
use Core\Inspect\Degree;
use Core\Inspect\Occasion;
use Core\Inspect\RoundOutcome;
use Core\Inspect\SpotState;
use Core\Inspect\Turn;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;
use Core\Procedure\Bonds;
use Core\Procedure\Did;
use Core\Procedure\Step;
use Core\Procedure\StepKey;
use Core\Procedure\StepState;
use Core\Procedure\StepVerb;
use Core\Procedure\Telling;
use Core\Procedure\TimedProgress;
use Core\Procedure\Workpiece;
use Core\Schedule\State;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What the core answers, written down as cases: a phone that works something out where nobody can ask is held to the
 * same by its own tests.
 */
final class PhoneCasesTest extends TestCase
{
    private const SEED = 28;

    private const VOLUME_WORDS = [
        'l', 'lt', 'ltr', 'litre', 'litres', 'liter', 'liters', 'dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters', 'cl', 'centilitre',
        'centilitres', 'centiliter', 'centiliters', 'ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc', 'gal', 'gals', 'gallon',
        'gallons', 'qt', 'qts', 'quart', 'quarts', 'pt', 'pts', 'pint', 'pints', 'floz', 'fluidounce', 'fluidounces', 'dL', 'us_gal', 'imp_gal',
    ];

    #[TestWith(['numbers'])]
    #[TestWith(['steps'])]
    #[TestWith(['rounds'])]
    #[TestWith(['states'])]
    #[TestWith(['amounts'])]
    #[TestWith(['limits'])]
    public function test_the_cases_that_phones_are_held_to_are_what_the_core_answers(string $name): void
    {
        $file = dirname(__DIR__)."/Web/cases/{$name}.json";
        $cases = self::{$name}();
        $lines = array_map(fn (mixed $case): string => json_encode($case, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), $cases);
        $written = "[\n".implode(",\n", $lines)."\n]\n";
        if ((string) @file_get_contents($file) !== $written) {
            file_put_contents($file, $written);
            self::fail("The core answers otherwise than {$name}.json said. It is written anew: look at what changed, and whether phones should.");
        }
        self::assertGreaterThan(100, count($cases));
    }

    /** @return list<array{typed: string, number?: string, says?: string, of_meter?: string|null}> */
    private static function numbers(): array
    {
        $typed = [
            '1.75', '1,75', '1 3/4', '1¾', '1-3/4', '3/4', '½', '1,204.3', '1 204,3', '1.204,3', "1'204.3", '-12', '−12', '– 3', '+ 4', '--5',
            '1,204', '1.204', '0.204', '12,480', '621.5', '619,5', '13/4', '12/4', '10/4', '7/4', '3/0', '1 1/00', '', '   ', 'abc', '12 h', '1.2.3', '1,2,3',
            '1,234,567', '1,234,567.89', '1.234.567,8', '1 234 567', "1\u{00A0}204,3", "1\u{202F}204", '.5', ',5', '5.', '5,', '1⁄4', '2 1⁄4', '٣', '1e3', '0x10', '∞',
            '999999999999', '1000000000000', str_repeat('9', 33), '1 / 4', '1 1 / 4', '1  3/4', '01/2', '1 03/4', '11/16', '111/16', '21/8', '1/3', '22/7', '100/4',
        ];
        $random = new Randomizer(new Mt19937(self::SEED));
        $signs = [...mb_str_split("0123456789012345678901234567890123456789.,,..// -'½¾"), "\u{00A0}"];
        for ($case = 0; $case < 400; $case++) {
            $typed[] = implode('', array_map(
                fn (): string => $signs[$random->getInt(0, count($signs) - 1)],
                range(1, $random->getInt(1, 8)),
            ));
        }

        return array_map(fn (string $one): array => ['typed' => $one, ...self::read($one)], array_values(array_unique($typed)));
    }

    /** @return array{number?: string, says?: string, of_meter: string|null} */
    private static function read(string $typed): array
    {
        try {
            $meter = (string) WrittenNumber::ofMeter($typed)->simplified();
        } catch (Unreadable) {
            $meter = null;
        }
        try {
            return ['number' => (string) WrittenNumber::parse($typed)->simplified(), 'of_meter' => $meter];
        } catch (Unreadable $no) {
            return ['says' => $no->getMessage(), 'of_meter' => $meter];
        }
    }

    /** @return list<array<string, mixed>> jobs that were made up, at some moment each: what was told, and what has become of their steps */
    private static function steps(): array
    {
        $random = new Randomizer(new Mt19937(self::SEED));
        $cases = [];
        for ($case = 0; $case < 120; $case++) {
            $steps = self::madeUpSteps($random);
            $told = self::madeUpTellings($random, $steps);
            $now = self::at($random->getInt(0, 130));
            $timed = new TimedProgress($steps, $told, $now);
            $before = array_filter(array_combine(array_column($steps, 'key'), array_map(
                fn (Step $step): ?string => $timed->progress->firstBefore($step->key)?->key,
                $steps,
            )));
            $began = array_filter(array_combine(array_column($steps, 'key'), array_map(
                fn (Step $step): ?string => $timed->beganAt($step->key)?->format(\DATE_ATOM),
                $steps,
            )));
            $cases[] = [
                'steps' => array_map(self::asSent(...), $steps),
                'told' => array_map(fn (Telling $one): array => ['step' => $one->step, 'did' => $one->did->value, 'at' => $one->at->format(\DATE_ATOM)], $told),
                'now' => $now->format(\DATE_ATOM),
                'states' => array_map(fn (StepState $state): string => $state->value, $timed->progress->states),
                'first_before' => (object) $before,
                'began' => (object) $began,
                'next' => $timed->next()?->key,
            ];
        }

        return $cases;
    }

    /** @return list<Step> each bound to some of those before it */
    private static function madeUpSteps(Randomizer $random): array
    {
        $timed = array_values(array_filter(StepVerb::cases(), fn (StepVerb $verb): bool => $verb->takesItsTime()));
        $verbs = [...$timed, ...$timed, StepVerb::Open, StepVerb::Close, StepVerb::Run, StepVerb::Pour];
        $steps = [];
        for ($index = 0; $index < $random->getInt(3, 9); $index++) {
            $some = fn (int $oneIn): array => array_values(array_filter(
                array_column($steps, 'key'),
                fn (): bool => $random->getInt(1, $oneIn) === 1,
            ));
            $needs = $some(5);
            $steps[] = new Step(
                new StepKey($verbs[$random->getInt(0, count($verbs) - 1)], "p{$index}"),
                new Workpiece("p{$index}"),
                "Step {$index}",
                $random->getInt(0, 30),
                bonds: new Bonds(array_values(array_unique([...$some(3), ...$needs])), $needs, $some(8), $some(8)),
            );
        }

        return $steps;
    }

    /**
     * @param  list<Step>  $steps
     * @return list<Telling> in the order in which it happened
     */
    private static function madeUpTellings(Randomizer $random, array $steps): array
    {
        $told = [];
        $minute = 0;
        for ($index = 0; $index < $random->getInt(0, 8); $index++) {
            $did = Did::cases()[$random->getInt(0, count(Did::cases()) - 1)];
            $minute += $random->getInt(0, 20);
            $told[] = new Telling("t{$index}", $steps[$random->getInt(0, count($steps) - 1)]->key, $did, self::at($minute));
        }

        return $told;
    }

    private static function at(int $minute): \DateTimeImmutable
    {
        return new \DateTimeImmutable("2026-05-14T09:00:00Z +{$minute} minutes");
    }

    /** @return array<string, mixed> what a phone knows of a step */
    private static function asSent(Step $step): array
    {
        return [
            'key' => $step->key,
            'minutes' => $step->minutes,
            'takes_its_time' => $step->verb->takesItsTime(),
            'after' => $step->bonds->after,
            'needs' => $step->bonds->needs,
            'shut' => $step->bonds->shut,
            'only_if' => $step->bonds->onlyIf,
        ];
    }

    /** @return list<array<string, mixed>> rounds that were made up: what is asked, and what they come to */
    private static function rounds(): array
    {
        $random = new Randomizer(new Mt19937(self::SEED));
        $cases = [];
        for ($case = 0; $case < 200; $case++) {
            $checks = [];
            for ($index = 0; $index < $random->getInt(0, 6); $index++) {
                $after = $checks !== [] && $random->getInt(1, 3) === 1 ? $checks[$random->getInt(0, count($checks) - 1)]->key : null;
                $degrees = $random->getInt(1, 2) === 1 ? [] : [new Degree('Scratched', Verdict::Watch)];
                $checks[] = new Check("c{$index}", "Check {$index}", turn: new Turn(after: $after), degrees: $degrees);
            }
            $found = array_map(fn (int $index): string => "Found {$index}", array_filter(range(0, 5), fn (): bool => $random->getInt(1, 6) === 1));
            $found = array_combine(array_map(fn (int $index): string => "c{$index}", array_keys($found)), $found);
            $told = [];
            foreach ([...array_column($checks, 'key'), ...array_keys($found)] as $key) {
                if ($random->getInt(1, 3) > 1) {
                    $told[$key] = $random->getInt(1, 8) === 1 ? null : Verdict::cases()[max(0, $random->getInt(-4, 3))];
                }
            }
            $isStoodDown = $random->getInt(1, 8) === 1;
            $outcome = RoundOutcome::of($checks, $told, $found, $isStoodDown);
            $cases[] = [
                'checks' => array_map(fn (Check $check): array => [
                    'key' => $check->key,
                    'title' => $check->title,
                    'after' => $check->turn->after,
                    'can_stand_down' => $check->canStandDown(),
                ], $checks),
                'told' => (object) array_map(fn (?Verdict $verdict): ?string => $verdict?->value, $told),
                'found' => array_map(fn (string $check, string $title): array => ['check' => $check, 'title' => $title], array_keys($found), $found),
                'stood_down' => $isStoodDown,
                'asked' => array_keys(RoundOutcome::asked($checks, $told, $found)),
                'verdict' => $outcome->verdict?->value,
                'not_judged' => $outcome->notJudged,
            ];
        }

        return $cases;
    }

    /** @return list<array{one: string, other: string, harder: int, coming: bool, pressing: bool, fine: bool}> every state beside every other of its kind */
    private static function states(): array
    {
        $cases = [];
        $isComing = fn (State $state): bool => ! State::Nearing->isMoreUrgentThan($state);
        foreach (State::cases() as $one) {
            foreach (State::cases() as $other) {
                $cases[] = [
                    'one' => $one->value, 'other' => $other->value, 'harder' => $one->rank() <=> $other->rank(),
                    'coming' => $isComing($one), 'pressing' => ! State::Due->isMoreUrgentThan($one), 'fine' => $one === State::Fresh,
                ];
            }
        }
        foreach (Verdict::cases() as $one) {
            foreach (Verdict::cases() as $other) {
                $cases[] = [
                    'one' => $one->value, 'other' => $other->value, 'harder' => $one->rank() <=> $other->rank(),
                    'coming' => false, 'pressing' => ! Verdict::Act->isWorseThan($one), 'fine' => $one === Verdict::Fit,
                ];
            }
        }
        foreach (SpotState::cases() as $one) {
            foreach (SpotState::cases() as $other) {
                $state = State::tryFrom($one->value);
                $cases[] = [
                    'one' => $one->value, 'other' => $other->value,
                    'harder' => $one === $other ? 0 : (SpotState::hardest($one, $other) === $one ? 1 : -1),
                    'coming' => $state !== null && $isComing($state),
                    'pressing' => SpotState::hardest($one, SpotState::Act) === $one, 'fine' => $one === SpotState::Fresh,
                ];
            }
        }

        return $cases;
    }

    /** @return list<array{typed: string, ml?: int}> volumes as they are typed; those that are none have no amount */
    private static function amounts(): array
    {
        $typed = [
            '2 qt', '8 fl oz', '0.5 gal', '1.65', '5', '250', '250 ml', '250mL', '1,65 l', '1.65 L', '1 3/4 qt', '1¾ qt', '1-3/4 qt', '1 qt 4 fl oz', '1 gal 2 qt',
            '2 qt 3 gal', '1 L 1 L', '3 cc', '8 fl. oz.', '8 fl-oz', '8 oz', '1 imp gal', '1 imperial qt', '2 uk pints', '3 us gal', '1 cup', '-1 L', '0 L', '0.2 mL', '',
            '  ', 'L', 'half', '1,204.3 mL', '1,500 mL', '1.500 L', '1 500 mL', "1'204.5 mL", '13/4 qt', '12/4 qt', '1 kg', '1 LT', '1 Liter', '+2 L', '1 L and a bit', '½ qt', '.5 L', '1/2 gal',
            '5 quarts', '5 imp. fl. oz', '1 ft 2 in', '1.5 L 3', '3 3 L', '999999 L', '1e3 L', '1 qt 32 fl oz', '1 qt 31.9 fl oz',
        ];
        foreach (self::VOLUME_WORDS as $word) {
            array_push($typed, "1.5 {$word}", "3 us{$word}", "2 imp {$word}", "2 {$word}.", '7 '.strtoupper($word));
        }
        $volume = new TypedVolume;

        return array_map(function (string $one) use ($volume): array {
            $refused = false;
            $volume->validate('amount', $one, function () use (&$refused): void {
                $refused = true;
            });

            return $refused ? ['typed' => $one] : ['typed' => $one, 'ml' => Quantity::parse($one)->wholeMillilitres()];
        }, array_values(array_unique($typed)));
    }

    /** @return list<array<string, mixed>> what was measured where a limit is made ready, and the verdict; none where it can be none, or is asked about */
    private static function limits(): array
    {
        $random = new Randomizer(new Mt19937(self::SEED));
        $written = [
            fn (): string => (string) $random->getInt(0, 3), fn (): string => "{$random->getInt(0, 2)} {$random->getInt(1, 63)}/64",
            fn (): string => "0.{$random->getInt(0, 99)}", fn (): string => "1,{$random->getInt(0, 99)}", fn (): string => "{$random->getInt(1, 31)}/32",
            fn (): string => "{$random->getInt(1, 9)}.{$random->getInt(100, 999)}", fn (): string => "{$random->getInt(1, 40)}/8", fn (): string => '-1', fn (): string => 'thin', fn (): string => '',
        ];
        $cases = [];
        foreach (['pads', 'adjuster', 'equalizer', 'belt'] as $key) {
            $check = CheckLibrary::check($key);
            $quick = CheckShape::of($check)['quick'];
            for ($case = 0; $case < 60; $case++) {
                $entered = [];
                foreach (array_column($quick['fields'], 'name') as $name) {
                    $entered[$name] = $written[$random->getInt(0, count($written) - 1)]().['', '', " {$quick['unit']}", ' mm'][$random->getInt(0, 3)];
                }
                try {
                    $verdict = $check->judge($entered, new Occasion(new \DateTimeImmutable('2026-05-14')))->verdict?->value;
                } catch (BadInput) {
                    $verdict = null;
                }
                $cases[] = ['quick' => $quick, 'entered' => $entered, 'verdict' => $verdict];
            }
        }

        return $cases;
    }
}
