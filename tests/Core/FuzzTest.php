<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Core\Form\BadInput;
use Core\LogLine\NotUnderstood;
use Core\LogLine\Parser;
use Core\Measure\Quantity;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;
use Core\Meter\Judgement;
use Core\Meter\Reading;
use Core\Meter\ReadingKind;
use Core\Reckoner\Catalogue;
use Eris\Attributes\ErisShrink;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever is typed or sent, the core answers or refuses in words; it never breaks. */
#[ErisShrink(10)]
final class FuzzTest extends TestCase
{
    use TestTrait;

    private const ROUNDS = 4_000;

    private const SCRAPS = ['1', '3/4', '½', '0', '-', '−', '+', ',', '.', ' ', "\u{00A0}", 'qt', 'imp', 'L', '°C', 'NaN', 'Infinity', '1e9', '99999999999999999999', '/0', '"', "'", "\0", "\u{FFFD}", 'heron', 'her', 'little', 'mon',
        '31.2.', '29 feb', 'yesterday', '2026-02-30', 'km', 'h', '{"', '[]', 'ß', '語', 'at', '%', '\\'];

    public function test_typed_text_is_read_or_refused(): void
    {
        $chance = new Randomizer(new Mt19937(1));
        $parser = new Parser(
            ['1' => 'Heron', '2' => 'Little Grebe', '3' => 'Little Egret'],
            new \DateTimeImmutable('2026-05-14T00:00:00Z'),
        );
        $read = 0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $text = '';
            for ($scraps = $chance->getInt(1, 6); $scraps > 0; $scraps--) {
                $text .= self::SCRAPS[$chance->getInt(0, count(self::SCRAPS) - 1)].($chance->getInt(0, 1) === 1 ? ' ' : '');
            }
            foreach ([fn () => Quantity::parse($text), fn () => WrittenNumber::parse($text), fn () => WrittenNumber::ofMeter($text), fn () => $parser->parse($text)] as $try) {
                try {
                    $try();
                    $read++;
                } catch (Unreadable|NotUnderstood $refused) {
                    self::assertNotSame('', $refused->getMessage());
                }
            }
        }
        self::assertGreaterThan(100, $read, 'some of it can be read');
    }

    public function test_whatever_is_sent_to_a_calculator_is_answered_or_refused_beside_its_field(): void
    {
        $chance = new Randomizer(new Mt19937(2));
        $values = [null, true, 0, -1, 1.5, '1,5', 'x', '', [], [[]], ['hours' => 5], ['hours' => -5], ['months' => 1], ['months' => 1.5], ['km' => '1/3'], [
            'value' => '1',
            'unit' => 'L',
        ], [
            'value' => 3,
            'at' => '2026-05-14',
        ], ['value' => 3, 'at' => '1'],
            '2026-05-14', '2026-02-31', '0 in', '12 V', '-3 mm', ['slivers'], 'idling', [
                'deflection' => '0 in',
                'force' => '0 lbf',
            ], [
                'engine' => 'idling',
                'slope' => true,
            ], [['hours' => 3, 'value' => 'x']], [['strokes' => 1e9]], [['hours' => 3]], [['date' => '2026-01-01']], [
                'every' => ['hours' => 100],
                'anchor' => 'chart',
            ], [
                'every' => ['months' => 6],
                'first' => [['months' => 1]],
            ], '3 qt', 'us_qt', 1e300, str_repeat('9', 60), ['hours' => 9, 'km' => 9, 'date' => '2026-05-14']];
        $sound = [
            'convert' => ['quantity' => '3 qt', 'to' => 'L', 'places' => 2],
            'countdown' => ['meter' => 31.2, 'next_due' => 50, 'step' => 1],
            'reading' => [
                'previous' => ['value' => 3, 'at' => '2026-05-14'],
                'next' => ['value' => 9, 'at' => '2026-05-20'],
                'max_per_day' => 24,
            ],
            'forecast' => [
                'readings' => [['date' => '2026-04-01', 'hours' => 10], ['date' => '2026-05-14', 'hours' => 60]],
                'due_hours' => 100,
                'today' => '2026-05-20',
            ],
            'chart' => [
                'rules' => [['name' => 'Oil', 'first' => [['hours' => 25]], 'every' => ['hours' => 100]]],
                'from' => 0,
                'to' => 400,
            ],
            'chart-read' => [
                'text' => "Task\t50\t100\nGrease\tX\tX",
                'answers' => ['far_end' => 'once'],
                'unit' => 'h',
            ],
            'battery' => [
                'rest_volts' => '12.7 V',
                'loaded_volts' => '12 V',
                'seconds' => 10,
                'kind' => 'agm',
                'max_drop' => '1 V',
            ],
            'belt-deflection' => [
                'rest' => '2 in',
                'pressed' => '1 1/2 in',
                'force' => '15 lbf',
                'limit' => ['deflection' => '1/3 in', 'force' => '15 lbf'],
            ],
            'condition' => ['compartment' => 'gearbox', 'seen' => ['grey', 'fuzz'], 'first_service' => true],
            'consumption' => [
                'top_ups' => [['hours' => 5, 'amount' => '0.2 L']],
                'from' => 0,
                'to' => 100,
                'limit_per_100h' => '1 L',
            ],
            'free-play' => [
                'left' => '1 in',
                'right' => '25 mm',
                'target' => '1 in',
                'tolerance' => '1/4 in',
                'max_difference' => '1/8 in',
            ],
            'grease' => [
                'points' => [['name' => 'Hub', 'strokes' => 2, 'times' => 3]],
                'grams_per_stroke' => '0.9 g',
                'cartridge' => '400 g',
            ],
            'level' => [
                'method' => 'stick',
                'observed' => '1/2',
                'protocol' => ['engine' => 'off', 'wait_minutes' => 2],
                'actual' => ['engine' => 'off', 'wait_minutes' => 3],
            ],
            'wear' => [
                'points' => [
                    ['hours' => 0, 'value' => '8 mm'],
                    ['hours' => 90, 'value' => '7 mm'],
                    ['hours' => 210, 'value' => '6 mm'],
                ],
                'limit' => '1 mm',
                'falls' => true,
            ],
            'standing' => [
                'rule' => ['every' => ['hours' => 100, 'months' => 6]],
                'start' => null,
                'done' => [['hours' => 5, 'date' => '2026-01-01']],
                'now' => ['hours' => 9, 'date' => '2026-05-14'],
            ],
        ];
        $outcomes = ['answered' => 0, 'refused' => 0];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $name = array_keys($sound)[$chance->getInt(0, count($sound) - 1)];
            $given = array_map(
                fn (mixed $good): mixed => $chance->getInt(0, 2) > 0
                    ? $good
                    : $values[$chance->getInt(0, count($values) - 1)],
                $sound[$name],
            );
            try {
                self::assertNotSame(
                    '',
                    Catalogue::reckon($name, $given, new \DateTimeImmutable('2026-06-01T00:00:00Z'))['why'],
                );
                $outcomes['answered']++;
            } catch (BadInput $bad) {
                self::assertNotSame([], $bad->errors);
                $outcomes['refused']++;
            }
        }
        self::assertGreaterThan(50, min($outcomes), (string) json_encode($outcomes));
    }

    /**
     * Whatever the slip, the value meant is among those told, or so unusual a gain that others are likelier; nothing
     * impossible ever is.
     */
    public function test_a_single_slip_is_found_again(): void
    {
        $this->forAll(
            Generators::choose(10_000, 99_999),
            Generators::choose(40, 160),
            Generators::elements('point lost', 'swapped', 'doubled'),
        )
            ->then(function (int $tenths, int $gain, string $slip): void {
                $meant = BigDecimal::ofUnscaledValue($tenths, 1);
                $previous = $meant->minus(BigDecimal::ofUnscaledValue($gain, 1));
                $digits = (string) $tenths;
                $typed = match ($slip) {
                    'point lost' => $digits,
                    'swapped' => $digits[1].$digits[0].substr($digits, 2, 2).'.'.$digits[4],
                    'doubled' => $digits[0].substr($digits, 0, 4).'.'.$digits[4],
                };
                $judgement = Judgement::of(
                    new Reading($previous, new \DateTimeImmutable('2026-05-08')),
                    new Reading(BigDecimal::of($typed), new \DateTimeImmutable('2026-05-15'), typed: $typed),
                    perWeek: 10,
                );
                if ($judgement->isPlausible() || $judgement->kind === ReadingKind::RolledOver) {
                    $this->addToAssertionCount(1);

                    return;
                }
                self::assertContains(
                    (string) $meant->stripTrailingZeros(),
                    array_map(strval(...), $judgement->suggestions()),
                    "{$previous}, {$typed}",
                );
                foreach ($judgement->suggestions() as $suggestion) {
                    self::assertFalse($suggestion->isLessThan($previous), 'never less than the last reading');
                    self::assertFalse(
                        $suggestion->minus($previous)->isGreaterThan(7 * 24),
                        'never more than the clock allows',
                    );
                }
            });
    }
}
