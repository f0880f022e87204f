<?php

declare(strict_types=1);

namespace Tests\Core\Meter;

use Brick\Math\BigDecimal;
use Core\Meter\Countdown;
use Core\Meter\MeterSpan;
use Core\Meter\MeterUnit;
use PHPUnit\Framework\TestCase;

final class CountdownTest extends TestCase
{
    /**
     * Worked example of the trade handbook, section 3 (common practice, no source): 31.2 h, next at 50 h, 18.8 left,
     * set 18; "about 20" is 1.2 h late.
     */
    public function test_the_remaining_hours_are_rounded_down_to_what_the_display_takes(): void
    {
        $countdown = self::countdown('50', '31.2', '1');

        self::assertSame('18.8', (string) $countdown->remaining);
        self::assertSame('18', (string) $countdown->set);
        self::assertSame('49.2', (string) $countdown->ringsAt);
        self::assertStringContainsString('Setting 20 would ring at 51.2, 1.2 h late.', $countdown->why);
    }

    public function test_other_steps_are_kept_to(): void
    {
        self::assertSame('15', (string) self::countdown('50', '31.2', '5')->set);
        self::assertSame('18.5', (string) self::countdown('50', '31.2', '0.5')->set);
        self::assertSame('18', (string) self::countdown('50', '32', '1')->set);
    }

    public function test_past_the_point_nothing_is_set(): void
    {
        $countdown = self::countdown('50', '51.2', '1');

        self::assertTrue($countdown->isPast());
        self::assertSame('0', (string) $countdown->set);
    }

    public function test_less_than_one_step_left_means_now(): void
    {
        self::assertStringContainsString('do the work now', self::countdown('50', '49.6', '1')->why);
    }

    public function test_a_replaced_meter_goes_on_where_the_old_one_stopped(): void
    {
        $new = new MeterSpan(BigDecimal::of('3.2'), BigDecimal::of('812.4'));

        self::assertSame('819.2', (string) $new->run(BigDecimal::of('10')));
        self::assertTrue($new->shown($new->run(BigDecimal::of('77.7')))->isEqualTo('77.7'));
    }

    /** 1 mile is 1.609 344 km exactly: NIST SP 811, appendix B.8. */
    public function test_miles_are_reckoned_as_kilometres_and_shown_as_miles(): void
    {
        $reckoned = MeterUnit::Miles->toReckoned(BigDecimal::of('250'));

        self::assertTrue($reckoned->isEqualTo('402.336'));
        self::assertTrue(MeterUnit::Miles->fromReckoned($reckoned)->isEqualTo('250'));
    }

    private static function countdown(string $due, string $meter, string $step): Countdown
    {
        return Countdown::until(BigDecimal::of($due), BigDecimal::of($meter), BigDecimal::of($step));
    }
}
