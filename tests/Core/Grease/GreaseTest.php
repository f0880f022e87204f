<?php

declare(strict_types=1);

namespace Tests\Core\Grease;

use Brick\Math\BigDecimal;
use Core\Grease\EndSign;
use Core\Grease\GreaseNeed;
use Core\Grease\GreasePoint;
use Core\Grease\Greasing;
use Core\Grease\PointStanding;
use Core\Grease\Strokes;
use Core\Machine\Point;
use Core\Measure\Quantity;
use Core\Reckoner\Catalogue;
use Core\Schedule\Interval;
use Core\Schedule\Rule;
use Core\Schedule\State;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Strokes, grams and intervals. Figures of the trade's handbook: common practice, no source. */
final class GreaseTest extends TestCase
{
    public function test_a_point_nobody_recorded_is_unknown_not_fine(): void
    {
        self::assertSame(State::Unknown, self::standing([], '400')->state);
        self::assertSame('Nobody has ever recorded grease here.', self::standing([], '400')->why);
    }

    public function test_a_point_is_fresh_then_nearing_then_past_by_hours(): void
    {
        $greased = [self::greased(4, '400')];

        self::assertSame(State::Fresh, self::standing($greased, '420')->state);
        self::assertSame(State::Nearing, self::standing($greased, '446')->state);
        self::assertSame(State::Past, self::standing($greased, '456')->state);
        self::assertSame('4 strokes 13 days ago, 20 h since; every 50 h.', self::standing($greased, '420')->why);
    }

    public function test_a_point_that_no_rule_speaks_of_says_so(): void
    {
        $standing = PointStanding::of(new GreasePoint(2), [self::greased(2, '400')], null, null, self::now('420'));

        self::assertSame(
            [State::Fresh, '2 strokes 13 days ago, 20 h since; no rule says how often.'],
            [$standing->state, $standing->why],
        );
    }

    public function test_a_clutch_hub_takes_one_stroke_and_no_more(): void
    {
        $over = fn (Greasing ...$greased): PointStanding => PointStanding::of(
            new GreasePoint(1, EndSign::Strokes, 1),
            array_values($greased),
            self::rule(),
            null,
            self::now('405'),
        );

        self::assertFalse($over(self::greased(1, '400'))->isOverGreased);
        self::assertTrue($over(self::greased(2, '400'))->isOverGreased);
        self::assertStringContainsString('look at the belt', $over(self::greased(2, '400'))->why);
        self::assertTrue(
            $over(self::greased(1, '400'), self::greased(1, '404', 3))->isOverGreased,
            'twice within a quarter of its interval',
        );
        self::assertFalse($over(self::greased(1, '350', -9), self::greased(1, '400'))->isOverGreased);
    }

    /**
     * One stroke where four are usual is none; with three more the same week it is enough, and a sign seen at the seal
     * is always.
     */
    public function test_enough_is_the_strokes_within_a_quarter_of_the_interval_or_the_end_sign(): void
    {
        $one = self::greased(1, '400');
        $three = self::greased(3, '410', 4);
        $late = self::greased(3, '413', 5);
        $enough = fn (
            Greasing $at,
            Greasing ...$others,
        ): bool => (new Strokes(new GreasePoint(4), [$at, ...array_values($others)], Interval::ofHours(50)))->isEnough($at);

        self::assertFalse($enough($one));
        self::assertTrue($enough($three, $one), '10 h after the first, of 50');
        self::assertFalse($enough($late, $one), '13 h after, which is more than a quarter');
        self::assertFalse($enough($one, $three), 'what comes later does not count for the first');
        self::assertTrue($enough(new Greasing(1, $one->at, $one->point, signSeen: true)));
        self::assertSame('Only 1 stroke of 4: not enough to count.', self::standing([$one], '405')->why);
        self::assertSame(State::Unknown, self::standing([$one], '405')->state);
    }

    #[TestWith([5, null, 3])]
    #[TestWith([12, null, 1])]
    #[TestWith([1, null, 12])]
    #[TestWith([null, 120, 3])]
    #[TestWith([6, 500, 10])]
    public function test_how_often_a_point_is_greased_in_a_year(?int $months, ?int $ran, int $times): void
    {
        $every = new Interval($ran === null ? null : BigDecimal::of(50), null, $months);

        self::assertSame($times, GreaseNeed::timesAYear($every, $ran === null ? null : BigDecimal::of($ran)));
    }

    public function test_ten_strokes_weighed_tell_what_one_gives(): void
    {
        self::assertSame('0.85', (string) GreaseNeed::perStroke(Quantity::parse('8.5 g'))->rounded());
    }

    /** A quarter of six months is a month and a half, whatever a quarter of one month is. */
    public function test_a_quarter_of_an_interval_by_date_is_a_quarter_of_that_interval(): void
    {
        $together = function (int $months, string $before, string $last): int {
            $on = fn (string $day): Greasing => new Greasing(
                1,
                new \DateTimeImmutable($day),
                new Point(date: new \DateTimeImmutable($day)),
            );

            return (new Strokes(new GreasePoint(1), [$on($before), $second = $on($last)], new Interval(months: $months)))->togetherAt($second);
        };

        self::assertSame(2, $together(6, '2026-01-01', '2026-02-14'));
        self::assertSame(1, $together(6, '2026-01-01', '2026-02-16'));
        self::assertSame(2, $together(1, '2026-01-01', '2026-01-08'));
        self::assertSame(1, $together(1, '2026-01-01', '2026-01-09'));
        self::assertSame(2, $together(24, '2026-01-01', '2026-06-30'));
    }

    public function test_strokes_grams_and_cartridges_by_the_contract(): void
    {
        $points = [
            ['name' => 'Pivot shafts', 'strokes' => 50, 'times' => 2],
            ['name' => 'Clutch hub', 'strokes' => 1, 'times' => 1],
            ['name' => 'A-arms', 'strokes' => 2, 'times' => 400],
        ];
        $answer = Catalogue::reckon(
            'grease',
            ['points' => $points, 'grams_per_stroke' => '1.2 g'],
            new \DateTimeImmutable,
        );
        $cartridges = fn (int $strokes, string $cartridge): int => Catalogue::reckon(
            'grease',
            ['points' => [['strokes' => $strokes]], 'grams_per_stroke' => '1 g', 'cartridge' => $cartridge],
            new \DateTimeImmutable,
        )['cartridges'];

        self::assertSame([901, '1081.2', 3], [$answer['strokes'], $answer['grams']['value'], $answer['cartridges']]);
        self::assertSame(
            [1, 2],
            [$cartridges(400, '400 g'), $cartridges(401, '14 oz')],
            'just one cartridge, and a little more than one',
        );
    }

    /** @param  list<Greasing>  $greased */
    private static function standing(array $greased, string $hours): PointStanding
    {
        return PointStanding::of(new GreasePoint(4, EndSign::Strokes), $greased, self::rule(), null, self::now($hours));
    }

    private static function greased(int $strokes, string $hours, int $daysLater = 0): Greasing
    {
        $at = (new \DateTimeImmutable('2026-05-01'))->modify("{$daysLater} days");

        return new Greasing($strokes, $at, new Point(BigDecimal::of($hours), null, $at));
    }

    private static function rule(): Rule
    {
        return new Rule(Interval::ofHours(50));
    }

    private static function now(string $hours): Point
    {
        return new Point(BigDecimal::of($hours), null, new \DateTimeImmutable('2026-05-14'));
    }
}
