<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Inspect\SpotState;
use Core\Machine\Verdict;
use Core\Schedule\State;
use PHPUnit\Framework\TestCase;

/** In which order what is told of a spot outranks the rest: common practice, no source. */
final class SpotStateTest extends TestCase
{
    public function test_of_two_things_told_of_a_spot_the_harder_is_told(): void
    {
        $order = ['fresh', 'unknown', 'watch', 'nearing', 'act', 'due', 'past', 'stand_down'];
        foreach ($order as $rank => $told) {
            foreach (array_slice($order, 0, $rank + 1) as $milder) {
                self::assertSame($told, SpotState::hardest(SpotState::from($milder), SpotState::from($told))->value);
                self::assertSame($told, SpotState::hardest(SpotState::from($told), SpotState::from($milder))->value);
            }
        }
        self::assertSame(SpotState::Fresh, SpotState::hardest());
    }

    public function test_what_a_rule_says_and_what_was_found_are_told_on_one_scale(): void
    {
        self::assertSame(SpotState::Nearing, SpotState::harder(State::Nearing, Verdict::Watch));
        self::assertSame(SpotState::Act, SpotState::harder(State::Nearing, Verdict::Act));
        self::assertSame(SpotState::Due, SpotState::harder(State::Due, Verdict::Act));
        self::assertSame(SpotState::Unknown, SpotState::harder(State::Unknown, Verdict::Fit));
    }
}
