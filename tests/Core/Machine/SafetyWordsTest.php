<?php

declare(strict_types=1);

namespace Tests\Core\Machine;

use Core\Machine\SafetyWord;
use Core\Machine\SafetyWords;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Drawn;

/** A machine is down whenever a word that nobody lifted says so, in whichever order the words come in. */
final class SafetyWordsTest extends TestCase
{
    private const SETS = 5_000;

    private const EVENTS = 6;

    #[Group('long')]
    public function test_in_every_order_a_machine_is_down_whenever_an_unlifted_word_says_so(): void
    {
        $chance = new Randomizer(new Mt19937(1201));
        $orders = self::orders(range(0, self::EVENTS - 1));
        $down = 0;
        for ($set = 0; $set < Drawn::times(self::SETS); $set++) {
            [$words, $expected] = self::drawn($chance);
            $down += $expected === [] ? 0 : 1;
            foreach ($orders as $order) {
                $standing = (new SafetyWords(array_map(fn (int $at): SafetyWord => $words[$at], $order)))->standing();
                if (self::ids($standing) !== $expected) {
                    self::fail("Set {$set} in the order ".implode(' ', $order).' says '.implode(' ', self::ids($standing)).', not '.implode(' ', $expected));
                }
            }
        }
        self::assertGreaterThan($set / 5, $down, 'what is drawn stands down often');
        self::assertLessThan($set * 4 / 5, $down, 'and often does not');
    }

    public function test_a_lift_ends_what_it_names_whenever_either_was_said(): void
    {
        $at = fn (string $time): \DateTimeImmutable => new \DateTimeImmutable("2026-05-14T{$time}Z");
        $brakes = SafetyWord::standDown('brakes', $at('10:00'));
        $late = SafetyWord::standDown('late', $at('09:00'));
        $lift = SafetyWord::lift('lift', $at('09:30'), ['brakes']);

        $words = new SafetyWords([$lift, $brakes, $late]);
        self::assertSame(['late'], self::ids($words->standing()), 'it came late, and nobody has lifted it');
        self::assertSame('lift', $words->liftOf('brakes')?->id, 'dated back before the word that it lifts');
        self::assertNull($words->liftOf('late'));
        self::assertFalse((new SafetyWords([$brakes, $lift]))->isDown());
    }

    public function test_a_slip_is_taken_back_within_a_quarter_of_an_hour_while_nothing_rests_on_it(): void
    {
        $said = new \DateTimeImmutable('2026-05-14T10:00:00Z');
        $slip = fn (string $after, bool $rests = false): bool => SafetyWords::isSlip($said, $said->modify($after), $rests);

        self::assertTrue($slip('+15 minutes'));
        self::assertFalse($slip('+15 minutes +1 second'));
        self::assertFalse($slip('-16 minutes'), 'a clock put back makes no slip');
        self::assertFalse($slip('+1 minute', rests: true));
    }

    public function test_a_lifted_word_is_told_with_both_its_days(): void
    {
        self::assertSame(
            'Stood down on 14 May 2026, lifted by Tamsin on 16 May 2026.',
            SafetyWords::liftedInWords(new \DateTimeImmutable('2026-05-14'), new \DateTimeImmutable('2026-05-16'), 'Tamsin'),
        );
    }

    /**
     * Words of several people within one minute, some dated back; what is struck is left out as the logbook leaves it out.
     *
     * @return array{list<SafetyWord>, list<string>} the words and, reckoned by itself, what stands
     */
    private static function drawn(Randomizer $chance): array
    {
        $words = $down = $lifted = [];
        for ($event = 0; $event < self::EVENTS; $event++) {
            $at = new \DateTimeImmutable('@'.(1_778_000_000 + $chance->getInt(0, 59)));
            $id = "w{$event}";
            if ($down !== [] && $chance->getInt(0, 1) === 0) {
                $named = $chance->pickArrayKeys($down, $chance->getInt(1, count($down)));
                $lifted += array_flip($named);
                $words[] = SafetyWord::lift($id, $at, array_map(strval(...), $named));
            } else {
                $down[$id] = $at->getTimestamp();
                $words[] = SafetyWord::standDown($id, $at);
            }
        }
        $standing = array_diff_key($down, $lifted);
        uksort($standing, fn (string $one, string $other): int => [$standing[$one], $one] <=> [$standing[$other], $other]);

        return [$words, array_keys($standing)];
    }

    /**
     * @param  list<int>  $of
     * @return list<list<int>>
     */
    private static function orders(array $of): array
    {
        $orders = [];
        foreach ($of as $first) {
            foreach (self::orders(array_values(array_diff($of, [$first]))) as $rest) {
                $orders[] = [$first, ...$rest];
            }
        }

        return $orders === [] ? [[]] : $orders;
    }

    /**
     * @param  list<SafetyWord>  $words
     * @return list<string>
     */
    private static function ids(array $words): array
    {
        return array_column($words, 'id');
    }
}
