<?php

declare(strict_types=1);

namespace Tests\Core\Meter;

use Brick\Math\BigDecimal;
use Core\Meter\MeterSign;
use Core\Meter\MeterTruth;
use Core\Meter\MeterUnit;
use PHPUnit\Framework\TestCase;

final class MeterTruthTest extends TestCase
{
    /** Handbook, section 17: does the meter tell the truth? */
    public function test_what_was_seen_on_a_used_machine_speaks_for_or_against_its_meter(): void
    {
        $of = fn (array $for, array $against): string => MeterTruth::of(
            $for,
            $against,
            BigDecimal::of('2306.4'),
            MeterUnit::Hours,
        )->why;

        self::assertSame('Nobody has looked at what speaks for or against the 2,306.4 h.', $of([], []));
        self::assertSame(
            '2 signs speak for the 2,306.4 h, none against.',
            $of([MeterSign::Shims, MeterSign::Pins], []),
        );
        self::assertSame(
            'One sign speaks against the 2,306.4 h: date codes of belts and hoses. Take 2,306.4 h as the least it has run, and what has no history as due.',
            $of([MeterSign::Shims], [MeterSign::DateCodes]),
        );
    }
}
