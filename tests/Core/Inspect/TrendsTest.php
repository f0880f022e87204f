<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Reckoner\BadInput;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\TestCase;

/** Wear and consumption by the calculators' contract. */
final class TrendsTest extends TestCase
{
    public function test_pads_that_wear_along_a_line_reach_their_limit_where_it_says(): void
    {
        $answer = self::reckon('wear', ['points' => [['hours' => 0, 'value' => '8 mm'], ['hours' => 100, 'value' => '7 mm'], ['hours' => 200, 'value' => '6 mm']], 'limit' => '0.5 mm']);

        self::assertSame(['p10' => 750, 'p50' => 750, 'p90' => 750], $answer['limit_at']);
        self::assertSame(['-1', 'mm'], [$answer['slope_per_100h']['value'], $answer['slope_per_100h']['unit']]);
        self::assertSame('fit', $answer['verdict']);
    }

    public function test_a_gap_grows_up_to_its_limit(): void
    {
        $answer = self::reckon('wear', ['points' => [['hours' => 0, 'value' => 0.030], ['hours' => 100, 'value' => 0.032]], 'limit' => 0.033, 'falls' => false]);

        self::assertSame(['p10' => null, 'p50' => 150, 'p90' => null], $answer['limit_at']);
        self::assertSame('watch', $answer['verdict'], 'within 50 h');
        self::assertStringContainsString('a third is needed', $answer['why']);
    }

    public function test_points_in_other_units_lie_on_the_same_line(): void
    {
        $answer = self::reckon('wear', ['points' => [['hours' => 0, 'value' => '1 in'], ['hours' => 100, 'value' => '12.7 mm']], 'limit' => '1/4 in']);

        self::assertSame(150, $answer['limit_at']['p50']);
    }

    public function test_what_does_not_wear_has_no_limit_ahead_and_what_is_beyond_it_asks_to_act(): void
    {
        self::assertSame(['p10' => null, 'p50' => null, 'p90' => null], self::reckon('wear', ['points' => [['hours' => 0, 'value' => 5], ['hours' => 100, 'value' => 5.1]], 'limit' => 3])['limit_at']);
        self::assertSame('act', self::reckon('wear', ['points' => [['hours' => 0, 'value' => 5], ['hours' => 100, 'value' => 2.9]], 'limit' => 3])['verdict']);
        self::assertNull(self::reckon('wear', ['points' => [['hours' => 10, 'value' => 5]], 'limit' => 3])['slope_per_100h']);
    }

    public function test_consumption(): void
    {
        $given = ['top_ups' => [['hours' => 110, 'amount' => '0.2 qt'], ['hours' => 150, 'amount' => '0.2 qt'], ['hours' => 190, 'amount' => '0.6 qt']], 'from' => 100, 'to' => 200];

        $answer = self::reckon('consumption', $given);
        self::assertSame(['1', 'us_qt'], [$answer['per_100h']['value'], $answer['per_100h']['unit']]);
        self::assertSame(['rising', 'watch'], [$answer['trend'], $answer['verdict']]);
        self::assertSame('act', self::reckon('consumption', [...$given, 'limit_per_100h' => '0.9 L'])['verdict']);
        self::assertSame(['thin', 'fit'], [self::reckon('consumption', ['top_ups' => [], 'from' => 0, 'to' => 50])['trend'], self::reckon('consumption', ['top_ups' => [], 'from' => 0, 'to' => 50])['verdict']]);
    }

    public function test_a_top_up_outside_what_is_followed_is_refused(): void
    {
        $this->expectException(BadInput::class);

        self::reckon('consumption', ['top_ups' => [['hours' => 300, 'amount' => '1 L']], 'from' => 0, 'to' => 200]);
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private static function reckon(string $name, array $given): array
    {
        return Catalogue::reckon($name, $given, new \DateTimeImmutable('2026-05-14'));
    }
}
