<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;

/** Why a rule stands as it does. */
final readonly class StandingWords
{
    private function __construct(private Standing $standing, private MeterUnit $distance) {}

    /**
     * One plain sentence with its numbers.
     *
     * @param  MeterUnit  $distance  the unit that distances are told in
     */
    public static function why(Standing $standing, MeterUnit $distance = MeterUnit::Kilometres): string
    {
        $words = (new self($standing, $distance))->whyAlone();

        return $standing->host === null
            ? $words
            : 'Goes with '.Plain::within($standing->host).': '.Plain::within($words);
    }

    private function whyAlone(): string
    {
        if ($this->standing->call !== null) {
            return sprintf(
                'A check on %s called for it: %s.',
                Plain::day($this->standing->call->on),
                rtrim($this->standing->call->because, '.'),
            );
        }
        if ($this->standing->limiting !== null) {
            return implode(
                ' ',
                array_filter(
                    [
                        $this->whence($this->standing->limiting),
                        $this->left($this->standing->limiting),
                        $this->tightening($this->standing->limiting),
                        $this->standing->apart,
                        $this->standing->state === State::Unknown ? $this->standing->notes[0] ?? '' : '',
                    ],
                ),
            );
        }

        return match (true) {
            $this->standing->state === State::Unknown => ($this->standing->apart === '' ? 'Nobody knows when this was last done.' : "{$this->standing->apart} So nobody knows when the whole was last done.").' Say when, or do it now.',
            $this->standing->rule->condition !== null => "Only when a check says so: {$this->standing->rule->condition}. None has.",
            default => 'It was due once and has been done; it does not come again.',
        };
    }

    /** The book's interval, the factor and the result, where this limit was shortened. */
    private function tightening(DuePoint $point): string
    {
        return $point->window === null
            ? ($this->standing->rule->tightenings[$point->limit->value] ?? null)?->inWords($this->distance)
            ?? ''
            : '';
    }

    /** `Due at 575.9 h, 100 h after 475.9 h.` */
    private function whence(DuePoint $point): string
    {
        $due = 'Due '.$this->position($point, $point->at);
        $since = $this->place($point, $point->since);
        if ($point->window !== null) {
            return "Due {$point->window->when()}, last done ".($this->standing->last === null ? 'never.' : "{$this->position($point, $point->since)}.");
        }
        $every = $this->standing->rule->every->only($point->limit);
        if ($this->isFirst($point)) {
            return "{$due} for the first time, counted from {$since}.";
        }
        if ($this->standing->rule->anchor === Anchor::FromDone) {
            return "{$due}, {$every->inWords($this->distance)} after {$since}".($this->standing->last !== null ? '.' : ', its beginning.');
        }

        return "{$due} by the chart of every {$every->inWords($this->distance)}, last done ".($this->standing->last !== null ? "{$this->position($point, $point->since)}." : 'never.');
    }

    private function isFirst(DuePoint $point): bool
    {
        $every = $this->standing->rule->every->length($point->limit);
        foreach ($this->standing->rule->first as $first) {
            if (
                $first->length($point->limit)?->isEqualTo($point->at) === true
                && ($every === null || ! $point->at->minus($point->since)->isEqualTo($every))
            ) {
                return true;
            }
        }

        return ! $this->standing->rule->every->gives($point->limit);
    }

    private function left(DuePoint $point): string
    {
        $remaining = $point->remaining;
        $amount = $this->told($point->limit, $remaining->abs());
        $allowed = $this->told($point->limit, $point->late);
        if ($point->window !== null) {
            $closing = $remaining->plus($point->late);

            return match ($point->state) {
                State::Fresh, State::Nearing => "Begins in {$amount}.",
                State::Due => $closing->isZero()
                    ? 'Today is its last day.'
                    : 'Ends in '.$this->told($point->limit, $closing).'.',
                default => 'Ended '.$this->told($point->limit, $closing->abs()).' ago.',
            };
        }

        return match ($point->state) {
            State::Fresh => "{$amount} left.",
            State::Nearing => "{$amount} left, inside the early window.",
            State::Due => $remaining->isZero() ? 'That is now.' : "That was {$amount} ago, {$allowed} late is allowed.",
            default => "Past by {$amount}, allowed {$allowed}.",
        };
    }

    /** `575.9 h`, `24 October` */
    private function place(DuePoint $point, BigDecimal $at): string
    {
        return $point->limit === Limit::Date
            ? Plain::nearDay(Day::of($at->toInt()), Day::of($point->now->toInt()))
            : $this->told($point->limit, $at);
    }

    /** `at 575.9 h`, `on 24 October` */
    private function position(DuePoint $point, BigDecimal $at): string
    {
        return ($point->limit === Limit::Date ? 'on ' : 'at ').$this->place($point, $at);
    }

    private function told(Limit $limit, BigDecimal $amount): string
    {
        return self::amount($limit, $amount, $this->distance);
    }

    /** `100 h`, `12 days` */
    public static function amount(Limit $limit, BigDecimal $amount, MeterUnit $distance): string
    {
        return match ($limit) {
            Limit::Hours => Plain::number($amount).' h',
            Limit::Distance => Plain::number($distance->fromReckoned($amount)).' '.$distance->value,
            Limit::Date => Plain::count($amount->toScale(0, RoundingMode::DOWN)->toInt(), 'day'),
        };
    }
}
