<?php

declare(strict_types=1);

namespace Tests\Core;

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

    #[TestWith(['numbers'])]
    #[TestWith(['steps'])]
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
        $timed = array_values(array_filter(StepVerb::cases(), fn (StepVerb $verb): bool => $verb->act()->takesItsTime()));
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
            'takes_its_time' => $step->act->takesItsTime(),
            'after' => $step->bonds->after,
            'needs' => $step->bonds->needs,
            'shut' => $step->bonds->shut,
            'only_if' => $step->bonds->onlyIf,
        ];
    }
}
