<?php

declare(strict_types=1);

namespace Core\Chart;

use Brick\Math\BigDecimal;
use Core\Measure\TwoWays;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;
use Core\Meter\MeterUnit;
use Core\Schedule\Interval;

/**
 * An interval as manuals head their columns with: `100 h`, `Every 200 Hrs.`, `Every 100 h or yearly`, `First 20-25 h`,
 * `100 h/1600 mi`, `6 months (100 h)`, `Daily`.
 */
final readonly class ChartInterval
{
    private const MONTHS = [
        'monthly' => 1,
        'month' => 1,
        'quarterly' => 3,
        'half-yearly' => 6,
        'half yearly' => 6,
        'twice a year' => 6,
        'semi-annually' => 6,
        'semiannually' => 6,
        'six-monthly' => 6,
        'yearly' => 12, 'annually' => 12, 'annual' => 12, 'once a year' => 12, 'year' => 12, 'every second year' => 24,
    ];

    /** What is looked at so often belongs to the round, not to the rulebook. */
    private const WALKAROUND = '/^(daily|day|before (each |every )?use|each use|before starting|weekly|week)$/';

    /**
     * @param  Interval|null  $interval  null where it is none, or may be two
     * @param  string|null  $taken  what a range was taken for
     * @param  array{string, string}|null  $readings  the two texts that it may stand for
     */
    private function __construct(
        public ?Interval $interval = null,
        public bool $isFirst = false,
        public bool $recurs = false,
        public bool $isOfWalkaround = false,
        public ?string $taken = null,
        public ?array $readings = null,
    ) {}

    /**
     * @param  string  $words  in small letters
     * @param  MeterUnit  $usual  the unit of bare numbers
     */
    public static function read(string $words, MeterUnit $usual): self
    {
        $plain = strtr($words, ['–' => '-', '—' => '-']);
        $plain = preg_replace(
            [
                '/,? ?\(?whichever (comes|occurs|is) (first|sooner|earlier)\)?/',
                '/\b(operating|engine|service|running) (?=h)/',
                '/ of (operation|use|running)\b/',
                '/(?<=[a-z])\.(?= |$|\)|\/)/',
            ],
            '',
            $plain,
        )
            ?? '';
        preg_match(
            '/^(?<lead>(?:after |at )?(?:the )?(?:first|initial|break-?in)(?: at)?|after every|every|each|after|at)?:? ?(?<rest>.*)$/',
            $plain,
            $part,
        );
        [$lead, $rest] = [$part['lead'] ?? '', trim($part['rest'] ?? '')];
        $isFirst = (bool) preg_match('/first|initial|break/', $lead);
        $recurs = (bool) preg_match('/every|each/', $lead);
        [$interval, $taken] = [new Interval, null];
        foreach (preg_split('~ or | ?/ ?| ?\(|\)|; ?~', $rest, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $each) {
            $each = preg_replace('/^(every|each) /', '', trim($each)) ?? '';
            if (preg_match(self::WALKAROUND, $each)) {
                return new self(isOfWalkaround: true);
            }
            try {
                $length = self::length($each, $usual);
            } catch (TwoWays $asked) {
                return new self(
                    readings: array_map(
                        fn (string $number): string => str_replace(self::number($each), $number, $words),
                        $asked->readings,
                    ),
                );
            }
            if ($length === null) {
                return new self;
            }
            $recurs = $recurs || isset(self::MONTHS[$each]);
            $interval = new Interval(
                $length->hours ?? $interval->hours,
                $length->km ?? $interval->km,
                $length->months ?? $interval->months,
            );
            $taken = preg_match('/^([\d.,]+) ?(?:-|to) ?[\d.,]+ ?([a-z]*)$/', $each, $range)
                ? trim("{$range[1]} ".($range[2] ?: $usual->value))
                : $taken;
        }

        return $interval->isEmpty() ? new self : new self($interval, $isFirst, $recurs && ! $isFirst, taken: $taken);
    }

    /**
     * @return Interval|null of one dimension; null where it is no length
     *
     * @throws TwoWays
     */
    private static function length(string $words, MeterUnit $usual): ?Interval
    {
        if (isset(self::MONTHS[$words])) {
            return new Interval(months: self::MONTHS[$words]);
        }
        if (! preg_match('/^([\d.,]+|a|one)(?: ?(?:-|to) ?[\d.,]+)? ?([a-z]*)$/', $words, $part)) {
            return null;
        }
        try {
            $amount = in_array($part[1], ['a', 'one'], true)
                ? BigDecimal::one()
                : WrittenNumber::ofMeter($part[1])->toBigDecimal()->stripTrailingZeros();
        } catch (TwoWays $asked) {
            throw $asked;
        } catch (Unreadable) {
            return null;
        }
        if (! $amount->isPositive() || $amount->isGreaterThan(1_000_000) || $amount->getScale() > 2) {
            return null;
        }
        $isWhole = $amount->getScale() === 0;

        return match (true) {
            (bool) preg_match('/^(h|hr|hrs|hours?)$/', $part[2] ?: $usual->value) => new Interval(hours: $amount),
            (bool) preg_match('/^(km|kms|kilomet(er|re)s?)$/', $part[2] ?: $usual->value) => new Interval(km: $amount),
            (bool) preg_match(
                '/^(mi|miles?)$/',
                $part[2] ?: $usual->value,
            ) => new Interval(km: MeterUnit::Miles->toReckoned($amount)),
            $isWhole
                && preg_match('/^(mo|mos|mths?|months?)$/', $part[2])
                && $amount->isLessThanOrEqualTo(1200) => new Interval(months: $amount->toInt()),
            $isWhole
                && preg_match('/^(y|yr|yrs|years?)$/', $part[2])
                && $amount->isLessThanOrEqualTo(100) => new Interval(months: 12 * $amount->toInt()),
            default => null,
        };
    }

    private static function number(string $words): string
    {
        return preg_match('/[\d.,]+/', $words, $part) ? $part[0] : '';
    }
}
