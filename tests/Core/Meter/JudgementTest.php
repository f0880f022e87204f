<?php

declare(strict_types=1);

namespace Tests\Core\Meter;

use Brick\Math\BigDecimal;
use Core\Meter\Judgement;
use Core\Meter\Reading;
use Core\Meter\ReadingKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The bound of 24 engine hours in a day is arithmetic; the kinds of slip are common practice, no source. */
final class JudgementTest extends TestCase
{
    #[DataProvider('readings')]
    public function test_readings_are_told_apart(string $before, string $beforeAt, string $value, string $at, ReadingKind $kind, ?string $suggestion): void
    {
        $judgement = Judgement::of(self::reading($before, $beforeAt), self::reading($value, $at), now: new \DateTimeImmutable('2026-06-01T00:00:00Z'));

        self::assertSame($kind, $judgement->kind);
        self::assertSame($suggestion, $judgement->suggestion === null ? null : (string) $judgement->suggestion);
    }

    /** @return iterable<string, array{string, string, string, string, ReadingKind, string|null}> */
    public static function readings(): iterable
    {
        yield 'a week of work' => ['403.5', '2026-05-08', '412.6', '2026-05-14', ReadingKind::Ok, null];
        yield 'nothing run' => ['412.6', '2026-05-08', '412.6', '2026-05-14', ReadingKind::Repeat, null];
        yield 'the issue\'s own case: decimal point misplaced' => ['24.6', '2026-05-08', '412.6', '2026-05-14', ReadingKind::TooFast, '41.26'];
        yield 'decimal point lost' => ['403.5', '2026-05-08', '4126', '2026-05-14', ReadingKind::TooFast, '412.6'];
        yield 'digits swapped' => ['403.5', '2026-05-08', '142.6', '2026-05-14', ReadingKind::Lower, '412.6'];
        yield 'a digit missing' => ['403.5', '2026-05-08', '42.6', '2026-05-14', ReadingKind::Lower, '426'];
        yield 'a digit doubled' => ['403.5', '2026-05-08', '4112.6', '2026-05-14', ReadingKind::TooFast, '411.26'];
        yield 'a new meter' => ['812.4', '2026-05-08', '0.3', '2026-05-14', ReadingKind::Lower, null];
        yield 'exactly 24 h in a day' => ['100', '2026-05-08', '124', '2026-05-09', ReadingKind::Ok, null];
        yield 'a tenth more than the clock allows' => ['100.0', '2026-05-08', '124.1', '2026-05-09', ReadingKind::TooFast, '121.4'];
        yield 'twelve hours in two' => ['100', '2026-05-08T08:00:00Z', '112', '2026-05-08T10:00:00Z', ReadingKind::TooFast, null];
        yield 'twice on one day, the hours not known' => ['100', '2026-05-08', '106', '2026-05-08', ReadingKind::Ok, null];
        yield 'not come yet' => ['100', '2026-05-08', '101', '2026-07-01', ReadingKind::Future, null];
    }

    public function test_the_first_reading_is_taken_as_it_is(): void
    {
        self::assertTrue(Judgement::of(null, self::reading('9000', '2026-05-08'))->isPlausible());
    }

    public function test_it_says_why_with_its_numbers(): void
    {
        $why = Judgement::of(self::reading('24.6', '2026-05-08'), self::reading('412.6', '2026-05-14'))->why;

        self::assertSame('412.6 is 388 h more than 24.6 on 8 May 2026; at most 24 h can be gained in a day.', $why);
    }

    public function test_a_reading_is_not_held_against_a_later_one(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Judgement::of(self::reading('1', '2026-05-14'), self::reading('2', '2026-05-08'));
    }

    private static function reading(string $value, string $at): Reading
    {
        return new Reading(BigDecimal::of($value), new \DateTimeImmutable($at, new \DateTimeZone('UTC')), strlen($at) === 10);
    }
}
