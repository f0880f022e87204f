<?php

declare(strict_types=1);

namespace Core\Grease;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Schedule\Rule;
use Core\Schedule\Standing;
use Core\Schedule\State;

/** What a grease point's history says now: never done, missed, due, fresh, or given too much. */
final readonly class PointStanding
{
    /** Of its interval: greased again sooner than this, the strokes count together against the most it may get. */
    private const SOON = '1/4';

    private function __construct(
        public State $state,
        public ?GreaseTick $last,
        public bool $isOverGreased,
        public string $why,
    ) {
    }

    /** @param  list<GreaseTick>  $ticks */
    public static function of(GreasePoint $point, array $ticks, ?BigDecimal $hoursNow, \DateTimeImmutable $today): self
    {
        usort($ticks, fn (GreaseTick $one, GreaseTick $other): int => $one->day <=> $other->day);
        $last = $ticks === [] ? null : $ticks[array_key_last($ticks)];
        if ($last === null) {
            return new self(State::Unknown, null, false, 'Nobody has ever recorded grease here.');
        }
        $strokes = self::strokesSoonTogether($point, $ticks);
        $tooMuch = $point->most !== null && $strokes > $point->most;
        $standing = Standing::of(new Rule($point->every), null, [new Point($last->hours, null, $last->day)], new Point($hoursNow, null, $today));
        $why = $tooMuch ? Plain::count($strokes, 'stroke').", at most {$point->most}: wipe off what comes out, and look at ".($point->most === 1 ? 'the belt beside it.' : 'the seal.') : self::since($point, $last, $hoursNow, $today);

        return new self($standing->state, $last, $tooMuch, $why);
    }

    /** @param  non-empty-list<GreaseTick>  $ticks */
    private static function strokesSoonTogether(GreasePoint $point, array $ticks): int
    {
        $last = $ticks[array_key_last($ticks)];
        $strokes = 0;
        foreach ($ticks as $tick) {
            $strokes += $tick === $last || self::isSoon($point, $tick, $last) ? $tick->strokes : 0;
        }

        return $strokes;
    }

    private static function isSoon(GreasePoint $point, GreaseTick $before, GreaseTick $last): bool
    {
        $share = BigRational::of(self::SOON);
        if ($point->every->hours !== null && $before->hours !== null && $last->hours !== null) {
            return $last->hours->minus($before->hours)->toBigRational()->isLessThan($share->multipliedBy($point->every->hours));
        }
        if ($point->every->months === null) {
            return false;
        }
        $interval = Day::number(Day::addMonths($before->day, $point->every->months)) - Day::number($before->day);

        return $share->multipliedBy($interval)->isGreaterThan(Day::number($last->day) - Day::number($before->day));
    }

    private static function since(GreasePoint $point, GreaseTick $last, ?BigDecimal $now, \DateTimeImmutable $today): string
    {
        $ago = Plain::count((int) $last->day->diff($today)->days, 'day').' ago';
        $run = $last->hours === null || $now === null ? '' : ', '.Plain::number($now->minus($last->hours)).' h since';

        return Plain::count($last->strokes, 'stroke')." {$ago}{$run}; every {$point->every->inWords()}.";
    }
}
