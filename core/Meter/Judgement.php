<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Measure\TooMuch;

/**
 * Whether a reading can be right, given the one before it. A machine cannot gain more hours than there were, and a
 * meter does not run backwards: a lower value is a slip, a meter that has counted to its end, or a new meter.
 */
final readonly class Judgement
{
    /** Meters that count to their end show at least so many digits before the point. */
    private const LEAST_DIGITS = 4;

    /** From so many times what is usual a gain is far above it: common practice, no source. */
    private const FAR_ABOVE = 4;

    /** So many days' full use is never far above anything. */
    private const NEVER_FAR = 0.5;

    private function __construct(
        public ReadingKind $kind,
        public BigDecimal $gained,
        public string $why,
        public ?Slip $slip = null,
        public bool $isFarAboveUsual = false,
    ) {}

    /**
     * @param  Reading|null  $previous  the last reading before it, null for a meter's first
     * @param  int  $mostPerDay  the most this meter can gain in a day
     * @param  \DateTimeImmutable|null  $now  later readings are of the future; null leaves that unjudged
     * @param  float|(\Closure(): (float|null))|null  $perWeek  what is usual for the machine, where that is known; a
     *     closure is asked only where it matters
     *
     * @throws \InvalidArgumentException if the reading is older than the one it is held against
     */
    public static function of(
        ?Reading $previous,
        Reading $reading,
        int $mostPerDay = 24,
        ?\DateTimeImmutable $now = null,
        MeterUnit $unit = MeterUnit::Hours,
        float|\Closure|null $perWeek = null,
    ): self {
        $gained = $previous === null ? BigDecimal::zero() : $reading->value->minus($previous->value);
        $value = Plain::number($reading->value);
        if ($now !== null && $reading->at > $now) {
            return new self(
                ReadingKind::Future,
                $gained,
                "{$value} would have been read on ".Plain::day($reading->at).', which has not come yet.',
            );
        }
        if ($previous === null) {
            return new self(ReadingKind::Ok, $gained, "{$value} is the first reading.");
        }
        $days = $previous->daysUntil($reading);
        if ($days < 0) {
            throw new \InvalidArgumentException('The reading is older than the one it is held against.');
        }
        $before = Plain::number($previous->value);
        $day = Plain::day($previous->at);
        if ($gained->isZero()) {
            return new self(ReadingKind::Repeat, $gained, "{$value} is what it showed on {$day}; nothing was run.");
        }
        $usual = fn (): ?float => $perWeek instanceof \Closure ? $perWeek() : $perWeek;
        $slip = fn (): Slip => Slip::in(
            $reading,
            $previous->value,
            $days,
            $mostPerDay,
            self::places($previous, $unit),
            $usual(),
        );
        if ($gained->isNegative()) {
            $over = self::gainedOver($previous, $reading);
            if ($over !== null && ! self::exceeds($over, $previous, $reading, $days, $mostPerDay)) {
                return new self(
                    ReadingKind::RolledOver,
                    $over,
                    sprintf(
                        '%s is less than %s on %s: the meter may have counted to its end and begun again, which would be %s %s %s.',
                        $value,
                        $before,
                        $day,
                        Plain::number($over),
                        $unit->value,
                        $previous->spanUntil($reading),
                    ),
                );
            }

            return new self(
                ReadingKind::Lower,
                $gained,
                sprintf(
                    '%s is %s %s less than %s on %s: a slip, or a new meter.',
                    $value,
                    Plain::number($gained->abs()),
                    $unit->value,
                    $before,
                    $day,
                ),
                $slip(),
            );
        }
        $difference = sprintf(
            '%s is %s %s more than %s on %s',
            $value,
            Plain::number($gained),
            $unit->value,
            $before,
            $day,
        );
        if (self::exceeds($gained, $previous, $reading, $days, $mostPerDay)) {
            return new self(
                ReadingKind::TooFast,
                $gained,
                sprintf(
                    '%s, %s; at most %s %s can be gained in a day.',
                    $difference,
                    $previous->spanUntil($reading),
                    number_format($mostPerDay),
                    $unit->value,
                ),
                $slip(),
            );
        }
        $usually = $gained->toFloat() > self::NEVER_FAR * $mostPerDay ? $usual() : null;
        if ($usually !== null && $gained->toFloat() > self::FAR_ABOVE * $usually * max(1, $days) / 7) {
            return new self(
                ReadingKind::Ok,
                $gained,
                sprintf(
                    '%s, %s: far above the %s %s a week that is usual. Is that so?',
                    $difference,
                    $previous->spanUntil($reading),
                    Plain::number(BigDecimal::of(sprintf('%.1F', $usually))),
                    $unit->value,
                ),
                isFarAboveUsual: true,
            );
        }

        return new self(ReadingKind::Ok, $gained, $difference.'.');
    }

    public function isPlausible(): bool
    {
        return $this->kind->isPlausible();
    }

    /** What was probably meant; null where no value stands out. */
    public function suggestion(): ?BigDecimal
    {
        return $this->slip?->meant();
    }

    /** @return list<BigDecimal> what may have been meant, the likeliest first */
    public function suggestions(): array
    {
        return $this->slip->meanings ?? [];
    }

    /** A meter shows whole steps of its last digit, so what it gained may look one step more than what was run. */
    private static function exceeds(
        BigDecimal $gained,
        Reading $previous,
        Reading $reading,
        float $days,
        int $mostPerDay,
    ): bool {
        $lastDigit = BigDecimal::one()->withPointMovedLeft(
            max(1, $previous->value->getScale(), $reading->value->getScale()),
        );

        return TooMuch::ran($gained, $days, $mostPerDay, $lastDigit);
    }

    /** What was gained if the meter ran over the end of its digits; null where it stood far from there. */
    private static function gainedOver(Reading $previous, Reading $reading): ?BigDecimal
    {
        $digits = strlen((string) $previous->value->getIntegralPart());
        $end = BigDecimal::one()->withPointMovedRight($digits);

        return $digits >= self::LEAST_DIGITS ? $end->minus($previous->value)->plus($reading->value) : null;
    }

    /** Hour meters show tenths, odometers whole ones, unless the last reading shows more. */
    private static function places(Reading $previous, MeterUnit $unit): int
    {
        return max($unit->isDistance() ? 0 : 1, $previous->value->getScale());
    }
}
