<?php

declare(strict_types=1);

namespace Core\Chart;

use Brick\Math\BigDecimal;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;
use Core\Meter\MeterUnit;
use Core\Schedule\Interval;
use Core\Schedule\YearWindow;

/** The head of one column of a written chart, understood. */
final readonly class Heading
{
    private const MONTHS = ['monthly' => 1, 'quarterly' => 3, 'half-yearly' => 6, 'half yearly' => 6, 'twice a year' => 6, 'six-monthly' => 6, 'yearly' => 12, 'annually' => 12, 'once a year' => 12, 'every year' => 12];

    /** Parts of the year by their names: common practice, no source. */
    private const SEASONS = ['spring' => ['03-01', '04-15'], 'autumn' => ['09-15', '10-31'], 'before storage' => ['10-15', '11-30']];

    /** What an unnamed part of the year is headed with. */
    public const UNNAMED = 'season';

    public const CONTAINED_IN = 'counts with';

    private function __construct(
        public HeadingKind $kind,
        public string $text,
        public ?Interval $interval = null,
        public ?YearWindow $season = null,
    ) {
    }

    /** @param  MeterUnit  $usual  the unit of bare numbers */
    public static function read(string $text, MeterUnit $usual = MeterUnit::Hours): self
    {
        $words = trim(preg_replace('/\s+/u', ' ', mb_strtolower($text)) ?? '');
        if (preg_match('/^(work|kind|action|type|what is done)$/', $words)) {
            return new self(HeadingKind::Work, $text);
        }
        if (preg_match('/^(counted|anchor)$/', $words)) {
            return new self(HeadingKind::Counted, $text);
        }
        if ($words === self::CONTAINED_IN) {
            return new self(HeadingKind::ContainedIn, $text);
        }
        if (preg_match('/^(.+) (\d\d-\d\d) to (\d\d-\d\d)$/u', trim($text), $part)) {
            return self::season($text, $part[1] === self::UNNAMED ? '' : $part[1], $part[2], $part[3]);
        }
        if (isset(self::SEASONS[$words])) {
            return self::season($text, $words, ...self::SEASONS[$words]);
        }
        if (isset(self::MONTHS[$words])) {
            return new self(HeadingKind::Every, $text, new Interval(months: self::MONTHS[$words]));
        }
        preg_match('/^(?<lead>first(?: at)?|initial|break-?in|every|each)?:? ?(?<amount>.+)$/', $words, $part);
        $interval = self::interval($part['amount'] ?? '', $usual);

        return match (true) {
            $interval === null => new self(HeadingKind::Unknown, $text),
            preg_match('/^(every|each)/', $words) === 1 => new self(HeadingKind::Every, $text, $interval),
            ($part['lead'] ?? '') !== '' => new self(HeadingKind::First, $text, $interval),
            $interval->months !== null => new self(HeadingKind::Every, $text, $interval),
            default => new self(HeadingKind::At, $text, $interval),
        };
    }

    /** The head of a column for a part of the year. */
    public static function ofSeason(YearWindow $window): string
    {
        return ($window->name === '' ? self::UNNAMED : $window->name)." {$window->from()} to {$window->to()}";
    }

    private static function season(string $text, string $name, string $from, string $to): self
    {
        try {
            return new self(HeadingKind::Season, $text, season: YearWindow::between($from, $to, $name));
        } catch (\InvalidArgumentException) {
            return new self(HeadingKind::Unknown, $text);
        }
    }

    /** `100 h or 6 months`, `400 km`, `50` */
    private static function interval(string $words, MeterUnit $usual): ?Interval
    {
        [$hours, $km, $months] = [null, null, null];
        foreach (preg_split('~ or | / ~', $words) ?: [] as $part) {
            if (! preg_match('/^([\d.,]+|a) ?([a-z]*)$/', trim($part), $found)) {
                return null;
            }
            try {
                $amount = $found[1] === 'a' ? BigDecimal::one() : WrittenNumber::ofMeter($found[1])->toBigDecimal();
            } catch (Unreadable) {
                return null;
            }
            if (! $amount->isPositive() || $amount->isGreaterThan(1_000_000) || $amount->getScale() > 2) {
                return null;
            }
            $unit = $found[2] === '' ? $usual->value : $found[2];
            match (true) {
                (bool) preg_match('/^(h|hr|hrs|hours?)$/', $unit) => $hours = $amount,
                (bool) preg_match('/^(km|kms|kilomet(er|re)s?)$/', $unit) => $km = $amount,
                (bool) preg_match('/^(mi|miles?)$/', $unit) => $km = MeterUnit::Miles->toReckoned($amount),
                (bool) preg_match('/^(mo|months?)$/', $unit) && $amount->stripTrailingZeros()->getScale() === 0 && $amount->isLessThanOrEqualTo(1200) => $months = $amount->toInt(),
                (bool) preg_match('/^(y|yr|yrs|years?)$/', $unit) && $amount->stripTrailingZeros()->getScale() === 0 && $amount->isLessThanOrEqualTo(100) => $months = 12 * $amount->toInt(),
                default => null,
            };
        }
        $interval = new Interval($hours, $km, $months);

        return $interval->isEmpty() ? null : $interval;
    }
}
