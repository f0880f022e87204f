<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Brick\Math\BigDecimal;
use Core\Measure\Quantity;
use Core\Measure\TooMuch;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is asked about before it is written. The bounds are common practice, no source, but for a day's hours. */
final class TooMuchTest extends TestCase
{
    /** @param  list<string>  $earlier */
    #[TestWith(['7.26 L', '6.6 L', [], false], 'a tenth over what it holds clings to the measure')]
    #[TestWith(['7.3 L', '6.6 L', [], true], 'well over what it holds')]
    #[TestWith(['30 L', '6.6 L', [], true], 'far over what it holds')]
    #[TestWith(['30 L', null, [], false], 'nobody has written down what it holds')]
    #[TestWith(['1 L', '6.6 L', ['0.5 L', '0.5 L', '0.5 L'], false], 'twice the usual')]
    #[TestWith(['1.1 L', '6.6 L', ['0.5 L', '0.5 L', '0.5 L'], true], 'more than twice the usual')]
    #[TestWith(['1.1 L', '6.6 L', ['0.5 L', '0.5 L'], false], 'two pours make nothing usual')]
    #[TestWith(['1.1 L', null, ['0.5 L', '0.1 L', '0.9 L'], true], 'the middle one is the usual')]
    #[TestWith(['0.3 L', '6.6 L', ['0.1 L', '0.1 L', '0.1 L'], false], 'a trifle of what it holds')]
    public function test_poured(string $amount, ?string $holds, array $earlier, bool $asks): void
    {
        $asked = TooMuch::poured(
            Quantity::parse($amount),
            'Engine oil',
            $holds === null ? null : Quantity::parse($holds),
            array_map(Quantity::parse(...), $earlier),
        );

        self::assertSame($asks, $asked !== null, (string) $asked);
    }

    public function test_it_says_what_speaks_against_it(): void
    {
        self::assertStringStartsWith('30 L', (string) TooMuch::poured(Quantity::parse('30 L'), 'Engine oil', Quantity::parse('6.6 L')));
        self::assertStringContainsString('water or fuel', (string) TooMuch::drained(Quantity::parse('8 L'), 'Engine oil', Quantity::parse('6.6 L')));
        self::assertNull(TooMuch::drained(Quantity::parse('7 L'), 'Engine oil', Quantity::parse('6.6 L')));
        self::assertNull(TooMuch::drawn(Quantity::parse('2 L'), Quantity::parse('2 L'), 'open can'));
        self::assertStringContainsString('Count what is left', (string) TooMuch::drawn(Quantity::parse('2.01 L'), Quantity::parse('2 L'), 'open can'));
    }

    public function test_strokes(): void
    {
        self::assertNull(TooMuch::strokes(6, 'Steering', 3));
        self::assertSame('7 strokes is more than twice the 3 that the steering takes.', TooMuch::strokes(7, 'Steering', 3));
    }

    public function test_more_hours_than_a_day_has_but_for_a_step_of_the_last_digit(): void
    {
        $ran = fn (string $gained): bool => TooMuch::ran(BigDecimal::of($gained), 1, 24, BigDecimal::of('0.1'));

        self::assertFalse($ran('24'));
        self::assertFalse($ran('24.09'));
        self::assertTrue($ran('24.1'), 'the step itself is not run');
    }
}
