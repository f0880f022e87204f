<?php

declare(strict_types=1);

namespace Tests\Core\Grease;

use Brick\Math\BigDecimal;
use Core\Grease\EndSign;
use Core\Grease\GreaseNeed;
use Core\Grease\GreasePoint;
use Core\Grease\GreaseTick;
use Core\Grease\PointStanding;
use Core\Grease\StarterPoints;
use Core\Machine\MachineClass;
use Core\Measure\Quantity;
use Core\Reckoner\Catalogue;
use Core\Schedule\Interval;
use Core\Schedule\State;
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
        $greased = [new GreaseTick(4, new \DateTimeImmutable('2026-05-01'), BigDecimal::of(400))];

        self::assertSame(State::Fresh, self::standing($greased, '420')->state);
        self::assertSame(State::Nearing, self::standing($greased, '446')->state);
        self::assertSame(State::Past, self::standing($greased, '456')->state);
        self::assertSame('4 strokes 13 days ago, 20 h since; every 50 h.', self::standing($greased, '420')->why);
    }

    public function test_a_clutch_hub_takes_one_stroke_and_no_more(): void
    {
        $hub = self::point(1, most: 1);
        $tick = fn (int $strokes, string $hours): GreaseTick => new GreaseTick($strokes, new \DateTimeImmutable('2026-05-01'), BigDecimal::of($hours));

        self::assertFalse($hub->standing([$tick(1, '400')], BigDecimal::of(405), new \DateTimeImmutable('2026-05-14'))->isOverGreased);
        $over = $hub->standing([$tick(2, '400')], BigDecimal::of(405), new \DateTimeImmutable('2026-05-14'));
        self::assertTrue($over->isOverGreased);
        self::assertStringContainsString('look at the belt', $over->why);
        self::assertTrue($hub->standing([$tick(1, '400'), $tick(1, '404')], BigDecimal::of(405), new \DateTimeImmutable('2026-05-14'))->isOverGreased, 'twice within a quarter of its interval');
        self::assertFalse($hub->standing([$tick(1, '350'), $tick(1, '400')], BigDecimal::of(405), new \DateTimeImmutable('2026-05-14'))->isOverGreased);
    }

    public function test_ten_strokes_weighed_tell_what_one_gives(): void
    {
        self::assertSame('0.85', (string) GreaseNeed::perStroke(Quantity::parse('8.5 g'))->rounded());
    }

    /** A quarter of six months is a month and a half, whatever a quarter of one month is. */
    public function test_a_quarter_of_an_interval_by_date_is_a_quarter_of_that_interval(): void
    {
        $over = function (int $months, string $before, string $last): bool {
            $point = new GreasePoint('Clutch hub', 'engine', 1, new Interval(months: $months), [0, 0], most: 1);

            return $point->standing([new GreaseTick(1, new \DateTimeImmutable($before), null), new GreaseTick(1, new \DateTimeImmutable($last), null)], null, new \DateTimeImmutable($last))->isOverGreased;
        };

        self::assertTrue($over(6, '2026-01-01', '2026-02-14'));
        self::assertFalse($over(6, '2026-01-01', '2026-02-16'));
        self::assertTrue($over(1, '2026-01-01', '2026-01-08'));
        self::assertFalse($over(1, '2026-01-01', '2026-01-09'));
        self::assertTrue($over(24, '2026-01-01', '2026-06-30'));
    }

    public function test_strokes_grams_and_cartridges_by_the_contract(): void
    {
        $answer = Catalogue::reckon('grease', ['points' => [['name' => 'Pivot shafts', 'strokes' => 50, 'times' => 2], ['name' => 'Clutch hub', 'strokes' => 1, 'times' => 1], ['name' => 'A-arms', 'strokes' => 2, 'times' => 400]], 'grams_per_stroke' => '1.2 g'], new \DateTimeImmutable);

        self::assertSame([901, '1081.2', 3], [$answer['strokes'], $answer['grams']['value'], $answer['cartridges']]);
        self::assertSame(1, Catalogue::reckon('grease', ['points' => [['strokes' => 400]], 'grams_per_stroke' => '1 g'], new \DateTimeImmutable)['cartridges'], 'just one cartridge');
        self::assertSame(2, Catalogue::reckon('grease', ['points' => [['strokes' => 401]], 'grams_per_stroke' => '1 g', 'cartridge' => '14 oz'], new \DateTimeImmutable)['cartridges']);
    }

    public function test_every_class_has_points_that_stand_on_its_plate_and_keep_their_own_limits(): void
    {
        foreach (MachineClass::cases() as $class) {
            $points = StarterPoints::for($class);
            self::assertNotEmpty($points, $class->value);
            self::assertSame(array_column($points, 'name'), array_unique(array_column($points, 'name')), $class->value);
            foreach ($points as $point) {
                self::assertTrue($point->most === null || $point->strokes <= $point->most, "{$class->value} {$point->name}");
                self::assertTrue(min($point->spot) >= 0 && max($point->spot) <= 100);
                foreach ($points as $other) {
                    [$across, $along] = [abs($point->spot[0] - $other->spot[0]), abs($point->spot[1] - $other->spot[1])];
                    self::assertTrue($point === $other || $across >= 9 || $along >= 16, "{$class->value}: {$point->name} hides {$other->name} on the plate");
                }
            }
        }
    }

    /** @param  list<GreaseTick>  $ticks */
    private static function standing(array $ticks, string $hours): PointStanding
    {
        return self::point(4)->standing($ticks, BigDecimal::of($hours), new \DateTimeImmutable('2026-05-14'));
    }

    private static function point(int $strokes, ?int $most = null): GreasePoint
    {
        return new GreasePoint('Hub', 'Bell housing', $strokes, Interval::ofHours(50), [10, 10], EndSign::Strokes, $most);
    }
}
