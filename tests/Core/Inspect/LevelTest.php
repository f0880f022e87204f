<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Inspect\LevelProtocol;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LevelTest extends TestCase
{
    private const PROTOCOL = ['engine' => 'off', 'temperature' => 'warm', 'wait_minutes' => 2, 'held' => 'rested'];

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongMoments(): iterable
    {
        yield 'too soon' => [['wait_minutes' => 0], 'Wait 2 min more'];
        yield 'cold' => [['temperature' => 'cold'], 'Run it until it is warm'];
        yield 'hot' => [['temperature' => 'hot'], 'Let it cool until it is warm'];
        yield 'on a slope' => [['slope' => true], 'Park it level'];
        yield 'idling' => [['engine' => 'idling'], 'Stop the engine, wait 2 min'];
        yield 'stick screwed in' => [['held' => 'screwed'], 'only rest it on its threads'];
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
        self::assertStringContainsString('stopped, this one reads over full', (new LevelProtocol('idling', 'hot'))->asksOf(new LevelProtocol('off', 'hot'), false));
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
     * @param  array<string, mixed>  $actual
     * @return array<string, mixed>
     */
    private static function level(array $actual, string|int|float $observed = 'between'): array
    {
        return Catalogue::reckon('level', ['method' => 'stick', 'observed' => $observed, 'protocol' => self::PROTOCOL, 'actual' => $actual], new \DateTimeImmutable('2026-05-14'));
    }
}
