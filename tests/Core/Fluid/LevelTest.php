<?php

declare(strict_types=1);

namespace Tests\Core\Fluid;

use Core\Fluid\Level\EngineState;
use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Level\Warmth;
use Core\Form\BadInput;
use Core\Inspect\Ask;
use Core\Inspect\Instrument\Level;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LevelTest extends TestCase
{
    private const PROTOCOL = [
        'engine' => 'off',
        'temperature' => 'warm',
        'wait_minutes' => 2,
        'latest_minutes' => 5,
        'held' => 'rested',
    ];

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongMoments(): iterable
    {
        yield 'too soon' => [['wait_minutes' => 0], 'Wait 2 min more'];
        yield 'cold' => [['temperature' => 'cold'], 'Run it until it is warm'];
        yield 'hot' => [['temperature' => 'hot'], 'Let it cool until it is warm'];
        yield 'on a slope' => [['slope' => true], 'Park it level'];
        yield 'idling' => [['engine' => 'idling'], 'Stop the engine, wait 2 min'];
        yield 'stick screwed in' => [['held' => 'screwed'], 'only rest it on its threads'];
        yield 'too late' => [['wait_minutes' => 600], 'read within 5 min'];
        yield 'nobody said whether it ran' => [['engine' => null], 'Say whether the engine was off or idling'];
        yield 'nobody said how warm' => [['temperature' => null], 'Say whether it was cold, warm or hot'];
        yield 'nobody said how long it had stood' => [['wait_minutes' => null], 'Say how many minutes it had stood'];
        yield 'nobody said how the stick was held' => [['held' => null], 'Say whether the stick was rested'];
    }

    /** @param  array<string, mixed>  $actual */
    #[DataProvider('wrongMoments')]
    public function test_a_level_read_at_the_wrong_moment_is_no_reading_and_says_what_to_wait_for(array $actual, string $do): void
    {
        $answer = self::level([...self::PROTOCOL, ...$actual]);

        self::assertSame([false, null], [$answer['usable'], $answer['verdict']]);
        self::assertStringContainsString($do, $answer['do']);
    }

    public function test_a_power_shift_transmission_is_read_idling(): void
    {
        self::assertStringContainsString(
            'stopped, this one reads over full',
            (new LevelProtocol(EngineState::Idling, Warmth::Hot))
                ->asksOf(new LevelProtocol(EngineState::Off, Warmth::Hot), false),
        );
    }

    /** @return iterable<string, array{string|int|float, string}> */
    public static function marks(): iterable
    {
        yield 'full' => ['full', 'fit'];
        yield 'half way' => [0.5, 'fit'];
        yield 'at the full mark' => [1, 'fit'];
        yield 'at the add mark' => [0, 'watch'];
        yield 'below it' => [-0.2, 'act'];
        yield 'over' => ['1 1/4', 'act'];
    }

    #[DataProvider('marks')]
    public function test_where_it_stands(string|int|float $observed, string $verdict): void
    {
        self::assertSame($verdict, self::level(self::PROTOCOL, $observed)['verdict']);
    }

    /**
     * @return iterable<string, array{string, string|int|float, string|null}> verdict, null where it cannot be observed
     */
    public static function methods(): iterable
    {
        yield 'a plug at its threads or just running' => ['level_plug', 'full', 'fit'];
        yield 'a plug that stays dry' => ['level_plug', 'below', 'act'];
        yield 'a plug has no marks to stand between' => ['level_plug', 'between', null];
        yield 'a plug tells no share' => ['level_plug', 0.5, null];
        yield 'a glass half full' => ['sight_glass', 0.5, 'fit'];
        yield 'a tank over its line' => ['line', 'over', 'act'];
        yield 'farther off than any scale' => ['stick', 3.5, null];
        yield 'no word for a level' => ['sight_glass', 'wet', null];
    }

    #[DataProvider('methods')]
    public function test_the_method_decides_what_can_be_observed(
        string $method,
        string|int|float $observed,
        ?string $verdict,
    ): void {
        try {
            self::assertSame(
                $verdict,
                Catalogue::reckon(
                    'level',
                    [
                        'method' => $method,
                        'observed' => $observed,
                        'protocol' => ['engine' => 'off'],
                        'actual' => ['engine' => 'off'],
                    ],
                    new \DateTimeImmutable('2026-05-14'),
                )['verdict'],
            );
        } catch (BadInput $bad) {
            self::assertSame([null, ['observed']], [$verdict, array_keys($bad->errors)]);
        }
    }

    public function test_only_a_stick_is_held(): void
    {
        $this->expectException(BadInput::class);
        Catalogue::reckon(
            'level',
            [
                'method' => 'line',
                'observed' => 'full',
                'protocol' => ['held' => 'rested'],
                'actual' => ['held' => 'rested'],
            ],
            new \DateTimeImmutable('2026-05-14'),
        );
    }

    public function test_what_a_protocol_asks_for_is_what_a_walker_is_asked(): void
    {
        $asks = fn (array $limits): array => array_column(
            array_filter((new Level)->asks($limits), fn (Ask $ask): bool => ! $ask->optional),
            'name',
        );

        self::assertSame(['observed'], $asks([]));
        self::assertSame(['observed', 'engine', 'temperature'], $asks(['engine' => 'off', 'temperature' => 'cold']));
        self::assertSame(['observed', 'waited', 'held'], $asks(['wait_minutes' => '2', 'held' => 'screwed']));
    }

    /**
     * @param  array<string, mixed>  $actual
     * @return array<string, mixed>
     */
    private static function level(array $actual, string|int|float $observed = 'between'): array
    {
        unset($actual['latest_minutes']);

        return Catalogue::reckon(
            'level',
            ['method' => 'stick', 'observed' => $observed, 'protocol' => self::PROTOCOL, 'actual' => $actual],
            new \DateTimeImmutable('2026-05-14'),
        );
    }
}
