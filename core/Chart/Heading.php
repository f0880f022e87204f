<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Meter\MeterUnit;
use Core\Schedule\Interval;
use Core\Schedule\YearWindow;

/** The head of one column of a written chart, understood. */
final readonly class Heading
{
    /** Parts of the year by their names: common practice, no source. */
    private const SEASONS = [
        'spring' => ['03-01', '04-15'],
        'autumn' => ['09-15', '10-31'],
        'before storage' => ['10-15', '11-30'],
    ];

    /** What an unnamed part of the year is headed with. */
    public const UNNAMED = 'season';

    /**
     * @param  string|null  $remark  how it was taken where it could have been taken otherwise
     * @param  array{string, string}|null  $readings  the two texts that it may stand for
     */
    private function __construct(
        public HeadingKind $kind,
        public string $text,
        public ?Interval $interval = null,
        public ?YearWindow $season = null,
        public ?string $remark = null,
        public ?array $readings = null,
    ) {}

    /** @param  MeterUnit  $usual  the unit of bare numbers */
    public static function read(string $text, MeterUnit $usual = MeterUnit::Hours): self
    {
        $words = trim(preg_replace('/\s+/u', ' ', mb_strtolower($text)) ?? '');
        $kind = match (true) {
            (bool) preg_match('/^(work|kind|action|type|what is done)$/', $words) => HeadingKind::Work,
            (bool) preg_match('/^(counted|anchor)$/', $words) => HeadingKind::Counted,
            (bool) preg_match('/^(as|when|if) (required|needed|necessary)\.?$/', $words) => HeadingKind::Condition,
            default => null,
        };
        if ($kind !== null) {
            return new self($kind, $text);
        }
        if (preg_match('/^(.+) (\d\d-\d\d) to (\d\d-\d\d)$/u', trim($text), $part)) {
            return self::season($text, $part[1] === self::UNNAMED ? '' : $part[1], $part[2], $part[3]);
        }

        return isset(self::SEASONS[$words])
            ? self::season($text, $words, ...self::SEASONS[$words])
            : self::ofInterval($text, ChartInterval::read($words, $usual));
    }

    /** The head of a column for a part of the year. */
    public static function ofSeason(YearWindow $window): string
    {
        return ($window->name === '' ? self::UNNAMED : $window->name)." {$window->from()} to {$window->to()}";
    }

    /** What it is told by: its text, or its place. */
    public function name(int $index): string
    {
        return $this->text === '' ? 'Column '.($index + 2) : "\"{$this->text}\"";
    }

    private static function ofInterval(string $text, ChartInterval $written): self
    {
        $kind = match (true) {
            $written->readings !== null => HeadingKind::TwoWays,
            $written->isOfWalkaround => HeadingKind::Walkaround,
            $written->interval === null => HeadingKind::Unknown,
            $written->recurs => HeadingKind::Every,
            $written->isFirst => HeadingKind::First,
            // So many months from when stand beside hours: whichever comes first, again and again.
            $written->interval->months !== null => HeadingKind::Every,
            default => HeadingKind::At,
        };

        return new self(
            $kind,
            $text,
            $written->interval,
            remark: $written->taken === null ? null : "\"{$text}\" is taken for {$written->taken}, the earlier.",
            readings: $written->readings,
        );
    }

    private static function season(string $text, string $name, string $from, string $to): self
    {
        try {
            return new self(HeadingKind::Season, $text, season: YearWindow::between($from, $to, $name));
        } catch (\InvalidArgumentException) {
            return new self(HeadingKind::Unknown, $text);
        }
    }
}
