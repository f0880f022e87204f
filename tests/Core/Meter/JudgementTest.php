<?php

declare(strict_types=1);

namespace Tests\Core\Meter;

use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Forecast\MeterHistory;
use Core\Measure\Day;
use Core\Meter\Judgement;
use Core\Meter\Reading;
use Core\Meter\ReadingKind;
use Database\Demo\Coldbrook;
use Database\Demo\DemoLife;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The bound of 24 engine hours in a day is arithmetic; the kinds of slip are common practice, no source. */
final class JudgementTest extends TestCase
{
    /** @param  list<string>  $suggestions */
    #[DataProvider('readings')]
    public function test_readings_are_told_apart(
        string $before,
        string $beforeAt,
        string $value,
        string $at,
        ReadingKind $kind,
        array $suggestions = [],
    ): void {
        $judgement = Judgement::of(
            self::reading($before, $beforeAt),
            self::reading($value, $at),
            now: new \DateTimeImmutable('2026-06-01T00:00:00Z'),
            perWeek: 10,
        );

        self::assertSame($kind, $judgement->kind);
        self::assertSame($suggestions, array_map(strval(...), $judgement->suggestions()));
        self::assertSame(count($suggestions) === 1 ? $suggestions[0] : null, $judgement->suggestion()?->__toString());
    }

    /** @return iterable<string, array{0: string, 1: string, 2: string, 3: string, 4: ReadingKind, 5?: list<string>}> */
    public static function readings(): iterable
    {
        yield 'a week of work' => ['403.5', '2026-05-08', '412.6', '2026-05-14', ReadingKind::Ok];
        yield 'nothing run' => ['412.6', '2026-05-08', '412.6', '2026-05-14', ReadingKind::Repeat];
        yield 'decimal point lost' => ['403.5', '2026-05-08', '4126', '2026-05-14', ReadingKind::TooFast, ['412.6']];
        yield 'decimal point lost on a day far longer than usual' => [
            '602.4',
            '2026-05-13',
            '6180',
            '2026-05-14',
            ReadingKind::TooFast,
            ['618', '610'],
        ];
        yield 'digits swapped' => ['403.5', '2026-05-08', '142.6', '2026-05-14', ReadingKind::Lower, ['412.6']];
        yield 'a digit doubled, and no meter shows hundredths that showed tenths' => [
            '403.5',
            '2026-05-08',
            '4112.6',
            '2026-05-14',
            ReadingKind::TooFast,
            ['412.6'],
        ];
        yield 'a neighbouring key' => ['403.5', '2026-05-08', '312.6', '2026-05-14', ReadingKind::Lower, ['412.6']];
        yield 'a key pressed with its neighbour' => [
            '403.5',
            '2026-05-08',
            '4512.6',
            '2026-05-14',
            ReadingKind::TooFast,
            ['412.6'],
        ];
        yield 'a digit missing, and two places for it' => [
            '403.5',
            '2026-05-08',
            '42.6',
            '2026-05-14',
            ReadingKind::Lower,
            ['412.6', '422.6'],
        ];
        yield 'nothing that can be' => ['24.6', '2026-05-08', '91', '2026-05-08', ReadingKind::TooFast];
        yield 'a new meter' => ['812.4', '2026-05-08', '0.3', '2026-05-14', ReadingKind::Lower];
        yield 'a meter that began again' => ['9995.5', '2026-05-08', '6.2', '2026-05-14', ReadingKind::RolledOver];
        yield 'too far to have begun again' => ['9200.5', '2026-05-08', '6.2', '2026-05-14', ReadingKind::Lower];
        yield 'a day is the whole day, at both ends' => ['100', '2026-05-08', '148', '2026-05-09', ReadingKind::Ok];
        yield 'a tenth more than two days allow' => [
            '100.0',
            '2026-05-08',
            '148.1',
            '2026-05-09',
            ReadingKind::TooFast,
            ['118.1'],
        ];
        yield 'from a moment to the end of a day' => [
            '100',
            '2026-05-08T20:00:00Z',
            '104',
            '2026-05-08',
            ReadingKind::Ok,
        ];
        yield 'and no farther' => [
            '100',
            '2026-05-08T20:00:00Z',
            '104.2',
            '2026-05-08',
            ReadingKind::TooFast,
            ['101.2', '103.2', '104'],
        ];
        yield 'twelve hours in two' => [
            '100',
            '2026-05-08T08:00:00Z',
            '112',
            '2026-05-08T10:00:00Z',
            ReadingKind::TooFast,
            ['102'],
        ];
        yield 'twice on one day, the hours not known' => ['100', '2026-05-08', '106', '2026-05-08', ReadingKind::Ok];
        yield 'not come yet' => ['100', '2026-05-08', '101', '2026-07-01', ReadingKind::Future];
    }

    public function test_a_gain_far_above_what_is_usual_is_asked_about_softly(): void
    {
        $after = fn (string $value): Judgement => Judgement::of(
            self::reading('403.5', '2026-05-08'),
            self::reading($value, '2026-05-14'),
            perWeek: 9,
        );

        self::assertSame([true, true], [$after('453.5')->isPlausible(), $after('453.5')->isFarAboveUsual]);
        self::assertSame(
            '453.5 is 50 h more than 403.5 on 8 May 2026, within 7 days: far above the 9 h a week that is usual. Is that so?',
            $after('453.5')->why,
        );
        self::assertFalse($after('420')->isFarAboveUsual);
        self::assertSame([false, true], [$after('439.5')->isFarAboveUsual, $after('439.6')->isFarAboveUsual], 'four times the usual');
        self::assertFalse(
            Judgement::of(self::reading('403.5', '2026-05-08'), self::reading('453.5', '2026-05-14'))->isFarAboveUsual,
            'where nobody knows what is usual',
        );
    }

    /**
     * Sixty slips of the finger, made from the demo's readings; the estate is invented, but its meters are read as
     * meters are.
     */
    public function test_most_slips_are_guessed_right_and_the_rest_are_not_guessed(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        $right = $guessed = 0;
        for ($slips = 0; $slips < 60;) {
            [$readings, $index] = self::demoReading($chance);
            $meant = sprintf('%.1F', $readings[$index]['hours']);
            $typed = self::slipped($meant, $chance);
            $history = array_map(
                fn (array $reading): array => [Day::number($reading['at']), $reading['hours']],
                array_slice($readings, 0, $index),
            );
            $judgement = Judgement::of(self::reading(
                sprintf('%.1F', $readings[$index - 1]['hours']),
                $readings[$index - 1]['at']->format('Y-m-d\TH:i:s\Z'),
            ),
                new Reading(
                    BigDecimal::of($typed),
                    $readings[$index]['at'],
                    typed: $typed,
                ), perWeek: MeterHistory::ofPairs($history)->usualPerWeek(Day::number($readings[$index]['at'])));
            if (! $judgement->isPlausible()) {
                $slips++;
                $guessed += (int) ($judgement->suggestion() !== null);
                $right += (int) ($judgement->suggestion()?->isEqualTo($meant) === true);
            }
        }

        self::assertGreaterThanOrEqual(50, $right);
        self::assertSame($right, $guessed, 'the others get none, or several');
    }

    /**
     * @return array{list<array{at: \DateTimeImmutable, hours: float}>, int} the readings of one machine, and which of
     *     them is meant
     */
    private static function demoReading(Randomizer $chance): array
    {
        static $lives = [];
        foreach ($lives === [] ? Coldbrook::machines() : [] as $index => $machine) {
            $life = new DemoLife($machine, new CarbonImmutable('2026-05-14'), $index + 1);
            if ($life->hasHourMeter() && $life->meterReplaced === null && count($life->readings) > 40) {
                $lives[] = $life->readings;
            }
        }
        $readings = $lives[$chance->getInt(0, count($lives) - 1)];

        return [$readings, $chance->getInt(30, count($readings) - 1)];
    }

    private static function slipped(string $meant, Randomizer $chance): string
    {
        $neighbour = [
            '0' => '9',
            '1' => '2',
            '2' => '1',
            '3' => '2',
            '4' => '5',
            '5' => '6',
            '6' => '5',
            '7' => '8',
            '8' => '7',
            '9' => '8',
        ];
        $digits = array_values(array_filter(array_keys(str_split($meant)), fn (int $at): bool => $meant[$at] !== '.'));
        $at = $digits[$chance->getInt(0, count($digits) - 2)];
        $next = $meant[$at + 1] === '.' ? '' : $meant[$at + 1];
        $typed = match ($chance->getInt(0, 5)) {
            0 => str_replace('.', '', $meant),
            1 => substr_replace($meant, $meant[$at], $at, 0),
            2 => substr_replace($meant, '', $at, 1),
            3 => substr_replace($meant, $next.$meant[$at], $at, 1 + strlen($next)),
            4 => substr_replace($meant, $neighbour[$meant[$at]], $at, 1),
            5 => substr_replace($meant, $neighbour[$meant[$at]], $at, 0),
        };

        return str_starts_with($typed, '.') ? "0{$typed}" : $typed;
    }

    public function test_a_meter_rolls_over_from_four_digits_on(): void
    {
        $kind = fn (string $before, string $after): ReadingKind => Judgement::of(
            self::reading($before, '2026-05-08'),
            self::reading($after, '2026-05-14'),
        )->kind;

        self::assertSame([ReadingKind::Lower, ReadingKind::RolledOver], [$kind('998', '3'), $kind('9998', '3')]);
    }

    public function test_the_first_reading_is_taken_as_it_is(): void
    {
        self::assertTrue(Judgement::of(null, self::reading('9000', '2026-05-08'))->isPlausible());
    }

    public function test_it_says_why_with_its_numbers(): void
    {
        $why = Judgement::of(self::reading('24.6', '2026-05-08'), self::reading('412.6', '2026-05-14'))->why;

        self::assertSame(
            '412.6 is 388 h more than 24.6 on 8 May 2026, within 7 days; at most 24 h can be gained in a day.',
            $why,
        );
    }

    public function test_a_reading_is_not_held_against_a_later_one(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Judgement::of(self::reading('1', '2026-05-14'), self::reading('2', '2026-05-08'));
    }

    private static function reading(string $value, string $at): Reading
    {
        return new Reading(
            BigDecimal::of($value),
            new \DateTimeImmutable($at, new \DateTimeZone('UTC')),
            strlen($at) === 10,
        );
    }
}
